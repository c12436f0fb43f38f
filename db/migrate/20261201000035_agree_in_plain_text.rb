# frozen_string_literal: true

require "digest"

# Digests of agreed edges were made of a text that depends on the locale of the process ("passé" is written otherwise
# under LC_ALL=C). They are made of plain text now ("3:"); nothing else in them changed. A row is restated only where
# its "2:" is that of the edge as it stands, in either writing; the others stay, and are shown as changed.
class AgreeInPlainText < ActiveRecord::Migration[7.2]
  def up
    execute "ALTER TABLE agreements DISABLE TRIGGER append_only"
    Records::Piece.where(id: Records::Agreement.where("leaving_digest LIKE '2:%'").select(:piece_id))
      .find_each { |piece| restate(piece) }
    # The counters' deferred triggers first: a table with events that wait cannot be altered.
    execute "SET CONSTRAINTS ALL IMMEDIATE"
    execute "ALTER TABLE agreements ENABLE TRIGGER append_only"
    execute "SET CONSTRAINTS ALL DEFERRED"
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  def restate(piece)
    work = Records::Mapping::Works.load(piece)
    Core::Joins::Review.new(work, vocabulary: piece.studio.vocabulary).joins.each do |held|
      rows = Records::Agreement.where(piece_id: piece.id, join_key: held.join.key)
      { leaving_digest: held.seam.leaving, entering_digest: held.seam.entering }.each do |column, side|
        now = Core::Joins::Agreement.digest(side)
        rows.where(column => before(side)).update_all(column => now)
      end
    end
  rescue Core::Error => e
    say "piece #{piece.id} cannot be read, its agreements stay as they are: #{e.class}"
  end

  # The digests as they were made before, by a process of either kind.
  def before(side)
    edge = Core::Joins::Agreement.edge(side)
    [Encoding::UTF_8, Encoding::US_ASCII].map do |encoding|
      "2:#{Digest::SHA256.hexdigest(shown(edge, encoding))[0, 24]}"
    end
  end

  # As `inspect` writes it where the process takes texts for this encoding.
  def shown(edge, encoding)
    was = Encoding.default_external
    warned = $VERBOSE
    $VERBOSE = nil
    Encoding.default_external = encoding
    edge.inspect
  ensure
    Encoding.default_external = was
    $VERBOSE = warned
  end
end
