# frozen_string_literal: true

module App
  module Learning
    # A strand as forms and addresses say it: "own", "ensemble", "other_side", "feet", "arms", "together", "cover:12".
    module StrandForm
      Strand = Core::Learning::Strand
      PLAIN = %w[own ensemble other_side].freeze
      private_constant :Strand

      module_function

      # The Strand, or nil where the text says none.
      def read(text)
        word = text.to_s
        return Strand::OWN if word.empty?
        return Strand.new(track: word) if PLAIN.include?(word)
        return Strand.new(layer: word) if Strand::LAYERS.include?(word)

        covered = word[/\Acover:(\d{1,18})\z/, 1]
        covered && Strand.new(track: "cover", covers: covered.to_i)
      end

      def write(strand)
        return strand.layer if strand.layer

        strand.covers ? "cover:#{strand.covers}" : strand.track
      end
    end
  end
end
