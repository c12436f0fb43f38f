# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # Words of a list that are never anybody's name, and those that only lead from one thing to the next.
      module Words
        TITLES = "(?:miss|ms|mrs|mr|mx|coach|madame|auntie|aunt|uncle|dr|prof|sir|teacher)"
        PARTICLES = %w[de van von der den la le el al bin da di du ter mac o].freeze

        LENGTHS = %w[eight eights count counts cts bar bars beat beats half quarter long short length minute minutes
                     seconds secs vamp].freeze
        ORDER = %w[again repeat repeats rpt same first second third fourth last next then before after once twice more
                   times time start starts end ends ending opening closing final finish begin begins top back instead
                   reprise ditto].freeze
        SIDES = %w[left right other side way opposite opp mirror mirrored flipped flip reverse reversed foot leg
                   direction round around facing].freeze
        QUALITIES = %w[soft softly sharp slow slowly fast quick quickly big small loud quiet high low strong light free
                       freestyle improv improvised improvisation own unison canon ripple together alone apart sassy
                       fierce smooth sweet sad happy angry gentle hard easy heavy wild calm new old simple extra full
                       marked different changed change changes only just build builds slower faster louder backwards
                       forwards energy attitude style feel jazzy funky bouncy].freeze
        BODY = %w[arm arms hand hands head heads hip hips shoulder shoulders knee knees toe toes heel heels feet floor
                  floorwork footwork hair eyes face legs body back chest].freeze
        STEPS = %w[walk walks run runs jump jumps turn turns leap leaps lift lifts kick kicks hold holds pose poses
                   freeze freezes step steps clap claps roll rolls slide slides spin spins tap taps swing sway move
                   moves travel travels acro tumbling tricks partnering jazz ballet lyrical street hiphop contemporary
                   tango salsa waltz bow bows flocking exit exits entrance enter break breakdown rest pause
                   silence].freeze
        GROUPS = %w[all everybody everyone anybody anyone somebody someone nobody whoever both each group groups girls
                    boys men women ladies gents guys kids children babies juniors seniors minis inters intermediates
                    teens adults reds blues greens yellows whites blacks pinks oranges company cast soloist soloists
                    corps ensemble dancers dancer class team half rest others front line lines row rows pairs couples
                    duo duet trio quartet solo people us we they them me you i he she it their her his our my parents
                    mums mums' dads].freeze
        PLACES = %w[centre center stage upstage downstage wings corner corners front sides diagonal diagonals circle
                    formation formations spacing offstage onstage studio room hall].freeze
        PARTS = %w[intro verse chorus bridge outro pre prechorus tag coda middle breakdown section part bit piece title
                   working medley finale opener closer hook theme refrain interlude vamp phrase combo number figure
                   chorus's instrumental solo segment act scene].freeze
        THINGS = %w[music song track sound drums drum dj beat vocals voice costume costumes shoes socks prop props
                    lights light blackout curtain music's counts clock water hats chairs scarves].freeze
        SMALL = %w[a an the and or but of on in at to from with without by for as is are was were be been not no yes ok
                   okay so um uh er like that this these those there here it's its that's thats what which who when
                   where
                   how if till until into out up down off over under through please pls tbc tbd tba maybe perhaps
                   something nothing thing things do does has have takes take teaches done need needs].freeze
        ALL = [LENGTHS, ORDER, SIDES, QUALITIES, BODY, STEPS, GROUPS, PLACES, PARTS, THINGS, SMALL, Amount::ONES,
               Amount::TENS].flatten.to_h { |word| [word, true] }.freeze
        DAYS = /\b(?:mon|tues|wednes|thurs|fri|satur|sun)day\b|\b(?:today|tonight|tomorrow|yesterday|next\s+week)\b/i
        EVERYBODY = /\A(?:and\s+)?(?:all(?:\s+(?:of\s+(?:us|them|it)|together|dancers|in|on))?|every(?:body|one)
          (?:\s+(?:together|in|on|does\s+their\s+own))?|full\s+(?:cast|company)|(?:the\s+)?(?:whole|entire)\s+
          (?:cast|company|group|class)|together|tutti|both|own\s+thing|whoever(?:\s+\p{L}+)?|anyone|anybody|
          nobody|no\s+one|company|ensemble|unison)\z/xi
        LEAD = /\A(?:(?:ok(?:ay)?|so|right|well|um+|uh+|er+|hmm|erm|like|then|and\s+then|and|now|next(?:\s+up)?|
          after\s+that|afterwards|finally|lastly|plus|basically|yeah|yes|what|of|is|are)
            (?:\s*,)?(?=\s|\z)
          |(?:i'?d\s+say|i\s+think|i\s+guess|let'?s\s+say)(?=\s|\z)
          |(?:the\s+)?(?:first|next|last)\s+(?:thing|up)\s+is(?=\s)
          |(?:i'?d\s+like|i\s+want|(?:i|we)(?:'ve|\s+have)\s+got|we\s+want|we\s+need)(?=\s|\z)
          |(?:i'?m|we(?:'re)?)\s+(?:are\s+)?call(?:ing)?(?=\s)
          |(?:and\s+)?to\s+(?:finish|start|begin|end|open|close)(?:\s+(?:off|with))*\s*,?(?=\s)
          |first(?:ly|\s+of\s+all|\s+up)?\s*,?(?=\s+(?:we|it|there|comes|the\s+whole)\b)
          |(?:it|we|you|they|i|everyone|everybody)(?:'?ll|'ve|'re)?\s+(?:all\s+)?(?:will\s+)?(?:start|begin|
            open|go(?:e(?=s))?|do(?:e(?=s))?|
            have|come|move|end|finish|close|get|repeat(?=\s+nothing))s?(?:\s+(?:it|off))?
            (?:\s+(?:with|into|in|on|to|for|from|straight\s+into))?(?=\s|\z)
          |(?:it|we|you|they|i)(?:'?ll)?\s+(?=repeat|dance|swap|drop)
          |(?:there'?s|there\s+is|here'?s|it'?s|that'?s|thats|that\s+is|this\s+is|which\s+is|comes|
            (?:start|begin|open|end|finish)(?:s|ing)?\s+(?:with|on))(?=\s|\z)
          |(?-i:[Tt]he|a|an)(?=\s+\S)(?!\s+(?:an?|the)\b))\s*/xi
        TRAIL = /(?:\s+|\A)(?:which\s+(?:is|are)|that(?:'s|\s+is)|it'?s|is|are|was|for|of|at|with|and|then|which|um+|
          lasts|goes|gets|has|takes|about|like|the|(?-i:a))\s*\z/xi

        module_function

        # Whether it says who dances: "Reds", "everyone".
        def group?(word) = GROUPS.include?(word.downcase)

        def common?(word) = ALL.key?(word.downcase.delete("'.!?")) || ALL.key?(word.downcase)
      end
    end
  end
end
