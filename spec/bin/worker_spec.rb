# frozen_string_literal: true

require "web_helper"
require "open3"

RSpec.describe "bin/worker", :committed do
  def beat = Records::Heartbeat.find_by(name: "worker")&.beat_at

  def wait_until(seconds = 20)
    (seconds * 10).times { yield ? (return true) : sleep(0.1) }
    false
  end

  def end_its_backends
    Records::Base.connection.select_values(<<~SQL)
      SELECT pg_terminate_backend(pid) FROM pg_stat_activity
      WHERE datname = current_database() AND pid <> pg_backend_pid() AND application_name = 'worker under trial'
    SQL
  end

  it "waits for a database that went away and comes back by itself; what was queued is done" do
    studio = make_studio
    url = "#{ENV.fetch('DATABASE_URL')}?application_name=worker%20under%20trial"
    worker = Process.spawn({ "DATABASE_URL" => url, "WORKER_BEAT" => "1" }, "ruby", "bin/worker",
                           chdir: HOUSE, out: File::NULL, err: File::NULL)
    expect(wait_until { beat }).to be true
    2.times do
      expect(end_its_backends).not_to be_empty
      lost = Time.now.utc
      expect(wait_until { beat > lost + 1 }).to be true
    end
    mail = App::Shared::Post.new(studio).send_out(to: "a@example.org", template: "invitation", studio: "S", role: "r",
                                                  link: "/")
    expect(wait_until { mail.reload.delivered_at }).to be true
  ensure
    Process.kill("TERM", worker)
    Process.wait(worker)
    expect($CHILD_STATUS).to be_success
  end
end
