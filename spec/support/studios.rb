# frozen_string_literal: true

# A studio with its people and a piece, made through the application's own actions.
module Studios
  PASSWORD = "a long password"
  LINES =
    "Opening Walk, 4 eights, Odalys\nSpiral, 3 eights + 4, Mirela\nOpening Walk again, other side\nSpiral again, " \
    "with changes in 2"

  def make_studio(name = "Studio #{SecureRandom.hex(3)}")
    Records::Studio.create!(name:)
  end

  def make_member(studio, role, name: role.capitalize, person: nil)
    account = Records::Account.create!(name:, email: "#{role}-#{SecureRandom.hex(4)}@example.org", password: PASSWORD)
    studio.memberships.create!(account:, role:, person:)
  end

  def make_piece(_studio, director, lines: LINES, title: "Winter Piece", show_date: "2027-03-20")
    teach = Core::Piece::StructureReader.new(lines).structure.people.map(&:name)
    App::Piece::Actions::Create.new(
      director,
      { "title" => title, "show_date" => show_date, "bpm" => "120", "structure" => lines, "teach" => teach }
    ).run
  end

  def make_cast(piece, names = %w[Ada Bram Cleo], group: "All")
    App::People::Actions::ImportRoster.new(
      piece.studio,
      names.map { |name| "#{name} Test,#{group}" }.join("\n"),
      piece.id.to_s
    ).run
    piece.reload.people.order(:name).to_a
  end

  def make_season(studio, rooms: [["Hall", 40]], first: "2027-02-02", last: "2027-03-16", from: "18:00", to: "20:00",
                  days: ["2"])
    made = rooms.map { |name, capacity| studio.rooms.create!(name:, capacity:) }
    App::Rehearsals::Actions::Add.new(
      studio,
      {
        "start" => from,
        "end" => to,
        "days" => days,
        "first" => first,
        "last" => last,
        "rooms" => made.map { |r| r.id.to_s }
      }
    ).run
  end
end
