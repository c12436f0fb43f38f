# frozen_string_literal: true

module App
  module Learning
    module Pages
      # In which order the dancers of the grid stand, by what, and how much of each column a group has.
      module GridOrder
        SORTS = %w[groups behind blocking].freeze

        # How far behind somebody is, or how much of the next run they block; nil where the order is by groups.
        def measure(person)
          case sort
          when "behind" then I18n.t("learning.behind", count: behind(person.id))
          when "blocking" then I18n.t("learning.blocking", count: blocking.fetch(person.id, 0))
          end
        end

        # [[group, share of it that has each column, in words], …]
        def shares
          dancing = groups.select { |each| members.key?(each.id) }
          found = columns.map { |column| shares_of(column.item) }
          dancing.map { |each| [each.name, found.map { |share| share[each.id] }] }
        end

        private

        # By what the dancers are sorted before their groups.
        def place_of(id)
          case sort
          when "behind" then -behind(id)
          when "blocking" then -blocking.fetch(id, 0)
          else 0
          end
        end

        def behind(id) = pace.behind(id)
        def pace = @pace ||= snapshot.memo(:pace) { Core::Learning::Pace.new(items, snapshot.progress) }

        # {person => items of the next kind of run that they hold up}.
        def blocking
          @blocking ||= snapshot.memo(:blocking) do
            kinds = Core::Learning::Readiness::KINDS
            found = kinds.lazy.map { |kind| Core::Learning::Readiness.new(items, snapshot.progress, kind:).blocks }
            (found.find(&:any?) || []).flat_map(&:lacking).tally
          end
        end

        # {group id => ids of its dancers}, of groups that have some.
        def members
          @members ||= snapshot.of_work(:members) do
            cast.each_with_object({}) { |(id, ids), found| ids.each { |group| (found[group] ||= []) << id } }
          end
        end

        # {group id => "5/7"} of one item.
        def shares_of(item)
          snapshot.memo([:shares, item.key, strand], of: item.key) do
            dancers = snapshot.dancers.fetch(item.key)
            members.transform_values { |ids| share(item, ids.select { |id| dancers.include?(id) }) }
          end
        end

        def share(item, ids)
          "#{ids.count { |id| progress.learned?(id, item.key) }}/#{ids.size}" if ids.any?
        end
      end
    end
  end
end
