# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # Whether a line without a length, a known name or somebody who teaches is a heading, a remark or a stage
      # direction (:note), a section whose length nobody has said (:section), or has to be asked about (:ask).
      module Remark
        MARKED = /\A(?:n\.?b\.?|p\.?s\.?|note(?:s|\s+to\s+self)?|fyi|remember|reminder|to\s?do)\b\s*[:.,-]?|
          \A(?:don'?t|do\s+not|please|pls|make\s+sure|ignore|ask|bring|tell|mind|keep\s+\d|leave\s+\d|check|
            (?:we|i)\s+(?:need|have)\s+to|
            (?:costumes?|shoes?|hair|make-?up|props?|kit|wear|dress|lights?|lighting|sound)\s*:|
          thanks?|sorry\s+for|sorry\s+about)(?:\b|(?<=:))/xi
        SAID_SO = /!!|\bpl(?:s|ease)\b|#{Words::DAYS}|\bby\s+(?:the\s+)?\d/i
        STAGE = /\A(?:black\s*outs?|(?:house\s+)?lights?(?:\s+\p{L}+){0,3}|curtains?.*|fades?\b.*|
          (?:the\s+)?end(?:ing\s+pose)?|
          fin|finis|applause|exeunt|exit\s+.*|(?:go\s+)?out\s+on\s+.*|silence|music\s+(?:stops?|starts?|fades?|
            ends?).*)
          [.!]*\z/xi
        DRAWN = /\A[\s\p{P}\p{S}]*\z|\A([*=_~#-])\1+.*\1{2,}\s*\z/
        TALK = /\b(?:here'?s|here\s+is|this\s+is)\b.*\b(?:order|plan|list|piece|running)\b|\border\s+(?:is|so\s+far)|
          \bgoes\s+(?:like|as\s+follows)|\bthat'?s\s+(?:it|all|everything|the\s+lot)\b|\bthat\s+is\s+(?:it|all)\b|
          \A(?:the\s+)?(?:running\s+)?order\s*:?\z|\A(?:ok(?:ay)?|right|so|well)[\s,.!]*\z|\Ahi\b|\Ahello\b/xi
        UNSURE = /\bha(?:ve|s)n'?t\s+(?:been\s+)?(?:decided|set|made|thought)|\bnot\s+(?:yet\s+)?(?:decided|
          sure|set)\b|
          \b(?:don'?t|do\s+not)\s+know\b|\bunsure\b|\bdunno\b|\bidk\b|\btb[cda]\b|\bto\s+be\s+decided\b|\bsomething\b|
          \bmaybe\b|\bperhaps\b|\?|\bundecided\b|\bboth\s+of\s+us\b|\bsomehow\b/xi
        # What is beside the order of a piece.
        BESIDE = /\b(?:music|costumes?|props?|lights?|lighting|dates?|venue|hair|shoes?)\b/i
        AMOUNT = /\b(?:half|only|shorter|longer|cut|less|extra|skip|miss|twice)\b/i
        SENTENCE = /\b(?:is|are|was|were|be|to|from|at|on|in|into|with|for|this|these|we|i|you|they|it|all|no|not|
          will|can|should|must|has|have|needs?|wear|wears|bring|hair|shoes?|socks|costumes?|props?|spacing)\b/xi
        HEAD = /\A(?:part|half|first\s+half|second\s+half|day|week)\b.{0,12}:?\z|:\z|
          \A(?:act|scene|number|no\.?)\s+(?:[ivx]+|\d{1,2}|one|two|three|four|five)\b.*\z/xi
        NOUNS = /\A(?:the\s+)?(?:\p{L}+\s+)?(?:intro(?:duction)?|verse|chorus|pre-?chorus|bridge|outro|opening|
          opener|finale|
          ending|coda|tag|break(?:down)?|dance\s+break|solo|duet|trio|quartet|unison|canon|interlude|bows?|vamp|
            instrumental|
          entrance|exit|hook|freestyle|cypher|walk\s+(?:on|off)|tableau)(?:\s+\S{1,3})?\z/xi
        private_constant :MARKED, :SAID_SO, :STAGE, :DRAWN, :TALK, :UNSURE, :BESIDE, :AMOUNT, :SENTENCE, :HEAD, :NOUNS

        module_function

        # A remark whatever else stands in it: in brackets, behind "NB", drawn lines.
        def marked?(text) = text.match?(MARKED) || text.match?(DRAWN) || wrapped?(text)

        # :note, :section or :ask. first: whether nothing came before; about: where it names a section, :first,
        # :in or nil.
        def kind(text, first:, about:)
          return :ask if !first && unsure?(text, about)
          return :note if [SAID_SO, STAGE, TALK, HEAD].any? { |said| text.match?(said) }
          return text.match?(NOUNS) ? :section : :ask if !first && (text.match?(NOUNS) || about?(text, about))

          first || sentence?(text) ? :note : :ask
        end

        # Whether somebody has not decided yet, and not only about what is beside the order.
        def unsure?(text, about) = text.match?(UNSURE) && (!about.nil? || !text.match?(BESIDE))

        # Whether it is about a section in a way that changes what is danced.
        def about?(text, about) = about == :first || (!about.nil? && text.match?(AMOUNT))

        # A sentence, or a heading in capitals.
        def sentence?(text)
          words = text.split.size
          (words > 2 && text.match?(SENTENCE)) || (words > 1 && text.match?(/\p{Lu}{3}/) && text == text.upcase)
        end

        # "Part one", "Act 2:"
        def heading?(text) = text.match?(HEAD)

        # Whether a text is what one section of any dance is called.
        def part?(text) = text.match?(NOUNS)

        def wrapped?(text)
          text.match?(/\A[(\[][^()\[\]]*[)\]]?[.!]*\z/) ||
            (text.match?(/\A([*"_~])\S.*\S\1\z/) && Length.find(text).nil?)
        end
        private_class_method :unsure?, :about?, :sentence?, :wrapped?
      end
    end
  end
end
