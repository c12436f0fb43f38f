# frozen_string_literal: true

require "ferrum"

module Bench
  module Faults
    # A tablet in the room: a browser with the real page open, in which somebody says four things a second. What it has
    # no answer for it keeps and sends again by itself.
    class Tablet
      FLAGS = %w[no-sandbox disable-gpu disable-dev-shm-usage no-first-run].to_h { |name| [name, nil] }.freeze
      UNSENT = "document.querySelector('.room')._x_dataStack[0].queue.waiting().map(each => each.entry.client)"
      # Says that somebody is here or rests, in turns, and keeps the keys of what was said in their order.
      SPEAK = <<~JS
        window.trialSaid = [];
        window.trialTimer = setInterval(() => {
          const room = document.querySelector(".room")._x_dataStack[0];
          const people = room.facts.slots.flatMap(slot => slot.people);
          const person = String(people[window.trialSaid.length % people.length]);
          const state = window.trialSaid.length % 2 ? "resting" : "present";
          window.trialSaid.push(room.say("here", { person, state }, ""));
        }, 250);
      JS

      def initialize(base)
        @base = base
        @browser = Ferrum::Browser.new(headless: true, browser_options: FLAGS.dup, window_size: [1024, 768],
                                       process_timeout: 60, timeout: 60)
      end

      def start(rehearsal)
        @browser.go_to("#{@base}/sign-in")
        @browser.at_css(".doors button").click
        @browser.network.wait_for_idle
        @browser.go_to("#{@base}/rehearsals/#{rehearsal}/room")
        @browser.network.wait_for_idle
        @browser.execute(SPEAK)
      end

      # Keys of everything said so far, in order.
      def said = @browser.evaluate("window.trialSaid")

      # How many of these keys it has no answer for.
      def waiting(keys) = (keys & @browser.evaluate(UNSENT)).size

      def quiet = @browser.execute("clearInterval(window.trialTimer)")
      def close = @browser.quit
    end
  end
end
