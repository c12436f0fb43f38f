# frozen_string_literal: true

# A run of a piece with a trouble spot, a drill, a clip and a guardian's yes.
module RunWorld
  CLIP = File.join(HOUSE, "app", "demo", "clips", "run.webm")

  module_function

  def ids(studio, piece, dancer)
    studio.update!(settings: studio.settings.merge("clips" => true, "clips_for_dancers" => true))
    run = make_run(studio, piece)
    clip = make_clip(run, [dancer])
    { "run" => run.id, "trouble" => make_trouble(run).id, "drill" => make_drill(piece).id, "clip" => clip.id,
      "review" => make_review(run, dancer).id, "consent" => make_consent(studio, dancer).id }
  end

  def said(key) = { said_at: 1, by_name: "M", client_id: "world-#{key}", created_at: NOW }

  def make_run(studio, piece, key: "run", rehearsal: studio.rehearsals.order(:date).first, kind: "music", **more)
    links = piece.links.to_a
    run = Records::Run.create!(
      **said(key), studio:, piece:, rehearsal:, kind:, link_id: links.first.id, to_link_id: links.last.id,
                   minute: rehearsal.start_minute + 20, music: true, **more
    )
    Records::RunStep.create!(
      **said("#{key}-end"), studio:, run:, kind: "end", link_id: links.last.id, row: 99, at: 84, minute: run.minute + 5
    )
    run
  end

  def make_trouble(run, key: "spot", link: run.piece.links.first, row: 1, count: 1, **more)
    Records::Trouble.create!(
      **said(key), studio_id: run.studio_id, run:, piece: run.piece, link_id: link.id, row:, at: (count - 1) * 12,
                   place: "Gate, eight #{row}, count #{count}", **more
    )
  end

  def make_drill(piece)
    link = piece.links.first
    piece.drills.create!(
      studio_id: piece.studio_id, from_link_id: link.id, from_row: 1, to_link_id: link.id, to_row: 2, repetitions: 4,
      minutes: 5, by_name: "M", created_at: NOW
    )
  end

  def make_review(run, person)
    make_clip(run, [person], kind: "review", section: run.piece.sections.first)
  end

  def make_clip(run, people, **more)
    kept = File.open(CLIP, "rb") do |file|
      App::Shared::ClipFile.upload(file, :store, metadata: { "filename" => "run.webm" })
    end
    about = more.empty? ? { kind: "clip", run: } : more
    clip = run.piece.uploads.create!(
      studio_id: run.studio_id, file_data: kept.data, seconds: 24, by_name: "M", created_at: NOW, **about
    )
    people.each { |person| clip.clip_people.create!(studio_id: run.studio_id, person:, created_at: NOW) }
    clip
  end

  def make_consent(studio, person)
    studio.consents.create!(person:, by_name: "Guardian", given_on: NOW.to_date, noted_by: "M", created_at: NOW)
  end
end
