# frozen_string_literal: true

ActiveRecord.default_timezone = :utc
ActiveRecord::Base.logger = nil
ActiveRecord::Base.establish_connection(url: Settings.database_url, pool: Settings.pool, prepared_statements: true,
                                        variables: { statement_timeout: "30s" })
Que.connection = ActiveRecord
Que.logger = Logger.new(File::NULL)
