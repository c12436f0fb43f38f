# frozen_string_literal: true

require_relative "web"

module Bench
  # Everything that goes out as a file, of the demo and of the large studio (400 dancers, 60 links, 119 things to have,
  # half of them ticked): seconds, bytes, and how much more memory the process holds after it. Nothing is kept.
  class Exports
    def run
      Records::Studio.transaction do
        demo = Records::Studio.find_by!(demo: true)
        report("demo", demo, demo.pieces.find_by!(title: App::Demo::World::WINGS))
        studio, title = LargeStudio.new.make
        report("large", studio, studio.pieces.find_by!(title:))
        raise ActiveRecord::Rollback
      end
    end

    private

    def report(label, studio, piece)
      @studio = studio
      @piece = piece
      ways.each do |name, make|
        App::Reading::PieceSnapshots.clear
        GC.start
        before = held
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        bytes = make.call
        seconds = Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
        puts format("%-6s %-24s %7.2f s %9.1f KB  +%4d MB", label, name, seconds, bytes / 1000.0, held - before)
      end
    end

    # Megabytes of this process.
    def held = File.read("/proc/self/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024

    def ways
      {
        "piece file" => -> { Formats::PieceFile.render(App::Reading::PieceContent.new(@piece).content).bytesize },
        **tables, **papers,
        "spine.png" => -> { picture(page(App::Files::Pages::Piece).spine.svg) },
        "music.mid" => -> { App::Piece::MidiFile.new(work).bytes.bytesize },
        "practice.wav" => -> { practice },
        "studio archive" => -> { pack }, "studio archive, in" => -> { unpack }
      }
    end

    def tables
      of_piece = App::Files::Tables::OF_PIECE.map { |name, table| [name, table, @piece] }
      of_studio = App::Files::Tables::OF_STUDIO.map { |name, table| [name, table, @studio] }
      (of_piece + of_studio).to_h do |name, table, about|
        ["#{name}.xlsx", -> { App::Shared::TableFile.write("xlsx", table.new(about, Date.today).tables).bytesize }]
      end
    end

    def papers
      { "who-has-it.pdf" => -> { paper(page(App::Learning::Pages::GridPaper)) },
        "build.pdf" => -> { paper(page(App::Planning::Pages::BuildPaper)) },
        "count sheet.pdf" => -> { paper(page(App::Steps::Pages::CountSheetPaper)) },
        "join sheet.pdf" => -> { paper(page(App::Joins::Pages::JoinPaper, index: 1)) },
        "notes.pdf" => -> { paper(page(App::Runs::Pages::NotesPaper)) },
        "own sheet.pdf" => -> { paper(App::MyPart::Pages::OwnPaper.new(@piece.people.first, Time.now.utc)) } }
    end

    def member = @studio.memberships.find_by!(role: "director")
    def page(kind, **more) = kind.new(piece: @piece, member:, now: @studio.local(Time.now.utc), **more)
    def paper(shown) = App::Shared::Paper.render(shown.paper, "a4").bytesize
    def picture(svg) = App::Shared::StandaloneSvg.png(App::Shared::StandaloneSvg.of(svg)).bytesize
    def work = App::Reading::PieceSnapshots.of(@piece).work

    def practice
      snapshot = App::Reading::PieceSnapshots.of(@piece)
      asked = { "to" => [5, work.order.links.size].min.to_s }
      App::Shared::PracticeFile.new(snapshot, asked).run.value.bytesize
    end

    def pack
      @transfer = @studio.transfers.create!(account: member.account, kind: "pack", state: "working")
      App::Files::Actions::PackStudio.new(@transfer).run["bytes"]
    end

    def unpack
      transfer = Records::Transfer.create!(account: member.account, kind: "unpack", state: "working")
      File.open(App::Shared::ArchiveFile.path(@transfer), "rb") do |file|
        App::Files::Actions::UnpackStudio.new(transfer, Formats::StudioArchive.parse(file)).run
        file.size
      end
    ensure
      App::Shared::ArchiveFile.remove(@transfer)
    end
  end
end
