# frozen_string_literal: true

module Records
  module Mapping
    # Rows of an archive under new numbers: {table => {old => new}}, and what is written in keys made to follow.
    class Renumbered
      ItemKey = Core::Values::ItemKey
      TaskKey = Core::Planning::TaskKey
      EDGE = /\A(\d+)(m?)(?:x(\d+))?\z/
      private_constant :ItemKey, :TaskKey, :EDGE

      attr_reader :maps

      def initialize = @maps = Hash.new { |all, table| all[table] = {} }

      # Numbers the rows of a table; rows without a number of their own, or with one twice, are not of it.
      def number(table, rows)
        own = rows.select { |row| row["id"].is_a?(Integer) }.uniq { |row| row["id"] }
        own.map { |row| row["id"] }.zip(StudioRows.numbers(table, own.size)) { |old, new| maps[table][old] = new }
        own
      end

      # A row as it is here; nil where it hangs on something that did not come and cannot be without it.
      def row(table, given, references:, columns:, optional:, defaults:)
        made = defaults.merge(given.slice(*columns))
        made["id"] = maps[table].fetch(given["id"])
        references.each { |column, target| made[column] = made[column] && maps[target][made[column]] }
        keys(made) if (references.keys - optional).none? { |column| made[column].nil? }
      end

      # Keys of learning items, joins and tasks.
      def item_key(text)
        key = ItemKey.parse(text)
        key.with(subject: subject(key), group: key.group && maps["groups"][key.group.to_i]&.to_s).to_s
      rescue Core::ValueError
        text
      end

      def task_key(text)
        doing = TaskKey.doing(text)
        about = TaskKey.subject(text)
        return text if about == text
        return TaskKey.of(doing, maps["drills"][about.to_i]) if doing == "drill" && about.match?(/\A\d+\z/)

        about.match?(/\A[sdjoe]/) ? TaskKey.of(doing, item_key(about)) : text
      end

      private

      def keys(made)
        made["item_key"] = item_key(made["item_key"]) if made["item_key"].is_a?(String)
        made["join_key"] = item_key(made["join_key"]) if made["join_key"].is_a?(String)
        made["task_key"] = task_key(made["task_key"]) if made["task_key"].is_a?(String)
        if made.key?("section_ids")
          made["section_ids"] = Array(made["section_ids"]).filter_map do |id|
            maps["sections"][id]
          end
        end
        made["result"] = deep(made["result"]) if made.key?("result")
        StudioRows::EMPTIED.each { |column| made[column] = nil if made.key?(column) }
        made
      end

      def subject(key)
        case key.kind
        when :section then maps["sections"].fetch(key.subject.to_i, 0).to_s
        when :difference then maps["links"].fetch(key.subject.to_i, 0).to_s
        when :join then key.subject.split("-", 2).map { |edge| edge(edge) }.join("-")
        else key.subject
        end
      end

      def edge(text)
        found = EDGE.match(text) or return text
        link = found[3] && "x#{maps['links'].fetch(found[3].to_i, 0)}"
        "#{maps['sections'].fetch(found[1].to_i, 0)}#{found[2]}#{link}"
      end

      # Task keys anywhere in what a plan remembers of how it was made.
      def deep(value)
        case value
        when String then value.match?(/\A[a-z]+-[sdjoe\d]/) ? task_key(value) : value
        when Array then value.map { |each| deep(each) }
        when Hash then value.to_h { |key, each| [deep(key), deep(each)] }
        else value
        end
      end
    end
  end
end
