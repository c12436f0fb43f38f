# frozen_string_literal: true

module App
  module Files
    # What goes out as a table: by the name in its address.
    module Tables
      OF_PIECE = { "who-has-it" => WhoHasIt, "plan" => Plan, "notes" => Notes }.freeze
      OF_STUDIO = { "roster" => Roster, "attendance" => Attendance, "loads" => Loads }.freeze
    end
  end
end
