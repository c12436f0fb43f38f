# frozen_string_literal: true

module App
  module Steps
    module Actions
      # Saves a version of a section and who dances it here. An eight left empty is danced as taught.
      class SaveVersion
        def initialize(section, kind, params, member)
          @section = section
          @piece = section.piece
          @kind = kind
          @params = params
          @member = member
          @account = member.account
        end

        # Value: what to say, or :conflict.
        def run
          fault = faults
          return Shared::Result.no({ rows: fault }) if fault

          Records::Piece.transaction do
            row =
              @section.versions.lock.find_by(kind: @kind) ||
              @section.versions.new(studio_id: @section.studio_id, kind: @kind)
            if @params["lock_version"].to_i != row.lock_version
              next Shared::Result.no({ rows: I18n.t("sections.conflict") }, :conflict)
            end

            row.update!(eights:, note: @params["note"].to_s.strip[0, 200])
            give
            give_groups
            @piece.touch
            Shared::KeepRevision.new(@piece, @account).record("#{@section.name}: #{I18n.t("versions.#{@kind}")}")
            Shared::Result.ok(I18n.t("versions.saved", kind: I18n.t("versions.#{@kind}"), name: @section.name))
          end
        end

        private

        def eights = @eights ||= texts.reject { |_, text| text.empty? }

        def texts
          given = @params["rows"].is_a?(Hash) ? @params["rows"] : {}
          (1..@section.eights.size).to_h { |n| [n.to_s, given.dig(n.to_s, "text").to_s.scrub("?").strip] }
        end

        def too_long = texts.find { |_, text| text.length > 1000 }&.first

        def faults
          return I18n.t("steps.faults.long", eight: too_long) if too_long

          unreadable || (I18n.t("versions.directors") if beyond_own?)
        end

        def unreadable = Unreadable.fault(eights.values, @piece.studio.vocabulary)

        def people = @people ||= @params["people"].is_a?(Hash) ? @params["people"] : {}

        # Whether a choreographer would give somebody a version wherever there is one.
        def beyond_own?
          return false if @member.director?

          everywhere = given_everywhere.pluck(:person_id).to_set(&:to_s)
          people.any? { |person, where| where == "piece" && !everywhere.include?(person) }
        end

        def given_everywhere = @piece.version_people.where(kind: @kind, section_id: nil)

        # people[id]: "" not in this version, "section" here, "piece" wherever there is such a version.
        def give
          chosen = @piece.people.where(id: people.keys.grep(/\A\d+\z/))
          chosen = chosen.where.not(id: given_everywhere.select(:person_id)) unless @member.director?
          chosen.find_each { |person| one(person, people[person.id.to_s]) }
        end

        # groups[id]: as people[id]. A whole piece is the director's to give here, too.
        def give_groups
          given = @params["groups"].is_a?(Hash) ? @params["groups"] : {}
          @piece.groups.where(id: given.keys.grep(/\A\d+\z/)).find_each do |group|
            mine = @piece.version_people.where(group_id: group.id)
            next if mine.exists?(kind: @kind, section_id: nil) && !@member.director?

            mine.where(kind: @kind, section_id: [nil, @section.id]).delete_all
            place(mine, given[group.id.to_s])
          end
        end

        def place(mine, where)
          return unless where == "section" || (where == "piece" && @member.director?)

          section_id = where == "section" ? @section.id : nil
          mine.where(section_id:).delete_all
          mine.create!(studio_id: @piece.studio_id, section_id:, kind: @kind)
        end

        def one(person, where)
          mine = @piece.version_people.where(person_id: person.id)
          mine.where(kind: @kind, section_id: [nil, @section.id]).delete_all
          return unless %w[section piece].include?(where)

          section_id = where == "section" ? @section.id : nil
          mine.where(section_id:).delete_all
          mine.create!(studio_id: @piece.studio_id, section_id:, kind: @kind)
        end
      end
    end
  end
end
