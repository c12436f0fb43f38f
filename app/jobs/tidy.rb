# frozen_string_literal: true

module App
  module Jobs
    # Takes away what has had its time: keys of forms, counted tries, sign-ins nobody used for a month, clips nobody
    # reviewed, people who were archived as long ago as their studio says. Run by the worker from time to time; running
    # it twice is harmless.
    module Tidy
      EVERY = 3600

      module_function

      def run(now)
        Records::Submission.where(created_at: ...(now - (Shared::SubmitOnce::DAYS * 86_400))).delete_all
        Records::Try.where(since: ...(now - 86_400)).delete_all
        Records::SignIn.where(last_seen_at: ...(now - (Records::SignIn::DAYS * 86_400))).delete_all
        Records::Ask.where(ended_at: ...(now - 86_400)).delete_all
        Chores.alone("clips for review") { reviews(now) }
        Chores.alone("packed studios") { archives(now) }
        Records::Studio.find_each { |studio| Chores.alone("erasing in studio #{studio.id}") { erase(studio, now) } }
      end

      def reviews(now)
        old = Records::Upload.reviews.where(created_at: ...(now - (Records::Upload::REVIEW_DAYS * 86_400)))
        old.each { |upload| Chores.alone("upload #{upload.id}") { Shared::RemoveUpload.new(upload).run } }
      end

      def archives(now)
        before = now - (Records::Transfer::DAYS * 86_400)
        old = Records::Transfer.where(created_at: ...before).where.not(file_data: nil)
        old.each { |transfer| Chores.alone("transfer #{transfer.id}") { Shared::ArchiveFile.remove(transfer) } }
      end

      def erase(studio, now)
        days = studio.setting("erase_after")
        return if days.zero?

        gone = studio.people.where(archived_at: ...(now - (days * 86_400)), erased_at: nil)
        gone.each { |person| People::Actions::Erase.new(person, person.name).run }
      end
    end
  end
end
