# frozen_string_literal: true

module App
  module Learning
    module Actions
      # Adds entries to the learning log and folds their cells anew, in one transaction.
      class RecordTicks
        MOST = 3000

        # sent: {"cells" => ["person:item", …], "kind", "rung", "strand" => as StrandForm says it, "client" => a key
        # of the sender's own}.
        def initialize(piece, member, sent, today)
          @piece = piece
          @member = member
          @cells = Array(sent["cells"]).first(MOST).map { |cell| cell.to_s.split(":", 2) }
          @kind = sent["kind"].presence || "danced"
          @rung = Integer(sent["rung"].to_s, exception: false)
          @strand = StrandForm.read(sent["strand"])
          @client = sent["client"].to_s[0, 40]
          @today = today
        end

        # Value: the new state of every cell, as the grid prints it.
        def run
          return no("which_rung") unless @rung&.between?(1, progress.ladder.top) && by_hand?
          return no("which_strand") if @strand.nil?

          keys = known
          return no("nobody") if keys.empty?
          return no("not_yours") if Core::Learning::Entry::OF_TEACHERS.include?(@kind) && !signs?(keys)

          Shared::Result.ok(CellStates.new(progress, write(keys), @today).to_a)
        end

        private

        def no(key) = Shared::Result.no({ error: I18n.t("learning.#{key}") })
        def by_hand? = Core::Learning::Entry::BY_HAND.include?(@kind)
        def snapshot = @snapshot ||= Reading::PieceSnapshots.of_work(@piece)
        def progress = snapshot.progress

        # Only cells of somebody who dances that item, or who learns it to step in for somebody who does.
        def known
          dancers = snapshot.dancers
          @cells.map { |person, key| [person.to_i, key] }
            .select { |person, key| dancers[key] && dances?(person, dancers[key]) }
            .uniq
        end

        def dances?(person, dancers)
          return dancers.include?(person) unless @strand.covers

          dancers.include?(@strand.covers) && snapshot.cast.key?(person) && person != @strand.covers
        end

        def signs?(keys)
          policy = SignOffPolicy.new(@member, @piece, snapshot.work.order, @today)
          wanted = keys.map(&:last).uniq
          snapshot.items.all.select { |item| wanted.include?(item.key) }.all? { |item| policy.item?(item) }
        end

        def write(keys)
          Records::Mapping::Learnings.append(@piece, keys.map { |person, key| entry(person, key) })
        end

        def entry(person, key)
          Shared::LogLine.of(@piece, @member.account, @today).merge(
            person_id: person,
            item_key: key,
            kind: @kind,
            rung: @rung,
            **Records::Mapping::Learnings.columns(@strand),
            client_id: (@client.empty? ? nil : "#{@client}:#{person}:#{key}#{strand_key}")
          )
        end

        def strand_key = @strand.own? ? "" : ":#{StrandForm.write(@strand)}"
      end
    end
  end
end
