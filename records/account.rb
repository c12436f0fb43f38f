# frozen_string_literal: true

module Records
  # Somebody who signs in. May belong to several studios.
  class Account < Base
    EMAIL = /\A[^@\s,;]+@[^@\s,;]+\.[^@\s,;]+\z/
    LOCK_AFTER = 6
    LOCK_SECONDS = 15 * 60

    has_secure_password
    has_many :memberships
    has_many :studios, through: :memberships

    normalizes :email, with: ->(email) { email.to_s.strip.downcase }
    normalizes :name, with: ->(name) { name.to_s.strip }
    validates :email, format: { with: EMAIL }, length: { maximum: 200 }, uniqueness: true
    validates :name, presence: true, length: { maximum: 80 }
    validates :password, length: { minimum: 10 }, allow_nil: true

    def locked?(now) = !locked_until.nil? && locked_until > now

    # Counts a failed try; too many in a row lock the account for a while.
    def fail_sign_in(now)
      failed = failed_sign_ins + 1
      update_columns(failed_sign_ins: failed % LOCK_AFTER, locked_until: (now + LOCK_SECONDS if failed >= LOCK_AFTER))
    end

    def sign_in_worked
      (update_columns(failed_sign_ins: 0, locked_until: nil) if failed_sign_ins.positive? || locked_until)
    end

    def sign_out_everywhere = increment!(:session_version)
  end
end
