# frozen_string_literal: true

SemanticLogger.application = "join-chain"
SemanticLogger.default_level = Settings.test? && !ENV["LOG"] ? :fatal : :info
SemanticLogger.add_appender(io: $stderr, level: :error) if ENV["LOG"]
formatter = Settings.production? ? :json : :default
unless Settings.test?
  SemanticLogger.add_appender(io: $stderr, formatter:, level: Settings.production? ? :info : :warn)
  FileUtils.mkdir_p(File.join(Settings::ROOT, "tmp"))
  unless Settings.production?
    SemanticLogger.add_appender(
      file_name: File.join(Settings::ROOT, "tmp", "#{Settings.environment}.log"),
      formatter: :default
    )
  end
end
