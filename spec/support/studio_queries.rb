# frozen_string_literal: true

# Watches what the application asks of the database while specs run: every SELECT on a table of the studios' binds its
# studio, or a row that was come by through one (a column that ends in _id), or was asked by an association of a row at
# hand. Anything else could see what is another studio's.
module StudioQueries
  # Where the house asks across all studios, each with its reason.
  ACROSS = {
    "/app/demo/" => "the demo builds its studio from nothing", "/app/jobs/" => "the worker is told the studio's number",
    "/app/health/" => "counts for whoever runs the machine", "/app/doors/" => "nobody is known there yet",
    "/app/reading/season_snapshots.rb" => "reads the studio it was given once more",
    "/app/reading/forgetting.rb" => "a process looks at the counters of the studios it holds",
    "/records/ask.rb" => "whose turn it is, among all that wait"
  }.freeze
  # A row that is asked for by Active Record for one at hand.
  AT_HAND = %r{active_record/(?:associations|reflection|relation/batches/preload|persistence|locking)}
  FROM = /\bFROM "(\w+)"/
  # By its studio, by a row of the studio's, by a secret, by what a job is to be asked with (which names its studio).
  BOUND = /"(?:\w+_id|\w*token\w*)"\s*(?:=|IN)|\bstudio_id\s*=|\bargs = |"demo" = |\bWHERE 1=0\b/
  private_constant :ACROSS, :AT_HAND, :FROM, :BOUND

  class << self
    # ["table: place"] of what was asked out of bounds so far.
    def found = @found ||= []

    def watch
      @watch ||= ActiveSupport::Notifications.subscribe("sql.active_record") do |*, payload|
        look(payload[:sql].to_s, payload[:name].to_s)
      end
    end

    # Whether a statement asks a table of the studios' without naming the studio.
    def open?(sql)
      table = sql.start_with?("SELECT") && sql[FROM, 1] or return false
      tables.include?(table) && !sql.match?(BOUND)
    end

    private

    def tables
      @tables ||= begin
        ask = ActiveRecord::Base.connection
        ask.tables.select { |table| ask.column_exists?(table, :studio_id) } + ["studios"]
      end.to_set
    end

    def look(sql, name)
      return if name == "SCHEMA" || @looking

      @looking = true
      note(sql) if open?(sql)
    ensure
      @looking = false if name != "SCHEMA"
    end

    def note(sql)
      place = caller.find { |line| line.start_with?("#{HOUSE}/app", "#{HOUSE}/records") } or return
      return if ACROSS.each_key.any? { |known| place.include?(known) } || caller.any?(AT_HAND)

      found << "#{sql[FROM, 1]}: #{place.delete_prefix("#{HOUSE}/")[/\A[^:]+:\d+/]} #{sql[0, 160]}"
    end
  end
end
