# frozen_string_literal: true

require "open3"
require "tempfile"

module App
  module Shared
    # Runs what reads a file from elsewhere in a process of its own with limits of processor time, memory and what it
    # may write: repetitions that never come true, archives that unpack to a thousand times their size and films made
    # to
    # confuse end there, and take nothing from anybody else.
    module Confined
      SCRIPT = File.join(Settings::ROOT, "config", "confined.rb")
      # What each kind of work may use: seconds of processor time, megabytes of memory, megabytes it may write to a
      # file.
      Limits = Struct.new(:seconds, :memory, :written, keyword_init: true)
      LIMITS = {
        "calendar" => Limits.new(seconds: 6, memory: 1500, written: 10),
        "workbook" => Limits.new(seconds: 15, memory: 1500, written: 80),
        "manifest" => Limits.new(seconds: 10, memory: 1500, written: 10),
        "archive" => Limits.new(seconds: 300, memory: 1500, written: 220),
        "film" => Limits.new(seconds: 60, memory: 2500, written: 250)
      }.freeze
      MEGABYTE = 1024 * 1024
      # A compiler in Ruby takes more memory at its start than the work.
      PLAIN = { "RUBYOPT" => nil, "RUBY_YJIT_ENABLE" => nil }.freeze

      # The work took more than it may, or ended without an answer.
      class TooMuch < StandardError
      end

      module_function

      # What the child says of a file, as data. kind: a key of LIMITS; path: of the file; more: plain values. Raises
      # Formats::FaultyFile with what is wrong with the file, or TooMuch.
      def read(kind, path, **more)
        out, fine = run(kind, RbConfig.ruby, SCRIPT, kind, path, JSON.generate(more), env: PLAIN)
        raise TooMuch, kind unless fine

        said = JSON.parse(out)
        raise Formats::FaultyFile, said["faults"] if said.key?("faults")

        said.fetch("answer")
      rescue JSON::ParserError
        raise TooMuch, kind
      end

      # The same for bytes at hand.
      def read_bytes(kind, bytes, **more)
        Tempfile.create("confined", binmode: true) do |file|
          file.write(bytes)
          file.flush
          read(kind, file.path, **more)
        end
      end

      # What a command prints, and whether it came to a good end within the limits of a kind of work.
      def run(kind, *command, env: {})
        limits = LIMITS.fetch(kind)
        patience = ["timeout", "--signal=KILL", (limits.seconds * 2).to_s]
        out, status = Open3.capture2(env, *patience, *command, stdin_data: "", err: File::NULL, **held(limits))
        [out, status.success?]
      end

      def held(limits)
        { rlimit_cpu: limits.seconds, rlimit_as: limits.memory * MEGABYTE, rlimit_fsize: limits.written * MEGABYTE,
          rlimit_core: 0 }
      end
    end
  end
end
