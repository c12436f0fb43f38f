# frozen_string_literal: true

# Open formats, in and out. Names the core and nothing else.
module Formats; end

require "json"
require "csv"
require "date"
require_relative "../core/core"
require_relative "support/errors"
require_relative "support/fields"
require_relative "support/json_text"
require_relative "support/times"
require_relative "phrases"
require_relative "plan_problem"
require_relative "plan_result"
require_relative "call_order"
require_relative "piece"
require_relative "piece_file"
require_relative "starts"
require_relative "structure"
require_relative "piece_check"
require_relative "table"
require_relative "csv"
require_relative "roster"
require_relative "practice_track"
require_relative "count_sheet"
