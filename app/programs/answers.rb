# frozen_string_literal: true

module App
  module Programs
    # What a program can ask for, by the end of its address: of the studio, and of one piece.
    module Answers
      OF_STUDIO = { "pieces" => Pieces, "people" => People, "rehearsals" => Rehearsals, "attendance" => Attendance,
                    "loads" => Loads }.freeze
      OF_PIECE = { "joins" => Joins, "learning" => Learning, "slots" => Slots, "notes" => Notes }.freeze
    end
  end
end
