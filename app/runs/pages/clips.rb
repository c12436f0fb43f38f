# frozen_string_literal: true

module App
  module Runs
    module Pages
      # The clips of a piece, who of its minors has a guardian's yes, and a form for another clip.
      class Clips < Reading::PiecePage
        include Wording

        attr_reader :errors

        def initialize(typed: nil, errors: {}, **rest)
          super(**rest)
          @typed = typed
          @errors = errors
        end

        def screen = :runs
        def title = I18n.t("clips.title", piece: piece.title)
        def tick? = Piece::Policy.new(member, piece).tick?
        def policy = @policy ||= ClipPolicy.new(piece.studio)
        def on? = policy.on?
        def book = @book ||= Book.new(piece, snapshot)

        # [[Records::Upload, what it is of, names of those whose yes is missing], …], newest first.
        def clips
          @clips ||= piece.uploads.clips.includes(:section, :clip_people, run: :rehearsal).reverse.map do |clip|
            [clip, of(clip), policy.lacking(clip.clip_people.map(&:person_id)).map(&:name)]
          end
        end

        def of(clip)
          return run_name(clip.run) if clip.run

          I18n.t("clips.of_section", name: clip.section.name, side: I18n.t("clips.sides.#{clip.side}"))
        end

        # [[value, label], …] of what a clip can be of.
        def subjects
          book.rows.reverse.map { |row| ["run:#{row.id}", run_name(row)] } +
            piece.sections.map { |section| ["section:#{section.id}", section.name] }
        end

        def sides = Records::Upload::SIDES
        def value(name) = (@typed || {})[name].to_s
        def dancers = @dancers ||= items.everybody.map { |id| people.fetch(id) }.sort_by(&:name)
        def minors = dancers.reject(&:adult)
        def lacking = @lacking ||= policy.lacking(dancers.map(&:id)).to_set(&:id)

        # Whether somebody is ticked as being in it.
        def in_it?(person)
          @typed ? @typed["people"].to_a.map(&:to_i).include?(person.id) : !lacking.include?(person.id)
        end

        # {person id => Records::Consent} that stands.
        def consents
          @consents ||= begin
            rows = piece.studio.consents.standing.where(person_id: minors.map(&:id))
            rows.order(:id).index_by(&:person_id)
          end
        end

        def lacking_names = Shared::Lists.all(dancers.select { |one| lacking.include?(one.id) }.map(&:name))
        def settings_path = "/settings#clips"
      end
    end
  end
end
