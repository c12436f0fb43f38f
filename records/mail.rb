# frozen_string_literal: true

module Records
  # The outbox. A mail without a studio (a way back in) is for its reader only and shown to nobody.
  class Mail < Base
    belongs_to :studio, optional: true
  end
end
