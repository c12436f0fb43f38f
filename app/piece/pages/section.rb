# frozen_string_literal: true

module App
  module Piece
    module Pages
      # One section: its facts, its groups, and where it is danced.
      class Section < Reading::PiecePage
        attr_reader :section, :result

        def initialize(section:, typed: nil, result: nil, **rest)
          super(**rest)
          @section = section
          @typed = typed
          @result = result
        end

        def title = "#{section.name} · #{piece.title}"
        def screen = :share_out
        def errors = result&.errors || {}
        def conflict? = result&.value == :conflict
        def edit? = Steps::Policy.new(member, section).edit?
        def core = @core ||= work.sections.find { |s| s.id == section.id }
        def length_text = Core::Piece::LengthText.render(core.rows.map(&:counts))
        def links = order.links.select { |link| link.section.id == section.id }
        def breakdown = @breakdown ||= lesson(core)
        def taught = @taught ||= section.taught_to_all

        # [[group, eights it has up to], …] of those who dance it; none where there is one group only.
        def up_to
          @up_to ||= begin
            dancing = core.groups.empty? ? groups.to_a : groups.select { |group| core.groups.include?(group.id) }
            dancing.size > 1 ? dancing.map { |group| [group, so_far.of(section.id, group.id)] } : []
          end
        end

        def tick? = Policy.new(member, piece).tick?
        def layered? = @typed ? @typed["layered_ladder"] == "yes" : section.layered_ladder
        def known? = @typed ? @typed["known"] == "yes" : section.known
        def run_without? = @typed ? @typed["run_without"] == "yes" : section.run_without
        def being_made? = @typed ? @typed["being_made"] == "yes" : section.being_made
        def choreographers = piece.studio.people.choreographers
        # Who could teach it with its owner.
        def others = choreographers.reject { |person| person.id == section.choreographer_id }

        def co_teacher?(person)
          return Array(@typed["co_teachers"]).include?(person.id.to_s) if @typed

          core.co_teachers.include?(person.id)
        end

        def groups = piece.groups
        def in_group?(group) = @typed ? Array(@typed["groups"]).include?(group.id.to_s) : core.groups.include?(group.id)
        def hazard?(hazard) = @typed ? Array(@typed["hazards"]).include?(hazard) : section.hazards.include?(hazard)
        # Ticked, or read from its steps.
        def hazards = snapshot.danced.hazards(core)
        def dancers = links.any? ? items.in_link(links.first.index).size : nil

        def value(name)
          return @typed[name].to_s if @typed
          return Core::Piece::LengthText.render(core.rows.map(&:counts)) if name == "length"
          return Shared::Drawing.plain(section.difficulty.to_f) if name == "difficulty"

          section.public_send(name == "choreographer" ? :choreographer_id : name).to_s
        end

        # What is said of the body where the section starts or ends.
        def stated(edge, name)
          said = @typed ? @typed[edge] : section.public_send(:"stated_#{edge}")
          said.is_a?(Hash) ? said[name].to_s : ""
        end

        def edge_word(name, value)
          case name
          when "weight" then I18n.t("weights.#{value}")
          when "facing" then I18n.t("facing", to: I18n.t("facings")[value - 1])
          else I18n.t("levels.#{value}")
          end
        end

        # [[field, here, saved], …] for what differs after a conflict.
        def differences
          mine = @typed
          @typed = nil
          %w[name length fidelity method_preset difficulty minutes note bring]
            .map { |name| [name, mine[name].to_s, value(name)] }
            .reject { |_, a, b| a == b }
        ensure
          @typed = mine
        end

        private

        def so_far = @so_far ||= Reading::TaughtSoFar.new(piece)
      end
    end
  end
end
