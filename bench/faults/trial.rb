# frozen_string_literal: true

require "time"
require_relative "server"
require_relative "visitor"
require_relative "tablet"
require_relative "load"
require_relative "report"

module Bench
  module Faults
    # Rounds of kills under a steady load, and a look at what is stored afterwards.
    class Trial
      KILLED = {
        web: "web server",
        worker: "worker",
        backend: "one database backend",
        postmaster: "database server"
      }.freeze
      # The demo's own, on a cluster that is made for the trial.
      PASSWORD = File.read(File.join(Server::ROOT, "app/demo/builder.rb"))[/PASSWORD = "([^"]+)"/, 1]
      EMAIL = "ilse@thornbeck.example"
      MOST = 90

      def initialize(rounds:)
        @rounds = rounds
        @server = Server.new
        @times = Hash.new { |all, what| all[what] = [] }
        @sent = Hash.new { |all, what| all[what] = [] }
        @tablets = []
        @stop = false
      end

      def run
        @server.start
        load = Load.new(visitors, place, stopped: -> { @stop })
        load.start
        open_tablets
        @rounds.times { KILLED.each_key { |what| kill(what, load) } }
        @stop = true
        load.finish
        @counts = { "ticks" => ticks(load), "edits" => edits(load), "people added" => people(load),
                    "said on two tablets" => said_on_tablets }
      ensure
        @stop = true
        @tablets.each(&:close)
        @server.stop
      end

      def report = Report.new(@times, @counts, sent: @sent)

      private

      def visitors
        Array.new(3) do
          Visitor.new(@server.port, stopped: -> { @stop }).tap { |visitor| visitor.sign_in(EMAIL, PASSWORD) }
        end
      end

      def rows(sql, *values) = @server.database { |connection| connection.exec_params(sql, values).values }

      # A piece with a plan, a section of it, and a cell of somebody who dances it.
      def place
        piece, section, person = rows(<<~SQL).first
          SELECT s.piece_id, s.id, l.person_id FROM sections s
          JOIN learning_states l ON l.piece_id = s.piece_id AND l.item_key = 's' || s.id
          JOIN pieces p ON p.id = s.piece_id AND p.archived_at IS NULL ORDER BY s.piece_id, s.id, l.person_id LIMIT 1
        SQL
        { piece:, section:, cell: "#{person}:s#{section}" }
      end

      # Kills it, and waits until the load goes on and the worker beats.
      def kill(what, load)
        @server.wait(MOST, "the load") { load.size.positive? }
        said = @tablets.map(&:said)
        @server.kill(what)
        killed_at = Time.now
        before = load.size
        seconds = @server.wait(MOST, KILLED[what]) do
          load.size > before + 3 && @server.answers? && @server.worker_beats_after?(killed_at)
        end
        @times[KILLED[what]] << seconds
        @sent[KILLED[what]] << (seconds + all_sent(said))
        sleep 1
      end

      # Two tablets in the room of a rehearsal that is moved to today.
      def open_tablets
        rehearsal = rows(<<~SQL).first.first
          UPDATE rehearsals SET date = current_date WHERE id = (
            SELECT r.id FROM rehearsals r JOIN slots s ON s.rehearsal_id = r.id WHERE r.date >= current_date
            ORDER BY r.date LIMIT 1
          ) RETURNING id
        SQL
        @tablets = Array.new(2) { Tablet.new("http://127.0.0.1:#{@server.port}") }
        @tablets.each { |tablet| tablet.start(rehearsal) }
      end

      # Seconds until both tablets have an answer for what was said by then.
      def all_sent(said)
        @server.wait(MOST, "an answer to the tablets") do
          @tablets.zip(said).all? { |tablet, keys| tablet.waiting(keys).zero? }
        end
      end

      # Everything that was said is stored once, and in the order in which each tablet said it.
      def said_on_tablets
        @tablets.each(&:quiet)
        said = @tablets.map(&:said)
        all_sent(said)
        stored = rows("SELECT client_id FROM attendance_entries ORDER BY id").flatten
        disordered = said.count { |keys| (stored & keys) != keys & stored }
        lost = said.flatten.size - (said.flatten & stored).size
        [said.flatten.size, lost, stored.size - stored.uniq.size + disordered]
      end

      # Each acknowledged tick stands in the log once.
      def ticks(load)
        keys = rows("SELECT client_id FROM ledger_entries WHERE client_id LIKE 'trial-%'").flatten
        stored = keys.map { |key| key[/\Atrial-\d+/] }
        [load.ticks.size, (load.ticks - stored).size, stored.size - stored.uniq.size]
      end

      # Each acknowledged edit is a version of the piece, once.
      def edits(load)
        stored = rows("SELECT work::text FROM revisions").flatten.filter_map { |work| work[/\(trial \d+\)/] }
        numbers = load.edits.map { |text| text[/\(trial \d+\)/] }
        [numbers.size, (numbers - stored).size, numbers.sum { |number| [stored.count(number) - 1, 0].max }]
      end

      def people(load)
        stored = rows("SELECT name FROM people WHERE name LIKE 'Trial Person %'").flatten
        [load.people.size, (load.people - stored).size, stored.size - stored.uniq.size]
      end
    end
  end
end
