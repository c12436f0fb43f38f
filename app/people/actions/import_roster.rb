# frozen_string_literal: true

module App
  module People
    module Actions
      # Takes a roster in: all or nothing. People already there are matched by name and only join groups.
      class ImportRoster
        # roster: as read; piece: into which they were cast, or nil; cast: how many of them came into it by this.
        Taken = Struct.new(:roster, :piece, :cast)

        # by_hand: what somebody said the columns are (RosterText.by_hand).
        def initialize(studio, text, piece_id, by_hand = {})
          @by_hand = by_hand
          @studio = studio
          @piece = studio.pieces.running.find_by(id: piece_id.to_s[/\A\d+\z/])
          @text = text
        end

        # Value: Taken, every line of its roster accounted for; where nobody is in it, the roster. One at a time in a
        # studio.
        def run
          @studio.alone(:people) do
            roster = RosterText.read(@studio, @piece, @text, @by_hand)
            next Shared::Result.no({ text: I18n.t("roster.nobody") }, roster) if roster.people.empty?

            @known = @studio.people.index_by { |person| person.name.downcase }
            @cast = 0
            roster.people.each { |row| take(row) }
            @piece&.touch
            Shared::Result.ok(Taken.new(roster, @piece, @cast))
          end
        end

        private

        def take(row)
          person = @known[row.name.downcase] ||
            @studio.people.create!(name: row.name, adult: row.adult, band: row.band)
          say_more(person, row)
          return keep(person, row) unless @piece

          Records::Casting.find_or_create_by!(studio: @studio, piece: @piece, person:) { @cast += 1 }
          row.groups.each { |name| join(person, name, row.leader) }
        end

        # What the roster says of somebody and nobody has said yet.
        def say_more(person, row)
          person.update!(band: row.band, adult: row.adult) if row.band && person.band.nil?
          person.update!(wheels: true) if row.wheels && !person.wheels
          person.update!(needs: row.needs) if !row.needs.empty? && person.needs.empty?
        end

        # Without a piece, groups and leaders wait with the people for one.
        def keep(person, row)
          leads = row.leader ? row.groups : []
          person.update!(
            roster_groups: person.roster_groups | row.groups, roster_leads: person.roster_leads | leads
          )
        end

        def join(person, name, leader)
          group = groups[name.downcase] ||= @piece.groups.create!(studio: @studio, name:, number: groups.size + 1)
          Records::GroupMember.find_or_create_by!(studio: @studio, group:, person:)
          group.update!(leader: person) if leader && group.leader_id.nil?
        end

        def groups = @groups ||= @piece.groups.index_by { |group| group.name.downcase }
      end
    end
  end
end
