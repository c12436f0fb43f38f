# frozen_string_literal: true

require_relative "named_constants"

# Which folders of a folder name each other both ways, by what their files open and name.
class FolderCycles
  def initialize(dir)
    @dir = dir
    @trees = Dir[File.join(dir, "*", "**", "*.rb")].to_h do |file|
      [file, NamedConstants.new(Ripper.sexp(File.read(file, encoding: "UTF-8")))]
    end
  end

  # ["core/x: a <-> b"]
  def found
    uses.keys.combination(2).select { |one, two| reach(one).include?(two) && reach(two).include?(one) }
      .map { |pair| "#{File.basename(@dir)}: #{pair.join(' <-> ')}" }
  end

  private

  def folder(file) = file.delete_prefix(@dir).delete_prefix("/").split("/").first

  # {name => folder} of what is opened in one folder only.
  def homes
    @homes ||= @trees.flat_map { |file, tree| tree.opened.map { |name| [name, folder(file)] } }.uniq
      .group_by(&:first).select { |_, all| all.one? }.transform_values { |all| all.first.last }
  end

  def uses
    @uses ||= @trees.each_with_object(Hash.new { |all, key| all[key] = [] }) do |(file, tree), all|
      all[folder(file)] |= tree.names.filter_map { |name| homes[name] } - [folder(file)]
    end
  end

  def reach(from, seen = [])
    uses.fetch(from, []).each { |to| reach(to, seen << to) unless seen.include?(to) }
    seen
  end
end
