# frozen_string_literal: true

module Records
  module Mapping
    # A task whose people are row ids => the same with the texts a problem knows them by.
    module NamedTask
      module_function

      def of(task)
        task.with(
          dancers: ids(task.dancers), choreographers: ids(task.choreographers), may: ids(task.may),
          groups: task.groups.map { |group| { **group, people: ids(group[:people]) } },
          leads: task.leads.map { |lead| { **lead, people: ids(lead[:people]) } }
        )
      end

      def ids(people) = people.map { |id| Identifiers.person(id) }
    end
  end
end
