# frozen_string_literal: true

# What somebody gets by mail: at once, once a day, or not at all, by topic. A mail may wait for a day's letter or for
# the end of the quiet hours, and may carry calls for a calendar.
class ChooseMail < ActiveRecord::Migration[7.2]
  def change
    fresh = "replace(gen_random_uuid()::text, '-', '')"
    add_column :memberships, :mail_token, :string, null: false, default: -> { fresh }
    add_column :memberships, :mail_ways, :jsonb, null: false, default: {}
    add_index :memberships, :mail_token, unique: true
    add_column :mails, :membership_id, :bigint
    add_column :mails, :topic, :string
    add_column :mails, :held, :boolean, null: false, default: false
    add_column :mails, :gathered_at, :datetime
    add_column :mails, :send_after, :datetime
    add_column :mails, :calendar, :text
    add_foreign_key :mails, :memberships, on_delete: :nullify
    add_index :mails, :membership_id, where: "held AND gathered_at IS NULL"
  end
end
