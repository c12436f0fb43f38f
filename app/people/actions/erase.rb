# frozen_string_literal: true

module App
  module People
    module Actions
      # Erases a person: what was danced stays in the log under a number without a name, so that figures stay true;
      # everything else about them goes, and the sentences that name them are written anew: those somebody looked at and
      # ticked, or by itself those in which nobody else can be meant and which have a name of two words or more.
      class Erase
        # typed: the name, so that nobody is erased by a slip; seen: Erasing::Places#digest of what was looked at; take:
        # keys of the sentences ticked. Without seen it is done by itself.
        def initialize(person, typed, seen: nil, take: [])
          @person = person
          @studio = person.studio
          @typed = typed.to_s.strip
          @seen = seen
          @take = take
        end

        def run
          return no("name_again") unless @typed == @person.name
          return no("still_account", name: @person.name) if @studio.memberships.exists?(person_id: @person.id)

          places = Erasing::Places.new(@studio, @person)
          return no("look_again") if @seen && @seen != places.digest

          name = @person.name
          @person.alone(:erasing) { erase(places) }
          Shared::Result.ok(name)
        end

        private

        def no(key, **words) = Shared::Result.no({ base: I18n.t("kept.#{key}", **words) })

        def erase(places)
          files = own_files
          forget(files)
          Erasing::Sweep.new(@studio, places, chosen(places)).run
          rename(waiting(places))
          ActiveRecord.after_all_transactions_commit { files.each { |upload| Shared::ClipFile.kept(upload).delete } }
        end

        def chosen(places)
          @seen ? @take : places.all.select { |each| each.sure && !each.single }.map(&:key)
        end

        # First names alone wait for somebody to say whether they are theirs, where nobody was asked.
        def waiting(places)
          @seen || places.all.none?(&:single) ? [] : places.singles
        end

        # Clips of runs, for reference and for review, with somebody in them.
        def own_files
          ids = @studio.clip_people.where(person_id: @person.id).select(:upload_id)
          @studio.uploads.where(id: ids, removed_at: nil).to_a
        end

        def forget(files)
          files.each { |upload| upload.update!(removed_at: Shared::Clock.now) }
          forget_notes
          everything_of.each { |rows| rows.where(person_id: @person.id).delete_all }
          @studio.understudies.where(covers_person_id: @person.id).delete_all
          @studio.groups.where(leader_id: @person.id).update_all(leader_id: nil)
          @studio.slot_people.where(person_id: @person.id, slot_id: ahead.select(:id)).delete_all
        end

        # Rows that say something of a person and nothing of what was danced.
        def everything_of
          [@studio.consents, @studio.calendar_links, @studio.visits, @studio.absences, @studio.habits,
           @studio.person_links, @studio.clip_people, @studio.invitations,
           @studio.castings, @studio.group_members, @studio.drill_people, @studio.trouble_people, @studio.understudies]
        end

        def rename(waiting)
          now = Shared::Clock.now
          @studio.people.where(comes_with_id: @person.id).update_all(comes_with_id: nil)
          @person.update!(
            name: I18n.t("kept.person_gone", number: @person.id), former_names: [], names_waiting: waiting,
            roster_groups: [], roster_leads: [], needs: "",
            initials: "", rings: "", client_id: nil, family_word: nil, sheet_token: nil, erased_at: now,
            comes_said_on: nil, comes_with_id: nil, archived_at: @person.archived_at || now
          )
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
