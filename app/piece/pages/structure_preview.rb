# frozen_string_literal: true

module App
  module Piece
    module Pages
      # What typed lines of structure mean, each line beside what it became: links with counts and times, remarks, what
      # waits for an answer; then totals, and who is new.
      class StructurePreview
        # text: as typed; links: [Link]; note: words kept as a remark, or nil; kind: :links, :remark, :order, :waits.
        TypedLine = Struct.new(:number, :text, :kind, :links, :note, :asked, keyword_init: true)
        Link = Struct.new(:index, :name, :echo, :length, :teacher, :from, :at, keyword_init: true)
        # about: the question in words; ways: [[what the button says, {line number => text}]].
        Asked = Struct.new(:about, :ways, keyword_init: true)
        attr_reader :structure

        def self.of(studio, params)
          piece = studio.pieces.find_by(id: params["piece"].to_s[/\A\d+\z/])
          saved = piece ? Records::Mapping::Works.load(piece) : typed(params)
          text = params["structure"]
          bpm = TypedFacts.new(params).bpm unless piece
          new(Reading::TypedStructure.read(studio, text, piece:, bpm:), saved, text:, teach: params["teach"])
        end

        # A work with nothing but the music that is typed beside the lines.
        def self.typed(params)
          facts = TypedFacts.new(params)
          Core::Piece::Work.new(
            title: "",
            track: Core::Music::Track.new(tempo: [[1, facts.bpm&.clamp(20, 400) || 120]], length_seconds: facts.length)
          )
        end
        private_class_method :typed

        # saved: the work as it is, for its track and its groups' parts; teach: names that are ticked to teach.
        def initialize(structure, saved, text: "", teach: [])
          @structure = structure
          @saved = saved
          @text = text.to_s
          @teach = Array(teach).map { |name| Core::Piece::StructureReader.fold(name) }
          @work = SketchedWork.new(structure, saved).work
          @order = @work.order
        end

        def lines
          @text.scrub("?").lines.map(&:strip).each_with_index.filter_map do |text, i|
            line(i + 1, text) unless text.empty?
          end
        end

        # [[name, whether ticked], …] of teachers whom the studio does not have.
        def strangers
          names = structure.sections.flat_map(&:strangers).uniq { |name| Core::Piece::StructureReader.fold(name) }
          names.map { |name| [name, @teach.include?(Core::Piece::StructureReader.fold(name))] }
        end

        # Findings that ask nothing: [[text, whether they keep the lines from being saved], …].
        def findings
          structure.findings.reject { |finding| finding.ways&.any? }.sort_by(&:line)
            .map { |finding| [Shared::Wording.structure(finding), Reading::TypedStructure.blocking?(finding)] }
        end

        # {name of a field => what the list says for it}.
        def facts
          said = structure.facts
          date = said[:date] && SaidDate.of(said[:date], Shared::Clock.now.to_date)
          { "title" => said[:title], "bpm" => said[:bpm]&.to_s, "length" => said[:length],
            "show_date" => date&.iso8601 }.compact
        end

        def music = Core::Piece::MusicFit.new(@work).findings.map { |finding| Shared::Wording.music(finding) }
        def empty? = structure.links.empty? && structure.findings.empty? && structure.remarks.empty?

        def totals
          I18n.t(
            structure.total_counts || structure.links.empty? ? "structure.totals" : "structure.at_least",
            links: count(structure.links, "link"),
            sections: count(structure.sections, "section"),
            counts: @order.total_counts,
            eights: Shared::Amount.of(@order.total_counts / 8.0),
            length: Formats::Times.length(@order.length_seconds),
            fresh: Shared::Amount.of(Core::Planning::Load.new(@work).shares.sum(&:eights))
          )
        end

        private

        def count(things, word) = "#{things.size} #{word}#{'s' unless things.size == 1}"

        def line(number, text)
          account = structure.accounts[number]
          asked = asked(number)
          TypedLine.new(number:, text:, kind: kind(account, asked), links: links(account), note: account&.note, asked:)
        end

        def kind(account, asked)
          return :links if account&.links&.any?
          return :order if account&.order

          return :waits if asked.any?

          account && fact?(account) ? :fact : :remark
        end

        def fact?(account)
          account.note == structure.facts[:title] || Core::Piece::Listing::Facts.of(account.note.to_s).any?
        end

        def asked(number)
          structure.findings.select { |finding| finding.line == number && finding.ways&.any? }.map do |finding|
            ways = finding.ways.map { |way| [Shared::Wording.way(way), way.lines] }
            Asked.new(about: Shared::Wording.structure(finding), ways:)
          end
        end

        def links(account) = account ? account.links.map { |link| link(link) } : []

        def link(sketched)
          sketch = structure.sections[sketched.section]
          placed = placed(sketched)
          Link.new(
            index: placed&.index, name: sketched.called.empty? ? sketch.name : sketched.called,
            echo: echo(sketched, placed), length: length(sketched, sketch), teacher: sketched.teachers.to_a.join(" & "),
            from: placed&.start_count, at: placed && Formats::Times.length(placed.start_seconds)
          )
        end

        def placed(sketched)
          at = structure.links.index { |link| link.equal?(sketched) }
          at && @order.links[at]
        end

        # [what marks it as a repeat, …]
        def echo(sketched, placed)
          return [I18n.t("structure.taken_out")] unless placed

          of = structure.sections[sketched.section].name
          [
            (I18n.t("structure.again_of", name: of) unless sketched.called.empty?),
            (I18n.t("echo.marks.same") if sketched.called.empty? && placed.occurrence > 1),
            (I18n.t("echo.marks.mirrored") if sketched.mirrored),
            (I18n.t("echo.marks.altered") if sketched.altered)
          ].compact
        end

        def length(sketched, sketch)
          return sketch.open || I18n.t("structure.length_unknown") if sketch.rows.empty?

          rows = sketched.only ? sketch.rows[(sketched.only.first - 1)..(sketched.only.last - 1)] : sketch.rows
          Core::Piece::LengthText.render(rows)
        end
      end
    end
  end
end
