# frozen_string_literal: true

module App
  module Calls
    module Pages
      # An evening with who is here: what goes ahead of what was told, what could be done instead, and what falls off
      # with each.
      class Tonight < Reading::RehearsalSheet
        # What is done instead of what was told: offers, of which piece, in words.
        Instead = Struct.new(:key, :lines, keyword_init: true)
        Line = Struct.new(:title, :who, :minutes, :opens, :piece, keyword_init: true)
        # Kinds of offers of what is done instead.
        WAYS = { "clean" => %w[run drill], "review" => %w[review catch_up] }.freeze
        MOST = 3
        NEW = %w[make learn difference join].freeze

        # out: ids as the form says who is not here; nil for what the register says, or who said so before.
        def initialize(rehearsal, member, now, out: nil)
          super(rehearsal, member, now)
          @said = out
        end

        def title = I18n.t("tonight.title")
        def screen = :calls
        def director? = member.director?
        def date = rehearsal.date
        def today? = date == @now.to_date
        def over? = date < @now.to_date || (date == @now.to_date && minute >= rehearsal.end_minute)

        # Whoever is called, by name.
        def called = @called ||= people.sort_by(&:name)
        def out?(person) = out.include?(person.id)

        def lead
          missing = called.select { |person| out?(person) }.map(&:name)
          return I18n.t(sure? ? "tonight.all_here" : "tonight.all_come") if missing.empty?

          words = { here: called.size - missing.size, of: called.size, names: Shared::Lists.all(missing) }
          I18n.t(sure? ? "tonight.here" : "tonight.come", count: missing.size, **words)
        end

        # Whether it is known who is here: said just now, or by the register of the day.
        def sure? = @said || rehearsal.attendances.exists?

        # [[slot, sentence, whether it goes ahead], …] of the work of the evening.
        def as_told
          @as_told ||= work.map do |slot|
            stands = Reading::GoesAhead.new(draft(slot.plan.piece), slot, out)
            [slot, stands.text(names, comes_next(slot, stands.missing)), stands.ahead?]
          end
        end

        # What falls off as it was told, in words.
        def waits = falls_off(as_told.reject(&:last).map(&:first))

        # What falls off where everything that was told is put off.
        def all_falls_off = falls_off(work)

        # [Instead]
        def instead
          @instead ||= WAYS.map { |key, kinds| Instead.new(key:, lines: lines(kinds)) }
        end

        private

        def minute = (@now.hour * 60) + @now.min
        def work = slots.select(&:work?)

        # New material by its name, the rest in minutes.
        def falls_off(slots)
          return I18n.t("tonight.nothing_falls") if slots.empty?

          fresh, rest = slots.partition { |slot| NEW.include?(slot.kind) }
          said = fresh.map { |slot| I18n.t("tonight.slot", title: slot.title, minutes: slot.minutes) }
          said << I18n.t("tonight.more", count: rest.sum(&:minutes)) if rest.any?
          I18n.t("tonight.falls_off", list: Shared::Lists.all(said))
        end

        def names = @names ||= studio.people.where(id: called.map(&:id)).pluck(:id, :name).to_h
        def draft(piece) = (@drafts ||= {})[piece.id] ||= Reading::PlanDraft.new(piece, @now)

        def out = @out ||= (@said ? @said.map(&:to_i) & called.map(&:id) : known_out)

        # Absent by the register, or away by their own word from a third of the evening or more.
        def known_out
          absent = rehearsal.attendances.where(present: false).pluck(:person_id)
          marked = rehearsal.attendances.where(present: true).pluck(:person_id)
          absent | ((away_ids & called.map(&:id)) - marked)
        end

        def away_ids
          @away_ids ||= work.any? ? work.map { |slot| away_from.of(slot) }.reduce(:&) : []
        end

        def away_from = @away_from ||= Reading::AwayFrom.new(draft(pieces.first).season)

        # {id => Date} of the next evening for which each is called to this piece and comes.
        def comes_next(slot, missing)
          return {} if missing.empty?

          ahead = later(slot.plan)
          missing.to_h { |who| [who, ahead.find { |_, people| people.include?(who) }&.first] }
        end

        # [[Date, [person id]], …] of the evenings after this one for which people were told.
        def later(plan)
          (@later ||= {})[plan.id] ||= plan.slots.work.joins(:rehearsal).includes(:slot_people, :rehearsal)
            .where(rehearsals: { date: (date + 1).., cancelled_at: nil })
            .group_by { |slot| slot.rehearsal.date }.sort
            .map { |day, same| [day, same.flat_map { |each| each.slot_people.map(&:person_id) }.uniq] }
        end

        def lines(kinds)
          pieces.flat_map do |piece|
            half_hour = half_hour(piece)
            offers = [*half_hour.run, *half_hour.offers(most: 40)].select { |offer| kinds.include?(offer.kind) }
            offers.first(MOST).map do |offer|
              Line.new(title: half_hour.title(offer), who: half_hour.who(offer), minutes: offer.minutes,
                       opens: half_hour.opens(offer), piece: (piece.title if pieces.many?))
            end
          end
        end

        def half_hour(piece)
          (@half_hours ||= {})[piece.id] ||= begin
            dancing = Records::Mapping::Works.cast(piece).keys
            there = (dancing & called.map(&:id)) - out
            Reading::NextHalfHour.new(piece, date:, minutes: minutes.clamp(5, 240), people: there, out:)
          end
        end

        # Minutes of the evening that are left.
        def minutes
          from = date == @now.to_date ? [minute, rehearsal.start_minute].max : rehearsal.start_minute
          rehearsal.end_minute - from
        end
      end
    end
  end
end
