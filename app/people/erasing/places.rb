# frozen_string_literal: true

require "digest"

module App
  module People
    module Erasing
      # The sentences of a studio in which somebody is named, to be looked at before they are written anew.
      class Places
        # key: of the sentence; text: as it is shown, with «» around the names; where: [place] of WordsKept; count: in
        # how many rows; sure: whether nobody else can be meant; single: one word only.
        Sentence = Struct.new(:key, :text, :where, :count, :sure, :single, keyword_init: true)
        SENTENCE = /[^.!?\n]*[.!?\n]*/
        # Letters shown before and after a name.
        AROUND = 60

        def initialize(studio, person)
          @studio = studio
          @person = person
        end

        # [Sentence], those first of which it is sure.
        def all
          @all ||= begin
            found = {}
            each_value do |place, title, _, _, strings, count|
              strings.each { |text| note(found, text, place, title, count) }
            end
            found.values.sort_by { |each| [each.sure ? 0 : 1, -each.count] }
          end
        end

        # What was looked at, to know it again.
        def digest = Digest::SHA256.hexdigest(all.map(&:key).sort.join)[0, 16]

        # Writes the sentences with these keys anew. In a transaction of the caller's. Answers {table => row numbers}.
        def rewrite(keys, word)
          return {} if keys.empty?

          Records::Base.connection.execute("SET LOCAL joinchain.erasing = 'on'")
          rows = Hash.new { |all, table| all[table] = [] }
          each_value do |_, title, texts, value, _, _|
            rows[texts.first].concat(texts.last.rewrite(value) { |text| without(text, title, keys, word) })
          end
          rows.reject { |_, ids| ids.empty? }
        end

        def singles = names.singles

        private

        def each_value
          WordsKept.all.each do |place, table, column|
            texts = Texts.new(@studio, table, column)
            texts.each(names.runs) do |value, strings, count|
              yield place, WordsKept.title?(table, column), [table, texts], value, strings, count
            end
          end
        end

        def names
          @names ||= Names.new(
            @person.erased_at ? @person.names_waiting : [@person.name, *@person.former_names],
            others: people.map(&:name) + @studio.accounts.pluck(:name), titles:
          )
        end

        def people = @studio.people.where(erased_at: nil).where.not(id: @person.id)

        def titles
          [@studio.name] + WordsKept::TITLES.flat_map do |table, column|
            @studio.public_send(table).distinct.pluck(column)
          end
        end

        def sentences(text)
          text.to_enum(:scan, SENTENCE).map { Range.new(*Regexp.last_match.offset(0), true) }.reject(&:none?)
        end

        # Names by the sentence in which they stand: [[range of the sentence, [Meant]], …].
        def named(text, title)
          meant = names.meant(text, title:)
          return [] if meant.empty?

          meant.group_by { |each| sentences(text).find { |range| range.cover?(each.range.begin) } }.to_a
        end

        def key(sentence, title) = Digest::SHA256.hexdigest("#{title} #{sentence}")[0, 16]

        def note(found, text, place, title, count)
          named(text, title).each do |range, meant|
            one = found[key(text[range], title)] ||= Sentence.new(
              key: key(text[range], title), text: shown(text, range, meant), where: [], count: 0,
              sure: !title && meant.all?(&:sure), single: meant.all?(&:single)
            )
            one.where |= [place]
            one.count += count
          end
        end

        def shown(text, sentence, meant)
          from = [sentence.begin, meant.first.range.begin - AROUND].max
          to = [sentence.end, meant.last.range.end + AROUND].min
          marked = meant.reverse.reduce(text[from...to]) do |part, each|
            at = (each.range.begin - from)...(each.range.end - from)
            part[0...at.begin] + "«#{part[at]}»" + part[at.end..]
          end
          "#{'…' if from > sentence.begin}#{marked.strip}#{'…' if to < sentence.end}"
        end

        def without(text, title, keys, word)
          chosen = named(text, title).select { |range, _| keys.include?(key(text[range], title)) }
          made = text.dup
          chosen.flat_map(&:last).reverse_each { |each| made[each.range] = word }
          made
        end
      end
    end
  end
end
