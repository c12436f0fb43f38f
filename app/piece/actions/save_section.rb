# frozen_string_literal: true

module App
  module Piece
    module Actions
      # Saves a section's form. Only a director may hand it to another choreographer.
      class SaveSection
        def initialize(section, params, member)
          @section = section
          @piece = section.piece
          @params = params
          @member = member
        end

        def run
          today = @section.studio.today(Shared::Clock.now)
          Reading::EditSection.run(@section, @params["lock_version"], @member.account, today) { checked }
        end

        private

        def checked
          @section.assign_attributes(fields)
          faults = errors
          faults.any? ? Shared::Result.no(faults) : save
        end

        def fields
          {
            name: @params["name"],
            fidelity: @params["fidelity"],
            method_preset: @params["method_preset"],
            time: @params["time"].presence || "normal",
            difficulty: Float(@params["difficulty"].to_s, exception: false),
            minutes: @params["minutes"].presence,
            note: @params["note"].to_s,
            **schools,
            being_made: @params["being_made"] == "yes",
            known: @params["known"] == "yes",
            run_without: @params["run_without"] == "yes",
            learned_way: @params["learned_way"].presence,
            learned_runs: @params["learned_runs"].presence,
            layered_ladder: @params["layered_ladder"] == "yes",
            feel: @params["feel"].presence || "even",
            stated_entry: edge("entry"),
            stated_exit: edge("exit"),
            bring: @params["bring"].to_s.strip,
            hazards: Array(@params["hazards"]) & Records::Section::HAZARDS,
            **teacher
          }
        end

        def schools
          %w[layer_school called_by].to_h { |name| [name, @params[name].presence || @section[name]] }
        end

        # What is stated of the body at an edge; anything not on offer is left out.
        def edge(name)
          given = @params[name].is_a?(Hash) ? @params[name] : {}
          Records::Section::EDGE
            .filter_map do |value, among|
              chosen = among.find { |each| each.to_s == given[value].to_s }
              [value, chosen] if chosen
            end
            .to_h
        end

        def teacher
          return {} unless @member.director?

          {
            choreographer: @section.studio.people.choreographers.find_by(id: @params["choreographer"].to_s[/\A\d+\z/]),
            teachers_needed: @params["teachers_needed"] == "one" ? "one" : "all"
          }
        end

        def co_teachers
          wanted = Array(@params["co_teachers"]).grep(/\A\d{1,18}\z/)
          @section.studio.people.choreographers.where(id: wanted).order(:name).ids
        end

        def errors
          @section.validate
          found = @section.errors.to_hash.transform_values(&:first)
          found[:name] ||= I18n.t("sections.same_name") if twin?
          found.merge(length_errors)
        end

        def twin?
          @piece.sections.where.not(id: @section.id).where("lower(name) = ?", @section.name.to_s.downcase).exists?
        end

        def length_errors
          unless lengths&.size&.between?(1, 200) && lengths.all? { |n| n.between?(1, 64) }
            return { length: I18n.t("sections.length") }
          end

          written = ResizeEights.new(@section).last_written
          lengths.size < written ? { length: I18n.t("sections.written", eight: written) } : {}
        end

        def lengths = @lengths ||= Core::Piece::LengthText.parse(@params["length"].to_s)

        def save
          @section.save!
          SetCoTeachers.new(@section).to(co_teachers) if @member.director?
          ResizeEights.new(@section).resize(lengths)
          set_parts
          @piece.touch
          Shared::KeepRevision.new(@piece, @member.account).record("#{@section.name}: facts")
          Shared::Result.ok(@section)
        end

        # Which groups dance it; those that stay keep their offsets.
        def set_parts
          wanted = @piece.groups.where(id: Array(@params["groups"]).grep(/\A\d+\z/)).pluck(:id)
          @section.parts.where.not(group_id: wanted).delete_all
          (wanted - @section.parts.pluck(:group_id)).each do |group_id|
            @section.parts.create!(studio_id: @section.studio_id, group_id:)
          end
        end
      end
    end
  end
end
