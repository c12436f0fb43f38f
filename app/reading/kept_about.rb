# frozen_string_literal: true

module App
  module Reading
    # All that is kept about one person, and why: for themselves, a guardian and the director; in words, and as data.
    class KeptAbout
      # key: of its reason in the locale file; rows: plain data.
      Part = Struct.new(:key, :rows, keyword_init: true)

      def initialize(person)
        @person = person
        @studio = person.studio
      end

      # [Part] of what there is.
      def parts
        @parts ||= { person:, links:, absences:, habits:, calls:, register:, learning:, notes:, consents:, clips: }
          .map { |key, rows| Part.new(key:, rows:) }.reject { |part| part.rows.empty? }
      end

      def to_h = { kept: parts.to_h { |part| [part.key, { why: why(part), rows: part.rows }] } }
      def why(part) = I18n.t("kept.#{part.key}.why")

      private

      def id = @person.id

      def person
        word = @person.family_word ? { "family_word" => I18n.t("kept.family_word") } : {}
        about = @person.slice(:name, :initials, :adult, :band, :wheels, :needs, :rings, :comes_said_on).compact
        [about.merge(together).merge("groups" => @person.groups.pluck(:name), **word)]
      end

      def together = @person.comes_with ? { "comes_with" => @person.comes_with.name } : {}

      def links = @person.person_links.given.map { |link| { kind: link.kind, given: link.created_at.to_date } }
      def habits = @person.habits.map { |row| row.slice(:weekday, :from_minute, :to_minute) }
      def absences = @person.absences.map { |row| row.slice(:from_date, :to_date, :from_minute, :to_minute).compact }

      def calls
        slots = @studio.slots.joins(:slot_people, :rehearsal, :plan).where(slot_people: { person_id: id })
        slots = slots.where.not(plans: { published_at: nil }).where(plans: { replaced_at: nil })
        slots.reorder(nil).pluck("rehearsals.date", :title).map { |date, title| { date:, title: } }
      end

      def register
        rows = @studio.attendances.joins(:rehearsal).where(person_id: id)
        rows.pluck("rehearsals.date", :state).map { |date, state| { date:, state: } }
      end

      def learning
        rows = @studio.ledger_entries.where(person_id: id).order(:id)
        rows.pluck(:day, :item_key, :kind, :rung).map { |day, item, kind, rung| { day:, item:, kind:, rung: } }
      end

      def notes
        rows = @studio.notes.standing.where(about: "person", person_id: id)
          .or(@studio.notes.standing.where(asker_id: id)).order(:id)
        rows.map do |note|
          { text: note.text, answer: note.answer, by: note.by_name, day: note.created_at.to_date }.compact
        end
      end

      def consents
        @studio.consents.where(person_id: id).map { |row| row.slice(:by_name, :given_on, :withdrawn_at) }
      end

      def clips
        @studio.uploads.clips.where(id: @studio.clip_people.where(person_id: id).select(:upload_id))
          .map { |clip| { name: clip.name, day: clip.created_at.to_date } }
      end
    end
  end
end
