# frozen_string_literal: true

module App
  module Piece
    # What the forms about a piece send.
    module Shapes
      LINES = {
        title: :text,
        show_date: :text,
        length: :text,
        bpm: :text,
        structure: :text,
        teach: :texts,
        piece: :text,
        lock_version: :whole,
        sequence: :text
      }.freeze
      MUSIC = {
        title: :text,
        show_date: :text,
        length: :text,
        first_count: :text,
        count_in: :text,
        tempo: :text,
        form: :text,
        cut: :text,
        was: :text
      }.freeze
      SECTION = {
        name: :text,
        fidelity: :text,
        method_preset: :text,
        time: :text,
        difficulty: :text,
        minutes: :text,
        length: :text,
        note: :text,
        layer_school: :text,
        called_by: :text,
        being_made: :text,
        learned_way: :text,
        learned_runs: :text,
        layered_ladder: :text,
        known: :text,
        run_without: :text,
        feel: :text,
        bring: :text,
        choreographer: :text,
        co_teachers: :texts,
        teachers_needed: :text,
        entry: :table,
        exit: :table,
        hazards: :texts,
        groups: :texts,
        lock_version: :whole
      }.freeze
      PRACTICE = { from: :text, to: :text, speed: :text, times: :text, words: :text }.freeze
      TRACK = { file: :upload, take: :text }.freeze
      SHARING = { teachers: :texts, sections: :text, cuts: :text, by: :text }.freeze
      CORRECTION = { text: :text, eight: :text, count: :text }.freeze
    end
  end
end
