# frozen_string_literal: true

module Records
  # A dancer, a choreographer, or both. No birth date, address or picture is kept.
  class Person < Base
    include Archivable

    TAPES = 12

    belongs_to :studio
    belongs_to :comes_with, class_name: "Records::Person", optional: true
    has_many :absences
    has_many :habits
    has_many :visits, dependent: :delete_all
    has_many :person_links
    has_many :group_members
    has_many :groups, through: :group_members
    has_many :castings

    normalizes :name, with: ->(name) { name.to_s.gsub(/\s+/, " ").strip }
    validates :name, presence: true, length: { maximum: 80 }
    validates :rings, length: { maximum: 40 }, format: { with: %r{\A[\d+()/ -]*\z} }
    validates :needs, length: { maximum: 120 }
    validates :band, inclusion: { in: Core::Planning::AgeBands::ALL }, allow_nil: true
    validates :tape, inclusion: { in: 1..TAPES }, allow_nil: true

    before_update :remember_name
    before_save { self.band = adult ? "adult" : (band unless band == "adult") }

    scope :present, -> { where(archived_at: nil) }
    scope :dancers, -> { present.where(dances: true).order(:name) }
    # Those whose roster came before a piece, and said their groups.
    scope :on_a_roster, -> { where("roster_groups <> '[]'::jsonb") }
    scope :choreographers, -> { present.where(teaches: true).order(:id) }

    # Whose sheet carries this code, where a word was given that it asks for.
    def self.by_sheet(code) = present.where.not(family_word: nil).find_by(sheet_token: code.to_s)

    # A word as it is compared: however it is written.
    def self.plain_word(typed) = typed.to_s.gsub(/\s+/, " ").strip.downcase

    # Whether any row of any table names them.
    def anything_hangs?
      Person.references.any? do |table, column|
        name = Base.connection.quote_table_name(table)
        Base.rows_of("SELECT 1 FROM #{name} WHERE #{Base.connection.quote_column_name(column)} = $1 LIMIT 1",
                     "hangs", [id]).any?
      end
    end

    # [[table, column], …] of what names people.
    def self.references
      @references ||= Base.connection.tables.flat_map do |table|
        Base.connection.foreign_keys(table).select { |key| key.to_table == "people" }.map do |key|
          [table, Array(key.column).reject { |column| column == "studio_id" }.last]
        end
      end
    end

    def word?(plain) = BCrypt::Password.new(family_word) == plain
    def first_name = name.split.first
    # Under which names things were said of them: what erasing goes by.
    def remember_name = (self.former_names |= [name_was] if name_changed? && erased_at.nil?)
    private :remember_name

    def short = initials.presence || name.split.first(2).map { |word| word[0] }.join.upcase
  end
end
