# frozen_string_literal: true

module Records
  # Somebody who signs in. May belong to several studios.
  class Account < Base
    EMAIL = /\A[^@\s,;:<>()\[\]"\\]+@[^@\s,;:<>()\[\]"\\]+\.[^@\s,;:<>()\[\]"\\]+\z/

    has_secure_password
    has_many :memberships
    has_many :sign_ins
    has_many :transfers
    has_many :studios, through: :memberships

    normalizes :email, with: ->(email) { email.to_s.strip.downcase }
    normalizes :name, with: ->(name) { name.to_s.strip }
    validates :email, format: { with: EMAIL }, length: { maximum: 200 }, uniqueness: true
    validates :name, presence: true, length: { maximum: 80 }
    validates :password, length: { minimum: 10 }, allow_nil: true

    def sign_out_everywhere = SignIn.where(account_id: id).delete_all
  end
end
