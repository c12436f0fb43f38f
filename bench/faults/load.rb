# frozen_string_literal: true

module Bench
  module Faults
    # What is sent while things are killed: ticks one after another, a section's steps edited, people added. Each keeps
    # what was acknowledged, to be looked for afterwards.
    class Load
      attr_reader :ticks, :edits, :people

      # visitors: one signed-in Visitor for each kind; where: {piece:, section:, cell:}.
      def initialize(visitors, where, stopped:)
        @visitors = visitors
        @where = where
        @stopped = stopped
        @ticks = []
        @edits = []
        @people = []
      end

      def start
        @threads = [[:tick, 0.03], [:edit, 0.1], [:add, 0.1]].map { |work, pause| Thread.new { repeat(work, pause) } }
      end

      def finish = @threads.each(&:join)

      # How many were acknowledged so far.
      def size = ticks.size + edits.size + people.size

      private

      def repeat(work, pause)
        count = 0
        until @stopped.call
          send(work, count += 1)
          sleep pause
        end
      end

      def tick(count)
        @tick_token ||= @visitors[0].token
        client = "trial-#{count}"
        data = { cells: [@where[:cell]], rung: (count % 4) + 1, kind: "danced", client: }
        ticks << client if @visitors[0].send_json("/pieces/#{@where[:piece]}/ticks", data, @tick_token)
      end

      # Opens the form, changes its first eight, sends it.
      def edit(count)
        page = @visitors[1].read("/pieces/#{@where[:piece]}/steps?section=#{@where[:section]}")
        form = page[%r{<form method="post" action="/pieces/\d+/sections/\d+/steps".*?</form>}m] or return
        fields = form.scan(/name="((?:rows|lock_version|authenticity_token)[^"]*)"[^>]*? value="([^"]*)"/m)
        fields += form.scan(/ value="([^"]*)"[^>]*? name="(rows[^"]*)"/m).map(&:reverse)
        values = fields.to_h { |name, value| [name, CGI.unescapeHTML(value)] }
        text = "1 step R 2 clap (trial #{count})"
        values["rows[1][text]"] = text
        key = values.delete("authenticity_token")
        path = "/pieces/#{@where[:piece]}/sections/#{@where[:section]}/steps"
        edits << text if @visitors[1].send_form(path, values, key:)
      end

      def add(count)
        name = "Trial Person #{count}"
        people << name if @visitors[2].send_form("/people", { "name" => name, "dances" => "1" })
      end
    end
  end
end
