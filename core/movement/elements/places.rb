# frozen_string_literal: true

module Core
  module Movement
    class Elements
      # Where the body gets to by the words with a preposition, and what they leave open.
      module Places
        # Prepositional phrases of level and place: what they say, longest first.
        PLACES = {
          /\A(?:on|onto|to|into|down\ (?:to|on|onto))
            \ (?:(?:the|your|that|this|a|one|both|right|left)\ )*knee\b/x => "kneel",
          /\A(?:on|onto|to|into) (?:the |your )*(?:floor|ground|mat|carpet|deck)\b/ => "lie",
          /\A(?:on|onto|to) (?:the |your )?(?:left |right )?hip\b/ => "lie",
          /\A(?:on|onto) the back\b(?! wall| corner| leg| foot)/ => "lie",
          /\A(?:on|onto|to) (?:your |my |our |their |the )?(?:tummy|belly|stomach|spine|bum)\b/ => "lie",
          /\A(?:(?:on|onto) (?:your |my |our |their |the )?|to (?:your|my|our|their) )bottom\b/ => "lie",
          /\Aflat (?:out )?on (?:your |the )?(?:back|face|front|tummy|stomach)\b(?! wall| corner)/ => "lie",
          /\A(?:on|onto|to) (?:your|my|our|their) back\b(?! wall| corner| leg| foot)/ => "lie",
          /\A(?:on|onto) (?:your |the )*(?:other )?(?:side|front)\b(?! foot| leg| of)/ => "lie",
          /\A(?:on|onto|to|into|in) (?:the |your |a )*(?:chair|seat|stool|bench)s?\b(?! pose)/ => "sit on a chair",
          /\A(?:on|onto|to|into|in) (?:the |a )*splits?\b/ => "splits",
          /\A(?:on|onto|to) (?:all fours|(?:your )?hands and knee)\b/ => "all fours",
          /\A(?:in|into|up in|up into) the lift\b/ => "carried"
        }.freeze
        # What leaves values open: who leads, where it goes, where nobody can know what is.
        DOUBTS = {
          ["wherever", "contact", "they take you", "into (?:your |the |their |a )?partners? (?:arms|hands)",
           "(?:he|she|they) (?:takes?|leads?|turns?|moves?) \\w+"] =>
            %i[weight facing level],
          ["partners?", "flyers?", "bases?", "anywhere", "somewhere(?: else)?", "all over",
           "a?round the (?:room|stage|floor|circle|space)",
           "(?:the )?(?:perimeter|outside edge)",
           "in (?:a |the |your |our |one |two |big |small )*(?:circles?|square|triangle|figure of eight|spiral)",
           "(?:to|into|find) (?:your|a|the|their) (?:new |own |next )?(?:spots?|places?|positions?|formation)",
           "in (?:a |the )?ring", "(?:with|to) (?:a|your) friend", "face to face", "each other"] =>
            %i[weight facing],
          ["(?:to|into|towards) (?:the )?\\w+ (?:corner|wings|exit)", "away from (?:us|me|the audience|the front)",
           "(?:the )?(?:windows?|door)(?: side| wall)?", "exit(?:ing)?", "enter(?:ing)?",
           "croisee?", "effacee?", "ecartee?", "epaule(?:ment)?", "en tournant", "entournant",
           "in profile", "side on(?! (?:the|your|to|right|left))"] =>
            %i[facing]
        }.transform_keys { |texts| /\A(?:#{texts.join('|')})\b(?! (?:hands?|arms?|shoulders?)\b)/ }.freeze
      end
    end
  end
end
