# frozen_string_literal: true

require "web_helper"

# Mail never waits behind a search: a thread of the worker takes nothing else.
RSpec.describe App::Jobs::Lanes, :committed do
  let(:searching) { Queue.new }
  let(:free) { Queue.new }

  before do
    waiting = searching
    free_again = free
    stub_const("LongSearch", Class.new(Que::Job) { define_method(:run) { waiting << (free_again.pop && true) } })
    stub_const("ShortMail", Class.new(Que::Job) { define_method(:run) { waiting << :mail } })
    ShortMail.priority = App::Jobs::Deliver.priority
  end

  it "delivers while every other thread is busy with a search" do
    described_class::THREADS.size.times { LongSearch.enqueue }
    ShortMail.enqueue
    locker = Que::Locker.new(poll_interval: 0.1, worker_priorities: described_class::THREADS)
    expect(searching.pop).to eq :mail
  ensure
    described_class::THREADS.size.times { free << true }
    locker&.stop!
  end

  it "gives mail the lane that nothing else has" do
    expect([App::Jobs::Deliver, App::Jobs::MailReset].map(&:priority)).to all(be <= described_class::MAIL)
    expect(App::Jobs::Next.priority || 100).to be > described_class::MAIL
  end
end
