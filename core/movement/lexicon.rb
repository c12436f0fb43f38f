# frozen_string_literal: true

require "set"

module Core
  module Movement
    # The words of movement text beside the names of steps: parts of the body, sides, ways, amounts, numbers, and the
    # words that say how something is done and not what.
    module Lexicon
      # Words that stand for others; an empty text stands for nothing.
      SPELT = {
        "r" => "right", "rt" => "right", "rgt" => "right", "l" => "left", "lt" => "left", "lft" => "left",
        "rf" => "right foot", "lf" => "left foot", "rh" => "right hand", "lh" => "left hand",
        "rft" => "right foot", "lft foot" => "left foot", "ft" => "foot", "w" => "with", "wt" => "weight",
        "wo" => "without", "ur" => "your", "yr" => "your", "u" => "you", "n" => "and", "fwd" => "forward",
        "fwds" => "forward", "forwards" => "forward", "bk" => "back", "bwd" => "back", "backward" => "back",
        "backwards" => "back", "thru" => "through", "tho" => "though", "rnd" => "round", "bth" => "both",
        "insted" => "instead", "xs" => "times", "sidewards" => "side", "sideways" => "side", "diag" => "diagonal",
        "qtr" => "quarter", "hlf" => "half", "til" => "until", "till" => "until", "cts" => "counts", "ct" => "count",
        "rec" => "recover", "foots" => "foot is", "weights" => "weight is",
        "repl" => "replace", "dn" => "down", "dwn" => "down",
        "twd" => "towards", "twds" => "towards", "flr" => "floor", "nxt" => "next", "btw" => "between",
        "btwn" => "between", "bhnd" => "behind", "beh" => "behind", "bhd" => "behind", "frnt" => "front",
        "frm" => "from", "arnd" => "around", "acrs" => "across", "abv" => "above", "cnr" => "corner",
        "crnr" => "corner", "cntr" => "centre", "aud" => "audience", "opp" => "opposite", "pos" => "position",
        "posn" => "position", "para" => "parallel", "alt" => "alternating", "str8" => "straight",
        "b4" => "before", "tgthr" => "together", "evry" => "every", "evryone" => "everyone", "ppl" => "people",
        "piv" => "pivot", "swiv" => "swivel", "clse" => "close", "hld" => "hold", "lnge" => "lunge", "lng" => "lunge",
        "wlk" => "walk", "wlks" => "walks", "stmp" => "stomp", "clp" => "clap", "kck" => "kick", "knl" => "kneel",
        "chg" => "change", "chng" => "change", "rpt" => "repeat", "fc" => "face", "fcg" => "facing",
        "facin" => "facing", "dbl" => "double", "sgl" => "single", "sngl" => "single", "trpl" => "triple",
        "slw" => "slow", "qk" => "quick", "qck" => "quick", "sml" => "small", "hd" => "head", "hds" => "heads",
        "shldr" => "shoulder", "shldrs" => "shoulders", "elb" => "elbow", "wgt" => "weight", "wght" => "weight",
        "charlstn" => "charleston", "grpvn" => "grapevine", "grapvine" => "grapevine", "arabsq" => "arabesque",
        "jmps" => "jumps", "hps" => "hops", "ye" => "you", "ya" => "you", "yer" => "your", "em" => "them",
        "knees" => "knee", "toes" => "toe", "heels" => "heel", "feet" => "feet", "pls" => "please"
      }.freeze

      FRACTIONS = { "½" => "half", "¼" => "quarter", "¾" => "34" }.freeze

      SIDES = { "right" => :right, "left" => :left }.freeze
      OTHER = { left: :right, right: :left }.freeze

      # Parts above the legs, with the layer that moves when they do.
      PARTS = {
        arms: %w[arm arms hand hands elbow elbows wrist wrists finger fingers fist fists palm palms thumb thumbs
                 wings pom poms prop hat hats cane canes fan fans scarf scarves ribbon ribbons skirt skirts
                 umbrella umbrellas basket baskets lantern lanterns flag flags banner banners rope ropes],
        head: %w[head heads chin face eye eyes nose neck gaze hair ear ears focus],
        body: %w[body shoulder shoulders chest rib ribs ribcage torso spine hip hips pelvis bottom bum belly waist
                 upper core lap]
      }.flat_map { |layer, words| words.map { |word| [word, layer] } }.to_h.freeze
      # What moves in a layer, where nothing else says it: the step that stands for it.
      GENERIC = { arms: "arms", head: "head", body: "body" }.freeze

      # What is handled only where somebody says so: "drag the chair".
      FURNITURE = %w[chair chairs stool stools table tables box boxes crate crates bench benches suitcase
                     suitcases].to_set.freeze
      HANDLING = %w[drag drags push pushes pull pulls lift lifts carry carries move moves raise hold holds slide
                    slides].freeze

      FEET = %w[foot feet leg legs toe heel ankle].freeze

      # Ways to go, and what they are in a move.
      WAYS = {
        "forward" => :forward, "back" => :back, "side" => :side, "diagonal" => :diagonal
      }.freeze
      # Where a foot or a part goes: no move of its own.
      DIRECTIONS = (WAYS.keys + %w[
        front behind across over in out up down low high apart together through under around round away inside
        outside middle centre center home home wide second devant derriere crossed beside upstage downstage
        sideward straight ahead onwards offstage onstage
      ]).freeze

      # Eighths of a turn.
      AMOUNTS = {
        "half" => 4, "quarter" => 2, "full" => 8, "eighth" => 1, "12" => 4, "14" => 2, "34" => 6, "18" => 1, "38" => 3,
        "58" => 5, "78" => 7,
        "½" => 4, "¼" => 2, "¾" => 6, "360" => 8, "180" => 4, "90" => 2, "270" => 6, "45" => 1, "double" => 16,
        "single" => 8, "whole" => 8, "once" => 8
      }.freeze
      # Words of one whole round.
      ROUNDS = ["all the way round", "all the way around", "the whole way round", "the whole way around",
                "right the way round", "once around", "once round", "full circle", "a full", "complete circle"].freeze

      # Facings as eighths clockwise from the audience: 1 front, 3 right, 5 back, 7 left.
      FACINGS = {
        "front" => 1, "audience" => 1, "front right" => 2, "right" => 3, "back right" => 4, "back" => 5,
        "upstage" => 5, "back left" => 6, "left" => 7, "front left" => 8
      }.freeze
      # Other words for them.
      FACED = FACINGS.merge(
        "me" => 1, "us" => 1, "you" => 1, "crowd" => 1, "house" => 1, "forward" => 1, "camera" => 1, "mirror" => 1,
        "downstage" => 1, "judges" => 1, "centre front" => 1, "stage right" => 3, "stage left" => 7, "behind" => 5,
        "upstage right" => 4, "upstage left" => 6, "downstage right" => 2, "downstage left" => 8, "usr" => 4,
        "usl" => 6, "dsr" => 2, "dsl" => 8, "right side" => 3, "left side" => 7,
        "side right" => 3, "side left" => 7, "right wall" => 3, "left wall" => 7,
        "right front" => 2, "left front" => 8, "right corner" => 2, "left corner" => 8,
        "right back" => 4, "left back" => 6, "back wall" => 5,
        "opposite" => nil, "corner" => nil, "back corner" => nil, "front corner" => nil, "wall" => nil, "side" => nil,
        "partner" => nil, "each" => nil, "friend" => nil, "window" => nil, "windows" => nil, "door" => nil,
        "diagonal" => nil, "centre" => nil, "middle" => nil, "wings" => nil, "side wall" => nil, "in" => nil,
        "out" => nil, "sideways" => nil, "away" => nil
      ).freeze

      NUMBERS = %w[zero one two three four five six seven eight nine ten eleven twelve].each_with_index.to_h
        .merge("sixteen" => 16).freeze

      # Words without a meaning of their own beside a step.
      FILLER = %w[
        to the a an on and with of in into it your my his her their our its our corner wall please so okay ok um uh er
        like you youre we were i im they theyre he hes she shes everyone everybody all guys gonna going go goes
        get just then now for at by from is are be been being do does did that this those these there here as while
        when which who them us me again also still really very quite please too not let lets have has having had
        want wants need needs should would could can must will well right-away its thats whole both each own bit
        count counts time times first next after before until start starts starting begin begins beginning finish
        end ends ending rest more most another other one ones same way ways line lines spot place side-by-side
        stage floor ground air music beat or but if than off onto over take takes make makes do give get gets done thing
        though feels mark partners instead between overhead altogether travelling
        traveling towards apart nobody somebody someone
        la en today tomorrow later number seconde
      ].freeze

      # How something is done.
      QUALITY = %w[
        slow slowly quick quickly fast sharp sharply soft softly gentle gently big small little tiny large long short
        strong strongly light lightly hard heavy heavily smooth smoothly clean cleanly loose loosely tight tightly
        low high deep deeply giant huge
        tall flat nice nicely proud proudly cool easy happy sad straight bent relaxed turned
        parallel controlled quiet quietly loud loudly fancy funky smile smiling sustained dramatic dramatically
        accent attack energy bouncy floppy wild wildly crazy together nothing much freely full fully extended
        fifth first second third fourth position count natural neutral ready steady quick super mega extra
      ].freeze

      # Words that only tie others together.
      SMALL = %w[
        so okay ok um uh er and then now on at the a an in to of you we just its it is im gonna going go also well
        everybody everyone guys all with for from by count counts until till til as that this like yeah
        time
      ].to_set.freeze

      def self.small?(folded) = folded.empty? || SMALL.include?(folded)

      IDLE = (FILLER + QUALITY + NUMBERS.keys).to_set.freeze

      # Whether a word, as normalised, changes nothing beside a step.
      def self.idle?(word) = word.empty? || IDLE.include?(word) || Remarks.include?(word)

      # A typed text as the words that are read: folded, spelt out. [[word, place of the typed word], …] from texts.
      def self.words(texts)
        texts.each_with_index.flat_map do |text, i|
          folded = FRACTIONS.fetch(text) { Vocabulary.fold(text) }
          SPELT.fetch(folded, folded).split.flat_map { |word| SPELT.fetch(word, word).split }.map { |word| [word, i] }
        end
      end

      # One name as it is read.
      def self.spelt(name) = words(name.split(/[\s-]+/)).map(&:first).join(" ")

      # A note begins like this: it says how, not what.
      ADVICE = /\A(?:(?:and|but|so|then|just)\ )*(?:
        dont|do\ not|no|not|never|keep|think(?:ing)?|remember|feel(?:ing)?|make\ sure|watch|careful|
        listen(?:ing)?|smile|mind|try|
        focus|use|relax|breathe|imagine|like|as\ if|same\ energy|with\ (?:feeling|attitude|energy)|
        nice\ and|this\ is|its|it\ is|thats|note|nb|see|lights?|music|counts?|energy|eyes|mood|feeling|
        because|careful|ask)\b/x
    end
  end
end
