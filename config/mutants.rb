# frozen_string_literal: true

# Changes files of core/ a little, one change at a time, and asks their specs whether they see it:
#   bin/test --mutants core/room/register.rb [spec/core/room_spec.rb …]
# Without specs named, all of spec/core is asked, which takes long: an hour for a hundred lines.
require "ripper"

ROOT = File.expand_path("..", __dir__)
files, specs = ARGV.partition { |path| !path.start_with?("spec/") }
abort "Say which files of core/ to change: bin/test --mutants core/room/register.rb" if files.empty?
specs = ["spec/core"] if specs.empty?

# The class or module that a file is about: the last one it opens of those that its name says.
def subject(file)
  names = File.read(File.join(ROOT, file)).scan(/^\s*(?:class|module) ([A-Z]\w*)/).flatten
  own = File.basename(file, ".rb").split("_").map(&:capitalize).join
  abort "#{file} opens no #{own}." unless names.include?(own)
  names[0..names.index(own)].join("::")
end

tools = { "BUNDLE_GEMFILE" => File.join(ROOT, "config", "mutants.gemfile"),
          "BUNDLE_PATH" => File.join(ROOT, "vendor", "mutants"), "RUBYOPT" => nil, "RUBYLIB" => nil }
system(tools, "bundle", "install", "--quiet") || abort("The tools could not be fetched.")
command = %w[bundle exec mutant run --usage opensource --integration rspec -I spec]
command += %w[-r rspec/core -r ./spec/spec_helper.rb]
command += specs.flat_map { |spec| ["--integration-argument", spec] }
exec(tools, *command, "--", *files.map { |file| "#{subject(file)}*" }, chdir: ROOT)
