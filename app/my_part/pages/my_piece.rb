# frozen_string_literal: true

module App
  module MyPart
    module Pages
      # One piece as one dancer dances it.
      class MyPiece
        # step: the smallest one that leads on, and when it comes.
        Owed = Struct.new(:key, :name, :ring, :word, :reported, :step)
        Place =
          Struct.new(
            :id,
            :index,
            :name,
            :tape,
            :echo,
            :counts,
            :at,
            :ring,
            :word,
            :mine,
            :version,
            :line,
            keyword_init: true
          ) do
            def own_version
              version && mine ? I18n.t("my_part.version", name: I18n.t("versions.#{version}").downcase) : ""
            end
          end

        # now: the studio's local time; nil where only what does not hang on the plan is asked.
        def initialize(piece, person, today, now: nil)
          @piece = piece
          @person = person
          @today = today
          @now = now
        end

        def title = @piece.title
        def days = @piece.days_to_show(@today)
        def groups = @piece.groups.joins(:group_members).where(group_members: { person_id: @person.id }).map(&:name)
        def mine = items.for(@person.id)
        def have = mine.count { |item| progress.learned?(@person.id, item.key) }

        # What was taught while they were not there, in sentences.
        def new_since
          return [] unless @now

          NewSince.new(@piece, @person, @now, items:, progress:).sentences
        end

        # What is not yet learned, in the order of the piece, at most eight.
        def owed
          mine
            .reject { |item| progress.learned?(@person.id, item.key) }
            .first(8)
            .map { |item| Owed.new(item.key, name(item), ring(item), word(item), reported(item), step(item)) }
        end

        # What was noted for this person alone: what was given, and, a day later, what was not. A minor reads it where
        # the studio says so; their guardian does in any case.
        def notes
          return [] unless @person.adult || @piece.studio.setting("words_to_minors")

          rows = @piece.notes.open.where(about: "person", person_id: @person.id, kind: %w[fix praise correction])
          told = ->(row) { row.givings.any? || row.created_at.to_date < @today }
          rows.includes(:section, :givings).order(:id).select(&told)
        end

        # Clips in which nobody is without a guardian's yes, where the studio shows them to dancers.
        def clips
          return [] unless Runs::ClipPolicy.new(@piece.studio).dancers?

          rows = @piece.uploads.clips.includes(:section, :clip_people, run: :rehearsal).order(id: :desc)
          rows.select { |clip| Runs::ClipPolicy.new(@piece.studio).seen?(clip) }.first(6)
        end

        def clip_name(clip)
          return I18n.t("runs.name", day: day(clip.run), kind: I18n.t("runs.kinds.#{clip.run.kind}")) if clip.run

          I18n.t("clips.of_section", name: clip.section.name, side: I18n.t("clips.sides.#{clip.side}"))
        end

        # Rungs that can be reported: from slow counts on.
        def rungs = I18n.t("rungs").each_with_index.drop(2)
        def id = @piece.id

        # What changed of this person's calls since a moment: [Actions::CallChanges::Change]. Nothing where nobody was
        # told before.
        def told_changes(since)
          told = @piece.plans.where.not(published_at: nil).order(:published_at, :number).to_a
          before = told.reverse.find { |plan| plan.published_at < since } || told.first
          return [] if before.nil? || before == @piece.published_plan

          Reading::CallDifference.new(@piece, before, @piece.published_plan, @today).all.fetch(@person.id, [])
        end

        def places
          work.order.links.map do |link|
            item = items.of_link(link.index)
            Place.new(
              id: link.link.id,
              index: link.index,
              name: link.name,
              tape: tapes[link.section.choreographer],
              echo: link.echo,
              counts: link.counts,
              at: Formats::Times.length(link.start_seconds),
              ring: ring(item),
              word: Shared::Ring.word(progress.rung(@person.id, item.key)),
              mine: items.dancers(item).include?(@person.id),
              version: version(link.section.id),
              line: line(link)
            )
          end
        end

        private

        def day(run) = Shared::Dates.day(run.rehearsal.date)

        # "next: slow counts · Sat 28 Nov, 10:05"
        def step(item)
          rung = progress.rung(@person.id, item.key)
          words = I18n.t("my_part.next", rung: Shared::Ring.word([rung + 1, progress.ladder.top].min))
          slot = slots_ahead.find { |each| each.works_on.include?(item.key) && each.people.include?(@person.id) }
          slot ? "#{words} · #{Shared::Dates.day(slot.day)}, #{Formats::Times.clock(slot.minute)}" : words
        end

        def slots_ahead
          @slots_ahead ||= Reading::SlotsAhead.of(@piece, items, Reading::SeasonSnapshots.of(@piece.studio, @now), @now)
        end

        def word(item) = Shared::Ring.word(progress.rung(@person.id, item.key))

        # What was reported and waits, in words; nil where nothing does.
        def reported(item)
          rung = progress.cell(@person.id, item.key).reported
          I18n.t("my_part.waits", rung: Shared::Ring.word(rung)) if rung.positive?
        end

        # Read when it is asked for, so that a piece that cannot be read is met in its own place on the page.
        def work = @work ||= Records::Mapping::Works.load(@piece)
        def items = @items ||= Reading::LearningItems.of(@piece, work)
        def progress = @progress ||= Records::Mapping::Learnings.progress(@piece, people: [@person.id])
        def tapes = @tapes ||= @piece.studio.people.where(teaches: true).pluck(:id, :tape).to_h

        # The version this person dances of a section, where there is one.
        def version(section_id)
          @given ||= Reading::VersionLines.dancers(@piece).fetch(@person.id, {})
          kind = @given[section_id] || @given[nil]
          kind if kind && written.include?([section_id, kind])
        end

        # My line in a link whose groups do not all do the same.
        def line(link)
          return if link.section.parts.empty?

          @checks ||= Core::Floor::LineChecks.new(work)
          MyLine.new(
            link,
            @checks.lanes(link.index),
            groups: @piece.groups.to_a,
            person: @person,
            own_groups:,
            tape: tapes[link.section.choreographer]
          )
        end

        def own_groups
          @own_groups ||=
            @piece.group_members.where(person_id: @person.id).pluck(:group_id)
        end

        def written
          @written ||=
            Records::Version
              .where(studio_id: @piece.studio_id, section_id: @piece.sections.map(&:id))
              .pluck(:section_id, :kind)
              .to_set
        end

        def ring(item)
          Shared::Ring.classes(progress.cell(@person.id, item.key), progress.ladder, @today, progress.way(item.key))
        end

        def name(item) = Shared::ItemName.of(item)
      end
    end
  end
end
