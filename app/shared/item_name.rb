# frozen_string_literal: true

module App
  module Shared
    # What there is to learn, as people say it: "Smoke", "from Smoke to Swarm", "Waggle Line: what differs".
    module ItemName
      module_function

      # item: Core::Learning::Item.
      def of(item)
        case item.kind
        when :opening, :ending then I18n.t("learning.#{item.kind}")
        when :difference then I18n.t("tasks.difference", name: item.name)
        else item.name
        end
      end
    end
  end
end
