# frozen_string_literal: true

require "ripper"

# Which constants a file names, resolved as Ruby would: "Pages::Show" said inside App::Home is App::Home::Pages::Show,
# and an alias is what it stands for. So a rule about who may name whom cannot be got round by a shorter name or another
# one, and does not stumble over a word in a text. In templates names are said in full.
class NamedConstants
  # A file that is no Ruby, or that says nothing at all: a rule that found nothing in it would be worth nothing.
  class NothingNamed < StandardError; end

  NAME = Module.instance_method(:name)
  TAG = /<%(?![%#])=*-?(.*?)-?%>/m
  private_constant :NAME, :TAG

  class << self
    # [full name, …] that a file names.
    def in(file)
      text = File.read(file, encoding: "UTF-8")
      return in_template(text) if file.end_with?(".erb")

      tree = Ripper.sexp(text) or raise NothingNamed, "#{file} is no Ruby"
      found = new(tree)
      raise NothingNamed, "#{file} names nothing" if (found.names + found.opened).empty? && !text.match?(/^require/)

      found.names
    end

    # The name as it is said, and what it stands for where that is another; nil where nothing is there.
    # nesting: the modules around, the innermost first.
    def resolve(path, nesting)
      holder = nesting.find { |name| Object.const_get(name).const_defined?(path.first, false) }
      full = [holder, *path].compact.join("::")
      [full, really(full)].uniq if Object.const_defined?(full)
    rescue NameError
      nil
    end

    private

    def in_template(text)
      text.scan(TAG).flatten.flat_map { |ruby| said(ruby) }.uniq.flat_map { |name| resolve(name.split("::"), []) || [] }
    end

    # ["Core::Piece", …] in a piece of Ruby that may be cut off; words in texts are none.
    def said(ruby)
      words = Ripper.lex(ruby).map { |_, kind, text| kind == :on_const || text == "::" ? text : " " }
      words.join.scan(/[A-Z]\w*(?:::[A-Z]\w*)*/)
    end

    def really(full)
      there = Object.const_get(full)
      (NAME.bind_call(there) if there.is_a?(Module)) || full
    end
  end

  # Full names of the modules and classes it opens.
  attr_reader :opened

  def initialize(tree)
    @names = []
    @opened = []
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
    @opened << inner.first
    node.drop(node.first == :class ? 3 : 2).each { |child| walk(child, inner) }
  end

  def named(node, nesting)
    path = path_of(node)
    return @names.concat(self.class.resolve(path, nesting) || []) if path

    node.drop(1).each { |child| walk(child, nesting) }
  end

  # ["A", "B"] of A::B; nil where it does not begin with a constant.
  def path_of(node)
    case node.first
    when :var_ref, :const_ref, :top_const_ref then [node[1][1]] if node[1].first == :@const
    when :const_path_ref then path_of(node[1])&.push(node[2][1])
    end
  end
end
