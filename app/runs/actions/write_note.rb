# frozen_string_literal: true

module App
  module Runs
    module Actions
      # A note written at a desk, or made from a trouble spot. about: "all", "g12" a group, "p3" somebody.
      class WriteNote
        def initialize(piece, account, params)
          @piece = piece
          @account = account
          @params = params
        end

        # Value: the Records::Note.
        def run
          return no("text") if text.empty? || text.size > Records::Note::MOST
          return no("kind") unless Round::KINDS.include?(kind)
          return no("place") unless place?

          note = Records::Note.new(**Shared::NoteRow.of(@piece, @account), kind:, text:, run_id:, **whom, **place)
          note.save ? Shared::Result.ok(note) : no("text")
        end

        private

        def no(key) = Shared::Result.no({ key.to_sym => I18n.t("notes.faults.#{key}") })
        def text = @params["text"].to_s.strip
        def kind = @params["kind"].presence || "fix"
        def whole(name) = Integer(@params[name].to_s, 10, exception: false)
        def run_id = (@piece.runs.find_by(id: whole("run"))&.id if whole("run"))
        def link = @link ||= whole("link")&.then { |index| index.positive? ? @piece.links[index - 1] : nil }

        def place?
          return true if @params["link"].blank?
          return false unless link

          eights = link.section.eights.count + 8
          %w[eight count].all? do |name|
            @params[name].blank? || whole(name)&.between?(1, name == "eight" ? eights : Core::Piece::Row::MAX)
          end
        end

        def place
          return {} unless link

          at = whole("count") && ((whole("count") - 1) * Records::Note::TWELFTHS)
          { link_id: link.id, section_id: link.section_id, row: whole("eight"), at: }
        end

        def whom
          about = @params["about"].to_s
          group = @piece.groups.find_by(id: about.delete_prefix("g").to_i) if about.start_with?("g")
          person = @piece.people.find_by(id: about.delete_prefix("p").to_i) if about.start_with?("p")
          return { about: "group", group: } if group
          return { about: "person", person: } if person

          { about: link ? "section" : "piece" }
        end
      end
    end
  end
end
