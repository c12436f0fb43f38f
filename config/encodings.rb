# frozen_string_literal: true

# What is read and written is UTF-8, whatever the locale of the process says: the one place that says so.
Encoding.default_external = Encoding::UTF_8
Encoding.default_internal = nil
