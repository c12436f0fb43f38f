# frozen_string_literal: true

module App
  module Piece
    module Pages
      # The music of a piece: length, tempi, first count, form, and what that means for the links.
      class Music < Reading::PiecePage
        # report: what became of a file that filled the form in, in sentences.
        attr_reader :errors, :report

        # typed: the form as it was sent (MusicForm).
        def initialize(typed: nil, errors: {}, report: [], **rest)
          super(**rest)
          @report = report
          @typed = typed
          @errors = errors
        end

        def fields_form = @typed || MusicForm.of(piece)
        def conflicts = MusicForm.conflicts(fields_form)
        def screen = :share_out
        def track = @track ||= piece.uploads.tracks.last
        def findings = Core::Piece::MusicFit.new(work).findings.map { |finding| Shared::Wording.music(finding) }
        def starts = order.start_points
        def form = FormPicture.new(self)

        def value(name) = fields_form.value(name)
      end
    end
  end
end
