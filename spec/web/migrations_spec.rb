# frozen_string_literal: true

require "web_helper"
require_relative "../../config/schema"

# A migration that rewrites rows, on a database that has such rows.
RSpec.describe "migrations", :committed, :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }

  def migrate(name)
    file = Dir[File.join(HOUSE, "db", "migrate", "*_#{name}.rb")].first
    require file
    version = File.basename(file).to_i
    Records::Base.transaction { Object.const_get(name.camelize).new(name.camelize, version).exec_migration(nil, :up) }
  end

  # The digest as it was kept before, of what the reader derived.
  def derived(side)
    body = side.body.to_h.except(:travel).transform_values(&:value)
    edge = [side.section.id, side.mirrored?, side.line&.counts, side.line&.moves&.map(&:meaning), body, []]
    Digest::SHA256.hexdigest(edge.inspect)[0, 24]
  end

  it "restate agreements that still hold, leave others as they were, and keep the table closed to changes" do
    held = Core::Joins::Review.new(Records::Mapping::Works.load(piece), vocabulary: studio.vocabulary).joins.first
    rows = [derived(held.seam.leaving), "0" * 24].map do |digest|
      piece.agreements.create!(
        studio_id: studio.id, join_key: held.join.key, kind: "agreed", leaving_digest: digest,
        entering_digest: derived(held.seam.entering), by_name: "D", day: NOW.to_date, created_at: NOW
      )
    end
    migrate "restate_agreements"
    now = Core::Joins::Agreement.of(held.seam)
    aggregate_failures do
      expect(rows.map { |row| row.reload.leaving_digest }).to eq [now.leaving, "0" * 24]
      expect(rows.map(&:entering_digest)).to eq [now.entering] * 2
      expect { rows.first.update_columns(by_name: "X") }.to raise_error(ActiveRecord::StatementInvalid)
    end
  end

  describe "a new database" do
    around do |example|
      @server = PG.connect("#{ENV.fetch('TEST_DATABASE_BASE')}/postgres")
      example.run
    ensure
      ActiveRecord::Base.establish_connection(url: ENV.fetch("DATABASE_URL"))
      made.each { |name| @server.exec("DROP DATABASE IF EXISTS #{name} WITH (FORCE)") }
      @server.close
    end

    def made = %w[file each].map { |way| "joinchain_#{way}_#{Process.pid}" }

    # What stands in a database made so, a statement each: the order in which functions are told is by chance.
    def statements(name, from_file:)
      url = "#{ENV.fetch('TEST_DATABASE_BASE')}/#{name}"
      @server.exec("CREATE DATABASE #{name} TEMPLATE template0 ENCODING 'UTF8'")
      ActiveRecord::Base.establish_connection(url:)
      ActiveRecord::Migration.suppress_messages { Schema.bring_up(from_file:) }
      seen = ActiveRecord::Base.connection.select_values("SELECT version FROM schema_migrations ORDER BY version")
      [Schema.dump(url).split(/^(?=CREATE|ALTER|COMMENT|INSERT)/).sort, seen]
    ensure
      ActiveRecord::Base.connection_pool.disconnect!
    end

    it "made from the file is the one in which each migration ran" do
      file, each = made.zip([true, false]).map { |name, from_file| statements(name, from_file:) }
      aggregate_failures do
        expect(file.first - each.first).to eq []
        expect(each.first - file.first).to eq []
        expect(file.last).to eq each.last
      end
    end
  end
end
