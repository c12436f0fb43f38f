# frozen_string_literal: true

module Core
  module Movement
    # A walk seen from the other side: nothing is walked again.
    class MirroredWalk
      def initialize(walk) = @walk = walk

      def entry = @entry ||= Mirror.state(@walk.entry)
      def exit = @exit ||= Mirror.state(@walk.exit)
      def doubts = @walk.doubts
      def after(row) = Mirror.state(@walk.after(row))
      def findings = @findings ||= @walk.findings.map { |finding| turned(finding) }

      def steps
        @steps ||=
          @walk.steps.map do |step|
            Walk::Step.new(row: step.row, move: Mirror.move(step.move), at: step.at, state: Mirror.state(step.state))
          end
      end

      private

      def turned(finding)
        finding.dup.tap { |other| other.subject = Mirror::SIDES.fetch(finding.subject, finding.subject) }
      end
    end
  end
end
