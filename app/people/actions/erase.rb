# frozen_string_literal: true

module App
  module People
    module Actions
      # Erases a person: what was danced stays in the log under a number without a name, so that figures stay true;
      # everything else about them goes, and no row, file or mail of the studio names them any more.
      class Erase
        # typed: the name, so that nobody is erased by a slip.
        def initialize(person, typed)
          @person = person
          @studio = person.studio
          @typed = typed.to_s.strip
        end

        def run
          return no("name_again") unless @typed == @person.name
          return no("still_account", name: @person.name) if @studio.memberships.exists?(person_id: @person.id)

          name = @person.name
          clips = own_clips
          @person.alone(:erasing) do
            forget
            Nameless.new(@studio, name, alone: alone?(name)).sweep
          end
          clips.each { |clip| Shared::ClipFile.kept(clip).delete }
          @studio.transfers.each { |pack| Shared::ArchiveFile.remove(pack) }
          Nameless.new(@studio, name, alone: alone?(name)).sweep_files
          Shared::Result.ok(name)
        end

        private

        def no(key, **words) = Shared::Result.no({ base: I18n.t("kept.#{key}", **words) })

        # Whether nobody else of the studio has that first name, so that it means only them.
        def alone?(name)
          first = name.split.first
          @studio.people.where.not(id: @person.id).none? { |other| other.name.split.include?(first) }
        end

        def own_clips
          ids = @studio.clip_people.where(person_id: @person.id).select(:upload_id)
          @studio.uploads.clips.where(id: ids).to_a
        end

        def forget
          own_clips.each { |clip| clip.update!(removed_at: Shared::Clock.now) }
          forget_notes
          everything_of.each { |rows| rows.where(person_id: @person.id).delete_all }
          @studio.understudies.where(covers_person_id: @person.id).delete_all
          @studio.groups.where(leader_id: @person.id).update_all(leader_id: nil)
          @studio.slot_people.where(person_id: @person.id, slot_id: ahead.select(:id)).delete_all
          now = Shared::Clock.now
          @person.update!(name: I18n.t("kept.person_gone", number: @person.id), initials: "", rings: "", client_id: nil,
                          family_word: nil, sheet_token: nil, erased_at: now, archived_at: @person.archived_at || now)
        end

        # Rows that say something of a person and nothing of what was danced.
        def everything_of
          [@studio.consents, @studio.calendar_links, @studio.visits, @studio.absences, @studio.person_links,
           @studio.clip_people,
           @studio.castings, @studio.group_members, @studio.drill_people, @studio.trouble_people, @studio.understudies]
        end

        def forget_notes
          mine = @studio.notes.where(person_id: @person.id).or(@studio.notes.where(asker_id: @person.id))
          @studio.givings.where(note_id: mine.select(:id)).delete_all
          mine.delete_all
        end

        def ahead
          @studio.slots.joins(:rehearsal).where(rehearsals: { date: @studio.today(Shared::Clock.now).. })
        end
      end
    end
  end
end
