# frozen_string_literal: true

require "uri"

# What comes from the environment, in one place.
module Settings
  NEEDED = %w[DATABASE_URL SESSION_SECRET APP_URL FILES_DIR].freeze
  ROOT = File.expand_path("..", __dir__)

  module_function

  def environment = ENV.fetch("APP_ENV", "development")
  def production? = environment == "production"
  def test? = environment == "test"
  def database_url = ENV.fetch("DATABASE_URL") { own_database }
  def app_url = ENV.fetch("APP_URL") { "http://127.0.0.1:#{ENV.fetch('PORT', '9292')}" }
  def files_dir = ENV.fetch("FILES_DIR") { File.join(ROOT, "tmp", "files-#{environment}") }
  def pool = Integer(ENV.fetch("DB_POOL", "12"))
  def smtp = ENV.fetch("SMTP_URL", nil)

  # The project's own cluster, for whatever runs beside bin/start: a console, a measurement.
  def own_database
    abort "DATABASE_URL is not set" if production?

    cluster = File.join(ROOT, "bin", "postgres")
    unless system(cluster, "status", out: File::NULL, err: File::NULL)
      abort "The project's own database is not running. bin/start starts it with the application, " \
            "bin/postgres start alone."
    end
    "#{IO.popen([cluster, 'url'], &:read).strip}/joinchain"
  end

  # At least 64 bytes; outside production one is made and kept in tmp/.
  def session_secret
    given = ENV.fetch("SESSION_SECRET", nil)
    return given if given && given.bytesize >= 64

    abort "SESSION_SECRET must have at least 64 characters" if production?

    path = File.join(ROOT, "tmp", "session_secret")
    File.write(path, SecureRandom.hex(48), perm: 0o600) unless File.size?(path)
    File.read(path)
  end

  def check_production
    missing = NEEDED.select { |name| ENV[name].to_s.empty? }
    if missing.any?
      abort "Join Chain does not start in production without: #{missing.join(', ')}.\n" \
            "Set them in the environment; docs/deployment.md says what each is for."
    end
    return if public_url?(app_url)

    abort "APP_URL must be where people reach the studio, like https://studio.example, with nothing behind the name. " \
          "Links in mails and the names the server answers to are made from it; it is #{app_url.inspect} now."
  end

  # https and a name, a port if need be, and nothing else: passwords and private links go through it.
  def public_url?(text)
    uri = URI.parse(text)
    bare = [uri.userinfo, uri.query, uri.fragment].none? && ["", "/"].include?(uri.path)
    uri.is_a?(URI::HTTPS) && uri.host.to_s.match?(/\A[a-z0-9.-]+\z/i) && bare
  rescue URI::InvalidURIError
    false
  end

  # Names that requests may be for. A page that somebody else's name leads here is refused: outside production too, so
  # that no site that a browser visits can talk to a studio on this machine.
  def permitted_hosts
    own = URI(app_url).host
    return [own] if production?

    [own, "localhost", "127.0.0.1", "[::1]", *("example.org" if test?)].uniq
  end
end
