# frozen_string_literal: true

module App
  module Planning
    module Pages
      # What can be tried in What if, as forms of one line each. page: WhatIf.
      class WhatIfForms
        # options: [[value, text], …] of what there is to choose from; nil for a field one writes into.
        Field = Struct.new(:name, :options, :example, keyword_init: true) do
          def label = I18n.t("what_if.fields.#{name}")
        end
        Form = Struct.new(:kind, :fields) do
          def label = I18n.t("what_if.forms.#{kind}")

          # Where there is something to choose.
          def possible? = fields.none? { |field| field.options == [] }
        end

        def initialize(page)
          @page = page
          @piece = page.piece
          @studio = @piece.studio
        end

        # {group => [Form]}
        def all
          @all ||= { "people" => people, "evenings" => evenings, "building" => building }
            .transform_values { |forms| forms.select(&:possible?) }
        end

        private

        def people
          [
            form("away", choice("person", everybody), written("from", "9 Feb"), written("to", "16 Feb")),
            form("comes", choice("person", @page.away), written("date", "16 Feb")),
            form("freed", choice("person", @page.away)),
            form("leaves", choice("person", dancers)),
            form("helper", choice("teacher", helpers), choice("section", sections)),
            form("teacher", choice("teacher", @studio.people.choreographers.order(:name)), choice("section", sections))
          ]
        end

        def evenings
          [
            form("extra", written("date", "2027-02-06"), written("start", "10:00"), written("end", "13:00")),
            form("without", Field.new(name: "rehearsal", options: rehearsals)),
            form("room", choice("room", rooms)),
            form("dates", Field.new(name: "which", options: dates), written("date", "20 Mar"))
          ]
        end

        def building
          [
            form("passes", Field.new(name: "passes", options: passes)),
            form("runs", written("count", @piece.setting("full_runs").to_s)),
            form("runs_without", choice("section", sections)),
            form("quorum", written("share", (@piece.setting("quorum") * 100).round.to_s)),
            form("plain", Field.new(name: "link", options: repeats))
          ]
        end

        def form(kind, *fields) = Form.new(kind, fields)
        def written(name, example) = Field.new(name:, example:)
        def choice(name, rows) = Field.new(name:, options: rows.map { |row| [row.id.to_s, row.name] })

        def sections = @page.work.sections
        def everybody = named(@page.snapshot.cast.keys | @piece.sections.filter_map(&:choreographer_id))
        def dancers = named(@page.snapshot.cast.keys)
        def named(ids) = @page.people.values_at(*ids).compact.sort_by(&:name)
        def helpers = Changes::Helper.of(@studio).order(:name)
        def rehearsals = @page.rehearsals.map { |each| [each.id.to_s, Shared::Dates.day(each.date)] }
        def passes = %w[fewer more].map { |which| [which, I18n.t("what_if.passes.#{which}")] }
        def dates = Changes::Dates.names.map { |name| [name, I18n.t("what_if.dates_of.#{name}")] }

        # The last room is no choice.
        def rooms = @studio.rooms.open.to_a.then { |rooms| rooms.many? ? rooms : [] }

        # Links that a plan need not give time to their changes: [[link id, text]].
        def repeats
          @page.order.links
            .map { |placed| [placed, Changes.of(@piece, { "change" => "plain", "link" => placed.link.id.to_s })] }
            .select { |placed, change| placed.link.altered? && change.valid? }
            .map { |placed, _| [placed.link.id.to_s, "#{placed.index} #{placed.name}"] }
        end
      end
    end
  end
end
