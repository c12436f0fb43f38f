require "digest"

# Digests of agreed edges were made of what the reader derived; now they are made of what was typed and stated. Each row
# whose old digest still matches the piece as it stands is written anew; the others stay, and are shown as changed.
class RestateAgreements < ActiveRecord::Migration[7.2]
  def up
    execute "ALTER TABLE agreements DISABLE TRIGGER append_only"
    Records::Piece.where(id: Records::Agreement.select(:piece_id)).find_each { |piece| restate(piece) }
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
      now = Core::Joins::Agreement.of(held.seam)
      rows = Records::Agreement.where(piece_id: piece.id, join_key: held.join.key)
      rows.where(leaving_digest: derived(held.seam.leaving)).update_all(leaving_digest: now.leaving)
      rows.where(entering_digest: derived(held.seam.entering)).update_all(entering_digest: now.entering)
    end
  end

  # The digest as it was made before.
  def derived(side)
    parts = side.section.parts.map do |part|
      [part.group, part.offset, part.hold_before, part.hold_after, part.mirrored]
    end
    body = side.body.to_h.except(:travel).transform_values(&:value)
    edge = [side.section.id, side.mirrored?, side.line&.counts, side.line&.moves&.map(&:meaning), body, parts]
    Digest::SHA256.hexdigest(edge.inspect)[0, 24]
  end
end
