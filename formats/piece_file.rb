# frozen_string_literal: true

module Formats
  # piece-1 with everything that hangs on a piece beside its steps: its people and cast, where everybody stands,
  # versions, what was agreed of its joins, what a plan aims at. A piece-1 file without these is one, too; whoever reads
  # only piece-1 leaves them out. Ids hold within the file.
  module PieceFile
    Person = Struct.new(:id, :name, :dances, :teaches, :adult, :tape, :initials, keyword_init: true)
    Formation = Struct.new(:link, :moment, :count, :spots, keyword_init: true)
    Spot = Struct.new(:person, :x, :y, :facing, :pinned, keyword_init: true)
    # eights: {"4" => text}
    Version = Struct.new(:section, :kind, :eights, :note, keyword_init: true)
    # Who dances a version: a person or a group, in one section or (nil) in the whole piece.
    VersionOf = Struct.new(:kind, :section, :person, :group, keyword_init: true)
    # join: its number in the running order; changed: the sides that changed since, of SIDES.
    Agreement = Struct.new(:join, :words, :by, :day, :changed, keyword_init: true)
    JoinFact = Struct.new(:join, :owner, :note, keyword_init: true)
    Understudy = Struct.new(:person, :covers, keyword_init: true)

    # work: Core::Piece::Work with the file's ids; show_date: Date or nil; settings: {name => plain value}; people:
    # [Person]; leaders: {group id => person id}; cast: {person id => [group id]}; section_facts: {section id => {name
    # => plain value}}; the rest lists of the structs above.
    Content = Struct.new(:work, :show_date, :settings, :people, :leaders, :cast, :section_facts, :formations, :versions,
                         :version_people, :agreements, :join_facts, :understudies, keyword_init: true)

    SIDES = %w[leaving entering].freeze
    VERSIONS = %w[seated arms_only smaller on_the_spot challenge].freeze
    # What is said of a section beside what the core knows.
    SECTION_FACTS = %w[letter note bring called_by learned_way learned_runs layered_ladder said_length
                       said_teachers].freeze
    # Keys of a file beside those of piece-1.
    KEYS = %w[show_date settings people cast formations versions version_people agreements join_facts
              understudies].freeze

    # Text => [Content, notes]. Raises FaultyFile.
    def self.parse(text) = Reader.new(JsonText.parse(text, format: Piece::NAME)).read

    # What a piece is set to, as a file or an archive has it => {name => plain value} of what it may be. Raises
    # FaultyFile.
    def self.settings(given)
      report = Fields.report
      read = Settings.new(Fields.new(given, "settings", report)).read
      report.finish
      read
    end

    # Content => JSON text, the same for the same content.
    def self.render(content) = "#{JSON.pretty_generate(Writer.new(content).to_h)}\n"
  end
end

require_relative "piece_file/settings"
require_relative "piece_file/reader"
require_relative "piece_file/writer"
