# frozen_string_literal: true

module Records
  # A version of a section. eights: {"4" => what is danced instead of eight 4}; its counts are the section's.
  class Version < Base
    KINDS = %w[seated arms_only smaller on_the_spot challenge].freeze

    belongs_to :studio
    belongs_to :section
    validates :kind, inclusion: { in: KINDS }
    validates :note, length: { maximum: 200 }
  end
end
