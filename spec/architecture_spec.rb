# frozen_string_literal: true

require "web_helper"
require "open3"
require_relative "support/folder_cycles"
require_relative "support/named_constants"
require_relative "support/template_lines"
require_relative "support/told_calls"

# The house rules, held by reading the code. Names are resolved as Ruby would, so that a short name is no way round.
RSpec.describe "the house" do
  # A query that starts at a model is one that can see every studio. What belongs to no studio, or is found by a secret,
  # may; so may the worker (its argument names the studio), the demo, and the pages of all studios.
  free = %w[Account PersonLink Invitation PasswordReset Heartbeat Mail Token Studio Submission].freeze
  query = /\.(find|find_by!?|where|all|first|last|pluck|exists\?|joins|find_or_create_by!?)\b/

  # What a layer may not name, in the part of the name that is the layer's.
  forbidden = {
    "core" => %w[Formats Records App Sinatra ActiveRecord I18n File Dir ENV IO STDIN STDOUT Time Process JSON Net],
    "formats" => %w[Records App Sinatra ActiveRecord I18n File Dir ENV Net],
    "records" => %w[Formats App Sinatra I18n ENV File Net],
    "app" => %w[PG]
  }.freeze

  # Work of seconds: only the worker's part of the planning room does it (and what makes a plan for it), never a page or
  # a route.
  search = /\ACore::Planning::(Solver|Replanning|Search|LocalSearch|Repairs|Shortfall|BlockReordering)\b/

  # What a layer may not ask of the world: the clock, chance, the process. Exceptions by name, with their reason.
  asks = {
    "core" => { "require" => "the table of contents", "require_relative" => "the table of contents",
                "open" => "a method of Listing's own" },
    "formats" => { "require" => "libraries", "require_relative" => "the table of contents",
                   "DateTime.new" => "a date from its parts", "Time.utc" => "a time from its parts" },
    "app" => { "require" => "libraries", "require_relative" => "libraries",
               "SecureRandom.hex" => "keys nobody guesses",
               "SecureRandom.urlsafe_base64" => "words for doors", ".sample" => "a column of pieces",
               "Time.utc" => "a time from its parts", "Time.at" => "a time from a number" },
    "records" => { "require" => "libraries", "SecureRandom.urlsafe_base64" => "tokens",
                   "Time.at" => "a time from a number" }
  }.freeze
  # Calls that stand elsewhere in app, by file, with their reason.
  known = {
    # The one clock.
    "app/shared/clock.rb" => %w[Time.now],
    # How long something took is told by a clock that never jumps.
    "app/web/middleware/request_log.rb" => %w[Process.clock_gettime Process.CLOCK_MONOTONIC],
    "app/jobs/improve_plan.rb" => %w[Process.clock_gettime Process.CLOCK_MONOTONIC],
    # A task of the command line, which stops with a sentence.
    "app/demo/guard.rb" => %w[abort],
    # Rows of the worker's that no page reads, stamped as the database would.
    "records/plan_offer.rb" => %w[Time.now],
    "records/transfer.rb" => %w[Time.now Thread.new]
  }.freeze
  # Folders whose parts still know each other both ways: core/planning's solving asks what explains it.
  knotted = %w[planning].freeze

  def files(dir) = Dir[File.join(HOUSE, dir, "**", "*.rb")]
  def read(dir) = files(dir) + Dir[File.join(HOUSE, dir, "*", "views", "*.erb")]
  def short(file) = file.delete_prefix("#{HOUSE}/")
  def named(file) = (@named ||= {})[file] ||= NamedConstants.in(file)

  # [[room, layer], …] of the rooms that a file names: ["Piece", "Policy"].
  def rooms_named(file) = named(file).filter_map { |name| name[/\AApp::(\w+::\w+)/, 1]&.split("::") }

  def room(file) = short(file).split("/")[1].split("_").map(&:capitalize).join
  def layer(file) = short(file).split("/")[2].delete_suffix(".rb")

  # Files of app/ for which a block says which of the names in them are wrong.
  def faults
    read("app").flat_map do |file|
      rooms_named(file).select { |name| yield(file, *name) }.map { |name| "#{short(file)} names #{name.join('::')}" }
    end.uniq
  end

  forbidden.each do |dir, names|
    it "#{dir} names none of #{names.join(', ')}" do
      found = read(dir).flat_map do |file|
        (named(file).map { |name| name[/\A\w+/] } & names).map { |name| "#{short(file)}: #{name}" }
      end
      expect(found).to be_empty
    end
  end

  asks.each do |dir, allowed|
    it "#{dir} asks nobody for the time, for chance or of the process" do
      found = files(dir).flat_map do |file|
        (ToldCalls.in(file) - allowed.keys - known.fetch(short(file), [])).map { |call| "#{short(file)}: #{call}" }
      end
      expect(found).to be_empty
    end
  end

  it "has no cycle between the folders inside a folder of the core" do
    knots = Dir[File.join(HOUSE, "core", "*/")].reject { |dir| knotted.include?(File.basename(dir)) }
    expect(knots.flat_map { |dir| FolderCycles.new(dir).found }).to be_empty
  end

  it "loads the core in a bare Ruby, with the standard library only, without a warning" do
    program = "require '#{HOUSE}/core/core'; print Core::Planning::Solver.name"
    bare = { "RUBYOPT" => nil, "RUBYLIB" => nil }
    output, status = Open3.capture2e(bare, "ruby", "--disable-gems", "-w", "-e", program)
    expect([output, status.success?]).to eq ["Core::Planning::Solver", true]
  end

  it "has no cycle between the core's folders" do
    uses = Dir[File.join(HOUSE, "core", "*/")].to_h do |dir|
      own = File.basename(dir).capitalize
      names = Dir[File.join(dir, "**", "*.rb")].flat_map { |file| named(file) }
      [own, names.filter_map { |name| name[/\ACore::(\w+)/, 1] }.uniq - [own]]
    end
    reach = ->(from, seen) { (uses[from] || []).each { |to| seen.include?(to) || reach.call(to, seen << to) } && seen }
    circular = uses.keys.select { |name| uses[name].any? { |to| reach.call(to, [to]).include?(name) } }
    expect(circular).to be_empty
  end

  describe "the rooms" do
    it "have actions that name no page" do
      expect(faults { |file, _, name| layer(file) == "actions" && name == "Pages" }).to be_empty
    end

    it "have pages that name no action" do
      expect(faults { |file, _, name| layer(file) == "pages" && name == "Actions" }).to be_empty
    end

    # The worker finishes what a route began, an action may do part of another's work, as what was tried does when it
    # is done for good; the demo is built by them all.
    it "have actions that are called by routes, by the worker and by other actions, and by nobody else" do
      callers = %w[actions offers changes]
      found = faults do |file, _, name|
        name == "Actions" && !callers.include?(layer(file)) && !layer(file).end_with?("routes") &&
          !%w[Jobs Demo].include?(room(file))
      end
      expect(found).to be_empty
    end

    it "have pages of their own, which no other room names" do
      expect(faults { |file, other, name| name == "Pages" && other != room(file) }).to be_empty
    end

    it "share what shared and reading hold, which know no room's actions or pages" do
      found = faults { |file, _, name| %w[Shared Reading].include?(room(file)) && %w[Actions Pages].include?(name) }
      expect(found).to be_empty
    end

    it "leave every search for a plan to the worker" do
      seeking = files("app").select { |file| named(file).grep(search).any? }.map { |file| short(file) }
      expect(seeking).not_to be_empty
      worker = ["app/planning/offers/", "app/season/offers/", "app/jobs/", "app/planning/actions/make.rb"]
      expect(seeking.reject { |file| file.start_with?(*worker) }).to be_empty
    end

    it "make a plan in the worker only, and in the demo" do
      makers = files("app").select { |file| named(file).include?("App::Planning::Actions::Make") }
      expect(makers.map { |file| short(file) })
        .to contain_exactly("app/planning/offers/solving.rb", "app/jobs/improve_plan.rb", "app/demo/wings.rb",
                            "app/demo/boats.rb")
    end
  end

  it "never asks a model for rows without going through the studio" do
    outside = %w[demo jobs health].map { |name| "app/#{name}/" }
    asked = files("app").reject { |file| short(file).start_with?(*outside) }.flat_map do |file|
      text = File.read(file)
      text.to_enum(:scan, /\bRecords::(\w+)\s*#{query}/).map { Regexp.last_match }
        .reject { |match| free.include?(match[1]) || match.post_match[/\A[^\n]*\n?[^\n]*/].match?(/studio|piece/) }
        .map { |match| "#{short(file)}:#{match.pre_match.count("\n") + 1} #{match[1]}" }
    end
    expect(asked).to be_empty
  end

  describe "the lines" do
    it "stand in files that can be read at one sitting" do
      found = { "core" => 200, "app" => 300, "formats" => 300, "records" => 300 }.flat_map do |dir, most|
        files(dir).map { |file| [short(file), File.readlines(file).size] }
          .select { |_, lines| lines > most }
      end
      expect(found).to be_empty
    end

    it "are at most 120 characters long in scripts, styles and templates too" do
      kinds = "{app,assets,bench,bin,config,core,db,formats,records,spec}/**/*.{rb,erb,js,mjs,css,sh}"
      wide = Dir[File.join(HOUSE, kinds)].flat_map do |file|
        next [] if file.include?("/public/") || file.end_with?(".min.js")

        File.readlines(file, chomp: true).each_with_index.select { |line, _| line.size > 120 }
          .map { |_, i| "#{short(file)}:#{i + 1}" }
      end
      expect(wide).to be_empty
    end

    it "of a template are few, one block element or control tag each, with few Ruby tags" do
      found = Dir[File.join(HOUSE, "app", "*", "views", "*.erb")].flat_map do |file|
        TemplateLines.new(file).faults.map { |fault| "#{short(file)}#{fault}" }
      end
      expect(found).to be_empty
    end
  end

  # A key said twice would silently take the place of the first.
  it "says every key of the texts once" do
    twice = lambda do |node, path|
      next (node.children || []).flat_map { |child| twice.call(child, path) } unless node.is_a?(Psych::Nodes::Mapping)

      pairs = node.children.each_slice(2).map { |key, value| ["#{path}.#{key.value}", value] }
      pairs.map(&:first).tally.select { |_, count| count > 1 }.keys +
        pairs.flat_map { |key, value| twice.call(value, key) }
    end
    expect(twice.call(Psych.parse_file(File.join(HOUSE, "config/locales/en.yml")).root, "")).to be_empty
  end
end
