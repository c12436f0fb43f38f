# frozen_string_literal: true

require "ripper"

# Which constants a file names, resolved as Ruby would: "Pages::Show" said inside App::Home is App::Home::Pages::Show.
# So a rule about who may name whom cannot be got round by a shorter name, and does not stumble over a word in a text.
class NamedConstants
  def self.in(file) = new(Ripper.sexp(File.read(file, encoding: "UTF-8"))).names

  def initialize(tree)
    @names = []
    walk(tree, [])
  end

  # Full names of what is there under these names; others (a Struct's members, another program's) are left out.
  def names = @names.uniq

  private

  def walk(node, nesting)
    return unless node.is_a?(Array)

    case node.first
    when :module, :class then walk_inside(node, nesting)
    when :const_path_ref, :var_ref, :top_const_ref then named(node, nesting)
    else node.each { |child| walk(child, nesting) }
    end
  end

  # A class's superclass is named outside it, its body inside.
  def walk_inside(node, nesting)
    path = path_of(node[1])
    walk(node[2], nesting) if node.first == :class
    inner = [[nesting.first, *path].compact.join("::"), *nesting]
    node.drop(node.first == :class ? 3 : 2).each { |child| walk(child, inner) }
  end

  def named(node, nesting)
    path = path_of(node)
    if path
      resolved = resolve(path, nesting)
      @names << resolved if resolved
    else
      node.drop(1).each { |child| walk(child, nesting) }
    end
  end

  # ["A", "B"] of A::B; nil where it does not begin with a constant.
  def path_of(node)
    case node.first
    when :var_ref, :const_ref, :top_const_ref then [node[1][1]] if node[1].first == :@const
    when :const_path_ref then path_of(node[1])&.push(node[2][1])
    end
  end

  # The full name, or nil where nothing is there. nesting: the modules around, the innermost first.
  def resolve(path, nesting)
    holder = nesting.find { |name| Object.const_get(name).const_defined?(path.first, false) }
    full = [holder, *path].compact.join("::")
    full if Object.const_defined?(full)
  rescue NameError
    nil
  end
end
