# frozen_string_literal: true

require "web_helper"

# What a choreographer can do stays with their own sections; what goes further is the director's.
RSpec.describe "beyond one's own", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director", name: "Perrin") }
  let(:piece) { make_piece(studio, director) }
  let(:walk) { piece.sections.find_by!(name: "Opening Walk") }
  let(:spiral) { piece.sections.find_by!(name: "Spiral") }
  let(:odalys) { make_member(studio, "choreographer", name: "Odalys", person: walk.choreographer) }
  let(:names) { "/pieces/#{piece.id}/names" }

  def text(path) = get(path).then { CGI.unescapeHTML(last_response.body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " ")) }
  def add(name, like) = send_form(names, { "name" => name, "like" => like })

  def write(section, *texts)
    texts.each_with_index { |line, i| section.eights[i].update!(text: line) }
    piece.touch
  end

  before do
    piece
    sign_in odalys
  end

  describe "words" do
    before do
      write(walk, "1 step R", "1 whizzle")
      write(spiral, "1 pivot 3 clap", "1 clap")
    end

    it "of a choreographer that only their own lines read otherwise hold at once" do
      add "whizzle", "hip"
      expect(studio.own_steps.accepted.pluck(:name)).to eq ["whizzle"]
      expect(text(names)).to include "“whizzle” is understood as hip from now on"
    end

    it "that others' lines read otherwise, or of a step everybody knows, are proposed, and change nothing until then" do
      add "Clap", "jump"
      word = studio.own_steps.first
      expect([word.proposed?, word.by_name, studio.reload.vocabulary.find("clap").kind]).to eq [
        true, "Odalys", Core::Movement::Vocabulary::DEFAULT.find("clap").kind
      ]
      expect(text(names)).to include("Proposed", "like jump, by Odalys", "2 lines would read otherwise",
                                     "Winter Piece, Spiral 1: 1 pivot 3 clap")
      expect(last_response.body).not_to include "Take in Clap"
      expect(send_form("#{names}/#{word.id}/accept", {}).status).to eq 403
      mail = Records::Mail.last
      expect([mail.recipient, mail.subject]).to eq [director.account.email, "A word is proposed: Clap"]

      sign_in director
      expect(text("/")).to include "Odalys proposes a word: “Clap”"
      expect(get(names).body).to include "Take in Clap"
      send_form "#{names}/#{word.id}/accept", {}
      understood = Records::Studio.find(studio.id).vocabulary.match(%w[clap], 0).first.name
      expect([word.reload.proposed?, understood]).to eq [false, "Clap"]
    end

    it "are taken out by the director where others' lines read otherwise without them" do
      mine = studio.own_steps.create!(name: "whizzle", like: "hip", account_id: odalys.account_id)
      others = studio.own_steps.create!(name: "clap", like: "jump", account_id: odalys.account_id)
      foreign = studio.own_steps.create!(name: "zip", like: "hip", account_id: director.account_id)
      [mine, others, foreign].each { |word| send_form "#{names}/#{word.id}/delete", {} }
      expect(studio.own_steps.pluck(:name)).to contain_exactly("clap", "zip")
      sign_in director
      send_form "#{names}/#{others.id}/delete", {}
      expect(studio.own_steps.pluck(:name)).to eq ["zip"]
    end

    it "are taken back by whoever proposed them" do
      add "clap", "jump"
      send_form "#{names}/#{studio.own_steps.first.id}/delete", {}
      expect(studio.own_steps.count).to eq 0
    end
  end

  describe "versions" do
    let(:dancers) { make_cast(piece) }

    def path = "/pieces/#{piece.id}/sections/#{walk.id}/versions/seated"

    def given = piece.version_people.order(:person_id).pluck(:person_id, :section_id)

    def give(**people)
      version = walk.versions.find_by(kind: "seated")&.lock_version.to_i
      send_form path, {
        "lock_version" => version.to_s,
        "rows" => { "1" => { "text" => "1 clap" } },
        "people" => people.transform_keys { |name| dancers.find { |each| each.name.start_with?(name.to_s) }.id.to_s }
      }
    end

    it "are given in the whole piece by the director only, and not taken away by others" do
      ada, bram, = dancers
      piece.version_people.create!(studio:, person: ada, kind: "seated")
      give(Ada: "", Bram: "section")
      expect(given).to eq [[ada.id, nil], [bram.id, walk.id]]
      give(Bram: "piece")
      expect([last_response.status, last_response.body]).to match [422, /whole piece is the director/]
      expect(given).to eq [[ada.id, nil], [bram.id, walk.id]]
      expect(get("/pieces/#{piece.id}/steps?section=#{walk.id}&version=seated").body).to include "by the director"
      sign_in director
      give(Ada: "", Bram: "piece")
      expect(given).to eq [[bram.id, nil]]
    end
  end
end
