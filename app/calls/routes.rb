# frozen_string_literal: true

module App
  module Calls
    # Call sheets, on the screen and on paper.
    module Routes
      def self.registered(app)
        app.helpers Danced
        app.allow(:member, get: "/calls") { page "calls/index", Pages::Index.new(member, local_now) }
        app.allow(:member, get: "/pieces/:piece/calls") do
          page "calls/index", Pages::Index.new(member, local_now, piece:)
        end
        app.allow :member, post: "/rehearsals/:id/register", takes: Shapes::REGISTER do
          rehearsal = find(studio.rehearsals)
          sheet = Pages::CallSheet.new(rehearsal, member, local_now)
          result = Actions::KeepRegister.new(sheet, params, account).run
          unless result.ok?
            shown = Pages::CallSheet.new(rehearsal, member, local_now, register: result.value, errors: result.errors)
            code = result.value.conflicts.any? ? 409 : 422
            next page("calls/call_sheet", shown, status: code)
          end

          danced_anew(rehearsal)
          say t("register.saved")
          redirect "/rehearsals/#{rehearsal.id}/call-sheet#register"
        end
        afterwards(app)
        sheets(app)
      end

      # The call sheet of a rehearsal, on the screen and on paper.
      def self.sheets(app)
        app.allow :member, get: "/rehearsals/:id/call-sheet.pdf", takes: { paper: :text } do
          rehearsal = find(studio.rehearsals)
          sheet = Pages::CallSheetPaper.new(rehearsal, member, local_now).paper
          send_paper(sheet, "call-sheet", rehearsal.date.iso8601)
        end
        app.allow :member, get: "/rehearsals/:id/tonight", takes: { out: :texts } do
          rehearsal = find(studio.rehearsals.standing)
          page "calls/tonight", Pages::Tonight.new(rehearsal, member, local_now, out: params["out"])
        end
        app.allow :member, get: "/rehearsals/:id/call-sheet" do
          page "calls/call_sheet", Pages::CallSheet.new(find(studio.rehearsals), member, local_now)
        end
      end

      # Who danced the runs of an evening hangs on its register.
      module Danced
        def danced_anew(rehearsal)
          rehearsal.runs.standing.each { |run| Runs::Actions::WriteDanced.new(run, member, local_now).run }
        end
      end

      # After a rehearsal: one page to confirm.
      def self.afterwards(app)
        app.allow(:member, get: "/rehearsals/:id/afterwards") do
          page "calls/afterwards", Pages::Afterwards.new(find(studio.rehearsals), member, local_now)
        end
        app.allow :member, post: "/rehearsals/:id/afterwards", takes: Shapes::REGISTER do
          rehearsal = find(studio.rehearsals)
          sheet = Pages::Afterwards.new(rehearsal, member, local_now)
          halt 404 unless sheet.register?
          result = Actions::KeepRegister.new(sheet, params, account, confirmed: true).run
          unless result.ok?
            given = { register: result.value, errors: result.errors }
            shown = Pages::Afterwards.new(rehearsal, member, local_now, **given)
            next page("calls/afterwards", shown, status: result.value.conflicts.any? ? 409 : 422)
          end

          danced_anew(rehearsal)
          say t("calls.confirmed")
          redirect "/rehearsals/#{rehearsal.id}/afterwards"
        end
      end
    end
  end
end
