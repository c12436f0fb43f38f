# frozen_string_literal: true

module Core
  module Movement
    module Statements
      # How people say it, each kind by one pattern over normalised words.
      DET = "(?:the |your |just |that )*"
      SIDE = "(?<side>both|right|left)"
      FOOT = "(?: (?:foot|leg|feet|legs|one|side))?"
      # What somebody sits, kneels or lies on.
      SEATS = "(?:floor|ground|mat|stage|grass|heel|knee|bottom|back|front|side|tummy|stomach|belly|box|step|block|" \
              "table|chair|seat|stool|bench|wheelchair)(?:e?s)?"
      # What may follow a side that is not a foot's.
      NOT_FEET = "(?! (?:hands?|arms?|shoulders?|knee|hips?|elbow|wall|cheek|palm|corner|foot free|leg free|free|" \
                 "thigh))"
      ENDS = "(?:end|ends|ended|ending|finish|finishes|finishing|finished)"
      STAYS = "(?:land|lands|landing|stop|stops|stopping|stand|stands|standing|stay|stays|staying|balance|balances|" \
              "balancing|balanced|pose|posing|remain|remains|arrive|catch|caught|rest|resting|be|up|rise|rises|" \
              "hold|freeze)"
      IS = "(?:should be |is |stays |goes |ends |ends up |ending |finishes |still |all |now |will be |to be |comes |" \
           "sinks |settles |drops |moves |shifts |transfers |rolls )*"
      FACES = Lexicon::FACED.keys.sort_by { |words| -words.size }.join("|")

      PATTERNS = {
        none: "(?:with )?(?:no|without|without any|not any|(?:dont|do not|never|without|not) " \
              "(?:put|take|putting|taking|placing)(?: any| the| your)*) weight" \
              "(?: (?:on|onto|into|in) (?:it|#{DET}#{SIDE}#{FOOT}))?|" \
              "(?:but |and |it |you )*(?:never|not|doesnt|does not|didnt|isnt|wont|dont) (?:take|takes|taking|get|" \
              "gets|bear|bears|bearing|have|has|put|putting|puts)(?: any| the| your| full)* weight" \
              "(?: (?:on|onto|into|in) it)?|" \
              "(?:but |and |so )*(?:never|not|dont|do not|without) (?:actually )?(?:stepping|step) (?:on|onto) it",
        given: "(?:the |your |full |proper |all |with )*weight (?:is |goes |right |all )*(?:on|onto|into) it|" \
               "(?:and |so )?(?:thats |this is |its )?where (?:the |your )?weight (?:is|goes|sits)|(?:and |" \
               "then )?(?:takes?|taking|with|put|putting|puts)(?: on it)? (?:the |your |all |full )*weight" \
               "(?: (?:on|onto|into) it)?(?! (?:on|onto|over|left|right|both|back))",
        free: "(?:(?:with|and|so|leave|leaving|keep|keeping|have) )*#{DET}(?<side>right|left)s?(?: foot| " \
              "leg)? #{IS}" \
              "free(?: to (?:step|go|move|walk|start|begin|lead|kick)(?: (?:out|off|again|next|on))?)?",
        lifted: "(?:(?:with|and|so|keep|keeping|have) )*#{DET}(?<side>right|left) (?:foot|leg) " \
                "(?:is |stays |still |just |now |held |kept )*" \
                "(?:off the (?:floor|ground)|in the air|lifted|raised|hanging|hovering)",
        free_foot: "(?:free|working) (?:foot|leg)(?: is)? #{DET}(?<side>right|left)",
        supporting: "(?:standing|supporting) (?:foot|leg|side) (?:which |that )?(?:is |" \
                    "being )?#{DET}(?<side>right|left)|" \
                    "#{DET}(?<side>right|left)(?: foot| leg)? is (?:what|the one|where) (?:you|youre|we|were) " \
                    "(?:stand|standing|are|stay)(?: on)?|" \
                    "#{DET}(?<side>right|left)(?: foot| leg)? (?:is |being |as )(?:the |your )?(?:standing|" \
                    "supporting)" \
                    "(?: foot| leg)?",
        shared: "(?:split|splitting|even|equal|share)(?: the| your)? weight|" \
                "weight (?:is |stays )?(?:split|even|evenly|equal|equally|shared|centred|centered|between|" \
                "in the (?:middle|" \
                "centre|center))(?: (?:between|on) both(?: feet)?)?",
        weight_open: "(?:its|it is) in the (?:middle|centre|center)(?! of)|" \
                     "weight (?:(?:stays|stay|remains|is|goes)(?: in the| at the)? )?" \
                     "(?:front|back|forward|behind|there|middle|between)(?! (?:foot|leg))",
        weight: "(?:(?:with|so|have|keep|put|all|and|then|shift|shifting|leave|be|pose|stay) )*" \
                "(?:#{ENDS} (?:with )?)?" \
                "#{DET}weight #{IS}(?:forward |back |all |right )?(?:on |onto |over |in |to |into |" \
                "over to )?(?:#{DET}(?:front|back|standing|supporting|other) (?:foot|leg) " \
                "(?:which is |thats |that is |being |so ))?#{DET}#{SIDE}\\b#{NOT_FEET}#{FOOT}",
        ended: "(?:so )?(?:you )?(?<word>#{ENDS}) (?:it |up |there |wide |everything |still |balanced |steady |" \
               "back |front |low |tall |" \
               "standing |with |and |weight )*(?:on |onto |over )?#{DET}#{SIDE}\\b#{NOT_FEET}" \
               "(?: foot\\b| leg\\b| feet\\b| one\\b)?+" \
               "(?! (?:is )?(?:in|on|over|back|front|up|behind|shoulder|out|forward|crossed|across|pointed|popped|" \
               "raised|lifted|" \
               "bent|turned|flexed|touching|resting|beside|next|high|extended))",
        stands: "(?<word>#{STAYS}) (?:it |up |there |wide |still |steady |tall |and hold |down |back )*" \
                "(?<tail>(?:on|onto|over) #{DET}(?<side>both|right|left|it)\\b#{NOT_FEET}" \
                "(?: foot| leg| feet| one)?)(?! side)",
        to_foot: "(?:up|down|back|over) (?<tail>to #{DET}(?<side>right|left) (?:foot|leg))",
        on_leg: "\\A(?:(?:so|you|youre|be|get|and|now|are|all|then|everything|everythings|everyones|weights|" \
                "is) )*on #{DET}(?<side>right|left) (?:foot|leg)\\b" \
                "(?! (?:step|tap|kick))",
        either_foot: "(?:land |lands |landing |stand |balance |end |finish |up |be |stay )?(?:on|onto) " \
                     "(?:one|the other|whichever|a different) (?:foot|leg)",
        lands_open: "(?:land|lands|landing|finish|end|pose|hold)(?: with| on)? (?:the |your )*(?:left|right)" \
                    "(?: foot| leg)? (?:behind|in front|back|front)",
        lands: "(?<word>land|lands|landing) (?<tail>(?:on |on the )?(?<side>right|left|both)(?: foot| feet)?)",
        together: "(?:(?:and |then |up |down |land |landing )*(?:on|onto|with|to|in) (?:to |your |the )*" \
                  "(?:both|two|2) (?:feet|legs|foot)(?! off)|(?:back |come )*(?:to|onto|on) both\\z|" \
                  "(?:jump|land|hop|end|finish|stop|put|place|bring) (?:your )?(?:both|two|2) (?:feet|foot)" \
                  "(?: down| together| back)?|" \
                  "(?:place|plant|put|bring|land) both\\z|" \
                  "\\A(?:and |then |with |your )*(?:both|two|2) (?:feet|legs)" \
                  "(?: (?:on the floor|together|apart|in|down|flat))*\\z|(?:with |and |bring |put |your |the )*" \
                  "(?:feet|(?<!right )(?<!left )foot(?= tog)) (?:all |nice and |really |firmly |glued |stuck |" \
                  "pressed |squeezed |still |close |tight |tightly |right |are )*" \
                  "(?:tog|together|apart|wide|parallel|side by side|joined|shoulder width|hip width|hips?|" \
                  "shoulders?)" \
                  "(?: apart)?(?: (?:left|right)\\z)?)",
        position: "(?:(?:in|to|into|finish|close|closes|closed|closing|hold|land|lands|behind|front) )+" \
                  "(?:a |the |your )?(?:first|second|fourth|fifth|parallel|1st|2nd|4th|5th)(?: position)?" \
                  "(?! (?:left |right )?(?:time|one|half|group|passe|retire|attitude|arms?|kick|leg))" \
                  "(?: (?:with )?(?:the |your )?(?:left|" \
                  "right) (?:foot |leg )?" \
                  "(?:is )?(?:back|behind|front|in front|forward))?|" \
                  "(?:first|second|fifth) (?:position|(?=plie|demi|grand|releve|hold))",
        choice: "(?:either|any|whatever|whichever|own) (?:foot|feet|leg|legs|steps|footwork)|(?:foot|feet|steps|" \
                "legs|" \
                "footwork) (?:are |is |stay )?(?:whatever|any|free|anything|however|optional|doesnt matter|" \
                "your choice|up to you)|(?:doesnt|does not|dont) (?:matter|mind) (?:which|what) (?:foot|feet|leg)",
        away: "(?!back to front\\b)(?:with )?(?:your )?backs? (?:to|towards) " \
              "(?:us|me|you|the audience|audience|the front|front|" \
              "the crowd|" \
              "the house)|(?:face|faces|facing|look|looking) away(?: from (?:us|me|the audience|the front))?",
        shoulder: "(?<side>right|left) shoulders? (?:is |are )?(?:to|towards|at) (?:the )?(?<to>us|me|you|" \
                  "audience|front|" \
                  "crowd|house|back|upstage)\\b|" \
                  "(?:with )?(?:the )?(?<of>audience|crowd|front|mirror) (?:is |are )?(?:on|to) (?:the |your )" \
                  "(?<on>right|left)\\b(?! (?:foot|leg|wall))",
        facing: "(?<lead>(?:so |you |youre |and |then |be |is |are |all |everybody |everyone |we |to |#{ENDS} |" \
                "stop |" \
                "land |by |start |starts |starting |stay |still |already )*)(?<verb>face|faces|faced|" \
                "facing)(?: to)? " \
                "(?:dead |straight |the |your |to |towards |square |out |round |at |their |our )*(?<to>#{FACES})",
        kept: "(?:keep|keeps|keeping|stay|stays|still|remain) facing (?:it|there|that way|the same way|this way)",
        level: "(?<!tap )(?!(?<=\\bto )kneeling)" \
               "(?<lead>(?:still |stay |stays |staying |from |start |starting |starts |begin |remain |all |" \
               "again )*)" \
               "(?<how>seated|sitting|sat|kneeling|lying|laying)(?! march| tap| into| back into)(?: down)?" \
               "(?: (?:on|in) (?:the |your |a )?(?<on>#{SEATS}))?",
        on_feet: "(?<lead>(?:be |get |back |up |all |still |straight )*)on your feet"
      }.transform_values { |text| /\b(?:#{text})\b/ }.freeze
      # Without these words a pattern need not be tried.
      SIGNS = {
        none: /weight/, given: /weight/, weight_open: /weight|in the/, weight: /weight/, free: /free/,
        lifted: /(?:foot|leg) .*(?:off|air|lifted|raised|hanging|hovering)/,
        free_foot: /free|working/, supporting: /standing|supporting|is (?:what|the one|where)/,
        shared: /weight/, ended: /end|finish/,
        stands: /\b(?:on|onto|over) .*(?:left|right|both|it\b)/, either_foot: /\bon(?:to)? .*(?:foot|leg)/,
        lands_open: /land|finish|end|pose|hold/, lands: /land/,
        on_leg: /on /, to_foot: /to /,
        together: /feet|foot tog|both|two|2/,
        position: /first|second|fo?u?rth|fifth|parallel|\d(?:st|nd|th)/, choice: /feet|foot|legs?\b|steps|footwork/,
        away: /back|away/, facing: /fac/, shoulder: /shoulder|(?:on|to) (?:the|your) (?:right|left)/,
        level: /seat|sit|sat|kneel|lying|laying/,
        on_feet: /your feet/, kept: /facing/
      }.freeze
      private_constant :DET, :SIDE, :SEATS, :FOOT, :NOT_FEET, :ENDS, :STAYS, :IS, :FACES, :PATTERNS, :SIGNS
    end
  end
end
