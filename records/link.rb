# frozen_string_literal: true

module Records
  # One place in the running order. changes_made: {"replace" => {"4" => {…}}, "drop" => [2], "insert_after" => {…}}.
  class Link < Base
    belongs_to :studio
    belongs_to :piece
    belongs_to :section
  end
end
