# frozen_string_literal: true

module App
  module People
    module Erasing
      # What of a studio's rows can hold a person's words, and so a person's name: the one list. Every column of words
      # or data that a tenant's table has stands here or in MACHINE (spec/web/erasing_spec.rb).
      module WordsKept
        # {where, as people know it => {table => columns}}.
        PLACES = {
          log: { ledger_entries: %w[by_name note], teachings: %w[by_name], overrulings: %w[reason blocked by_name] },
          notes: { notes: %w[text answer answered_by by_name], givings: %w[by_name] },
          room: {
            attendance_entries: %w[guest by_name], attendances: %w[by_name], evening_steps: %w[by_name],
            passes: %w[by_name], rehearsals: %w[note confirmed_by]
          },
          runs: {
            runs: %w[by_name], run_steps: %w[by_name], troubles: %w[place worded_by settled_by by_name],
            drills: %w[because by_name], uploads: %w[file_data by_name marks]
          },
          consents: { consents: %w[by_name noted_by withdrawn_by], hand_overs: %w[by_name] },
          steps: {
            eights: %w[text cue name], links: %w[changes_made called], versions: %w[eights note],
            parts: %w[place stretches pauses],
            sections: %w[name letter bring note said_length said_teachers stated_entry stated_exit hazards],
            own_steps: %w[name like by_name],
            word_meanings: %w[word effect by_name], asides: %w[question by_name]
          },
          joins: { agreements: %w[words by_name], join_facts: %w[note] },
          piece: {
            pieces: %w[title settings], groups: %w[name], people: %w[needs roster_groups roster_leads],
            tracks: %w[form], revisions: %w[summary work]
          },
          plan: { plans: %w[school result search], plan_offers: %w[asked facts plans], slots: %w[title names] },
          mails: { mails: %w[subject body calendar] },
          studio: {
            rooms: %w[name], program_tokens: %w[name by_name], submissions: %w[location said],
            transfers: %w[file_data report]
          }
        }.freeze

        # Names of the work: what stands in one is listed and never goes by itself, and a name inside one is not a
        # person's.
        TITLES = {
          "pieces" => "title", "sections" => "name", "groups" => "name", "rooms" => "name", "own_steps" => "name"
        }.freeze

        # Keys, kinds and figures that the program writes, and addresses that open something; in any table, or in one.
        MACHINE = %w[
          kind state client_id undoes item_key join_key task_key token_digest track layer moment side role way digest
          key about topic device level
        ].freeze
        MACHINE_OF = {
          "asks" => %w[whose work args same],
          "agreements" => %w[leaving_digest entering_digest],
          "invitations" => %w[email],
          "mails" => %w[recipient],
          "memberships" => %w[mail_token mail_ways],
          "people" => %w[band name initials rings former_names names_waiting family_word sheet_token],
          "rehearsals" => %w[told_at_host],
          "sections" => %w[fidelity method_preset time feel layer_school teachers_needed learned_way called_by],
          "tracks" => %w[tempo],
          "troubles" => %w[said_before]
        }.freeze

        module_function

        # [[place, table, column], …]
        def all
          PLACES.flat_map do |place, tables|
            tables.flat_map { |table, columns| columns.map { |column| [place, table.to_s, column] } }
          end
        end

        def title?(table, column) = TITLES[table] == column
      end
    end
  end
end
