# frozen_string_literal: true

require "set"

module Core
  module Movement
    module Lexicon
      # What teachers say beside the steps: to whom, how it feels, what it is like, when. None of it moves a foot, gets
      # anybody up or down or turns them; a word that may do so does not belong here ("move", "dance", "crab").
      module Remarks
        # Verbs of the mind, of the voice and of the face.
        MIND = %w[
          think thinks thinking thought remember remembers remembered forget forgets forgot imagine
          imagining pretend pretending listen listens listening hear hears heard see sees saw seen
          notice watch watches watching know knows known mean means meant feel feeling felt enjoy love
          loves hate hates like likes hope trust believe wonder worry worried matter matters mind
          understand learn learnt practise practice try tries trying tried ask asks asking asked answer
          say says saying said tell tells telling told talk talks talking speak explain promise promised
          decide show shows showing shown laugh laughs giggle giggles cry cries grin grins frown pout
          blink blinks stare stares staring glare growl growls growling roar roars sigh sighs scream
          yell yells shush shh shhh shhhh chant chants pray rush rushes rushing rushed hurry hurries
          hurried panic burn burns hurt hurts help helps helping cheat cheating bother fuss fussing keep
          keeps keeping kept stays called call calls happen happens happened seem seems sounds sound
          sounding obviously exaggerate overdo relax relaxing mark marking choreograph choreographed
          allowed supposed suppose guess reckon owes wants wanted needed gotten been lots plenty prep
          prepare prepares preparing limp
        ].freeze

        # Who: children are often somebody else for a moment.
        PEOPLE = %w[
          grandma grandpa mum mums mom dad dads mother father parents baby babies kid kids child
          children girls boys folks people person peoples ladies gentlemen gents lovelies darling
          darlings dear friends friend teacher teachers miss sir king queen kings queens prince princess
          princesses pirate pirates soldier soldiers robot robots ghost ghosts witch witches zombie
          zombies monster monsters clown clowns ninja ninjas superhero heroes fairy fairies giant giants
          animal animals cat cats dog dogs bunny bunnies rabbit rabbits bird birds pony ponies horse
          horses tiger tigers lion lions butterfly butterflies mouse mice elephant elephants chicken
          chickens dragon dragons penguin penguins dinosaur dinosaurs flamingo flamingos statue statues
          crowdy
        ].freeze

        # Things that are only thought of or named.
        THINGS = %w[
          string strings puppet puppets tightrope rope bridge river sea ocean sand snow rain wind cloud
          clouds sky stars moon sun sunshine flower flowers petals seed seeds tree trees branch branches
          leaf grass jungle mountain honey butter syrup treacle mud glue water bubble bubbles balloon
          balloons ball balls wheel clock train trains car cars boat boats bus fire flame flames candle
          ice lolly sweets cake tea coffee pizza photo photos photograph picture pictures camera film
          movie tv screen phone letter book story poem song songs verse chorus melody rhythm drum drums
          bass piano guitar violin trumpet horn horns singer vocals lyric lyrics intro outro accent
          accents tempo bar bars phrase phrases word words name names idea ideas feeling feelings moment
          moments second seconds minute minutes hour day days week weeks year years night morning metre
        ].freeze

        # More of them, and what music, costume and lesson have.
        PLACES = %w[
          metres meter meters inch inches cm centimetre mile miles size shape shapes line angle angles
          space spaces gap gaps room rooms door doors house street road path carpet floorboards
          spotlight light lights costume costumes dress dresses shoe shoes sock socks trousers trouser
          hairspray ponytail bun glasses sleeve sleeves pocket pockets attitude personality character
          style flavour swag sass drama power strength confidence magic fun joy love sadness anger fear
          secret surprise joke jokes mistake mistakes trick tricks problem problems chance choice reason
          rule rules sake order version combo combination bit bits part parts section sections piece
          pieces thing things stuff ones rest ending sort kind type kinds lot lots couple few
          number numbers bedtime trolley shelf supermarket library museum beach pool playground muscle
          muscles rainbow rainbows windscreen wipers
        ].freeze

        # Nouns that name no movement, even alone.
        ABSTRACT = %w[
          moment moments second seconds minute minutes hour day days week weeks year years night morning
          sake reason joke jokes chance choice attitude personality character style flavour swag sass
          drama power strength confidence magic fun joy love sadness anger fear feeling feelings rest
          ones tempo accent accents space spaces kind type kinds sort lot lots couple few stuff metre
          metres meter meters inch inches cm miles mile gap gaps strings string bass drums drum piano
          guitar violin trumpet horn horns lyric lyrics camera music beat light lights sun moon stars
          sky everyone darling dear sir miss folks people person
        ].freeze

        # How: adjectives and adverbs without an ending that tells them.
        HOW = %w[
          very really quite pretty rather fairly just simply only even exactly almost nearly maybe
          perhaps probably basically literally honestly actually seriously obviously definitely
          absolutely certainly hopefully sure always sometimes often usually already yet soon later
          again once twice ever forever meanwhile straightaway instantly suddenly finally eventually
          lastly firstly secondly gradually sneaky nasty cheeky sassy silly funny scary spooky angry
          grumpy sad glad mad sleepy tired bored boring lazy shy brave bold fierce proud cute sweet
          lovely beautiful gorgeous amazing awesome great good better best bad worse worst fine nice
          cool hot cold warm fresh new old young ugly smart clever stupid special different difficult
          difficulty easy easier simple tricky complicated perfect awful terrible weird strange normal
          usual regular ordinary casual posh royal regal elegant delicate dainty tiny teeny little small
          smaller smallest big bigger biggest huge enormous massive giant tall taller tallest short
          shorter long longer longest wide wider thin thick fat
        ].freeze

        # More of them.
        HOW_MORE = %w[
          heavy light lighter soft softer hard harder loud louder quiet quieter fast faster fastest slow
          slower slowest quick quicker sharp sharper smooth smoother clean cleaner crisp clear strong
          stronger weak rough gentle floaty flowy fluid liquid lush juicy chunky thumpy groovy funky
          bouncy springy jumpy wobbly shaky stiff rigid frozen melting hidden glued planted rooted stuck
          nailed squeezed square equal total entire whole full empty complete extra super mega ultra
          mini same similar identical alternating alternate alternately direction directions alive dead
          asleep awake lost found ready steady careful controlled own private enough less least much
          many more most several some any every each else otherwise anyway anyhow somehow though
          although however while whilst whereas therefore besides too also plus minus except overall
          altogether deliciously lightly sweetly dramatic theatrical musical rhythmic rhythmical
          graceful simultaneous continuous nonstop obvious precise accurate specific general certain
          kinder nicer higher prouder bolder calmer calm peaceful hiding smiling grinning laughing
        ].freeze

        # Small words of speech, and how they are typed.
        SPEECH = %w[
          yo hey hi hello oi oh ooh ah aha wow woo woohoo yay yes yeah yep yup nope nah alright okay
          okey ok hmm mm mmm er erm well boom bam bang pow whoosh swoosh wham tick tock ding dong la
          lala da dum ba uh huh haha please thanks thank sorry promise honey sweetie mate guys everyone
          everybodys nobodys somebodys anyone anybody anything everything something somethings nothing
          someone whoever whichever whatever whenever wherever why how what whats wheres hows whos where
          im ive id ill youve youll youd hes shes hed shed weve wed theyve theyll theyd thatll thats
          theres heres whatll isnt arent wasnt werent hasnt havent doesnt didnt wont cant couldnt
          shouldnt wouldnt aint gotta gonna wanna kinda sorta lemme gimme cmon cos coz cuz because since
          unless whether if as per via than toward us our ours mine yours hers theirs myself yourself
          yourselves himself herself itself themselves ourselves such till until unto during within
          without among amongst about above below against according despite including regardless unlike
          upon versus goes came got has had have did does doing done make makes making made let lets
          letting give gives giving gave use uses using used need needs
        ].freeze

        WORDS = (MIND + PEOPLE + THINGS + PLACES + HOW + HOW_MORE + SPEECH).to_set.freeze
        # Whatever can be the name of something danced: "the lion x2", "usual ending", "the floor bit".
        NAMES = (PEOPLE + THINGS + PLACES - ABSTRACT).to_set.freeze
        LITTLE = %w[a an the my your our his her their this that].to_set.freeze
        # Endings of words that say how or what, and never what is done: "gracefully", "slowness", "boredom", "3rd".
        ENDINGS = /\A(?:[a-z]{3,}(?:ly|ness|ful|less|ish|able|ible|dom|hood|wise)|\d+(?:st|nd|rd|th))\z/
        # What ends so and is danced all the same.
        DANCED = %w[clockwise anticlockwise counterclockwise assembly fly belly butterfly jelly].to_set.freeze
        ALIKE = /\b(?:like|as if|as though|pretend\w*|imagin\w+)\b/
        private_constant :ALIKE, :MIND, :PEOPLE, :THINGS, :PLACES, :ABSTRACT, :HOW, :HOW_MORE, :SPEECH,
                         :ENDINGS, :DANCED, :NAMES, :LITTLE

        # Whether a word, as it is read, is of this kind.
        def self.include?(word)
          WORDS.include?(word) || (word.size > 3 && word.match?(ENDINGS) && !DANCED.include?(word))
        end

        # Whether words that stand alone name something that is danced: ["the", "floor", "bit"].
        def self.name?(words)
          *before, last = words
          NAMES.include?(last) && before.size < 3 && before.all? { |word| LITTLE.include?(word) || !small?(word) }
        end

        # Whether words laid on counts of their own name something: "do the robot", "pirate business 5-8"; not what is
        # thought of or only alike.
        def self.danced?(words)
          text = words.join(" ")
          words.any? { |word| NAMES.include?(word) } && !text.match?(Lexicon::ADVICE) && !text.match?(ALIKE)
        end

        def self.small?(word) = Lexicon::SMALL.include?(word)
        private_class_method :small?
      end
    end
  end
end
