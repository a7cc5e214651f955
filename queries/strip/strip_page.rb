# frozen_string_literal: true

module UprightBench
  module Queries
    # How the machine of a job is opened and closed: the step in hand, a lane for each that is counted, what did not
    # come out even.
    class StripPage
      # A step and where it stands.
      #
      # @!attribute state [Symbol] :shut, :out or :back
      # @!attribute opened [Models::OpenedStep, nil] the last time
      # @!attribute reason [Core::Reason, nil] what it is opened for
      Lane = Struct.new(:step, :state, :opened, :reason, :pieces, :pictures, keyword_init: true)

      attr_reader :job

      # @param job [Models::Job] with its machine and customer
      # @param now [Time]
      # @param items [Array<Models::WorkItem>, nil] where they were read already
      def initialize(job, now:, items: nil)
        @job = job
        @now = now
        @items = items
      end

      def sheet
        @job.sheet
      end

      # @return [Core::Strip::Tray]
      def tray
        @tray ||= Services::TrayOfJob.call(@job, items: items, open: open.map(&:step))
      end

      # @return [Array<Models::WorkItem>]
      def items
        @items ||= Models::WorkItem.where(job_id: @job.id).order(:sequence).eager(rack_stays: :slot).all
      end

      # @return [Array<Lane>] in the order of opening, then what was opened besides
      def lanes
        @lanes ||= tray.plan.opening.select { |one| one.step.counted? }.map { |one| lane(one.step, one.reason) } +
                   besides.map { |step| lane(step, nil) }
      end

      # @return [Array<Core::Sheets::Step>] that nobody asked for so far
      def others
        sheet.steps.select(&:counted?) - lanes.map(&:step)
      end

      # @return [Array(Symbol, Lane), nil] :out or :in, and the step in hand
      def in_hand
        out = tray.next_out
        return [:out, lane_of(out)] if out
        return if to_do.any? || drying.any?

        back = tray.next_in
        [:in, lane_of(back)] if back
      end

      # @return [Array<Models::RackStay>] wet parts that go in before the next step is closed
      def drying
        back = tray.next_in or return []
        behind = tray.places_behind(back)
        items.select { |item| behind.include?(item.position) && !item.rotates }.filter_map(&:on_rack)
          .reject { |stay| stay.dry?(@now) }
      end

      # @return [Array<Models::WorkItem>]
      def to_do
        items.select(&:to_do?)
      end

      # @return [Array<Core::Strip::Back>] in the order of refitting
      def refit
        tray.plan.refit
      end

      # @return [Array<Models::TrayDifference>] standing first
      def differences
        @differences ||= Models::TrayDifference.where(job_id: @job.id).eager(:noter, :settler)
          .order(Sequel.lit("settled_at NULLS FIRST"), :id).all
      end

      # @return [Array<String>] to be counted once all is closed
      def tools
        return [] if open.any? || @job.tools_back_at

        Services::TrayOfJob.tools(@job, steps: opened.map(&:step).uniq)
      end

      # @return [Integer] pieces that lie on the tray now
      def out_now
        lanes.select { |one| one.state == :out }.sum { |one| one.pieces.sum(&:count) }
      end

      # @return [Array<Models::OpenedStep>] that are open
      def open
        opened.reject(&:closed_at)
      end

      private

      def opened
        @opened ||= Models::OpenedStep.where(job_id: @job.id).order(:id).eager(:opener, :closer, :differences).all
      end

      def besides
        opened.map(&:step).uniq.map { |key| sheet.step(key) } - tray.plan.opening.map(&:step)
      end

      def lane_of(step)
        lanes.find { |one| one.step == step }
      end

      def lane(step, reason)
        last = opened.reverse.find { |row| row.step == step.key }
        pieces = last ? Services::CloseStep::Expected.of(last, step) : Core::Strip::Piece.of(step)
        Lane.new(step: step, state: state_of(last), opened: last, reason: reason, pieces: pieces,
          pictures: pictures.select { |picture| picture.step == step.key })
      end

      def state_of(opened)
        return :shut if opened.nil?

        opened.closed_at ? :back : :out
      end

      def pictures
        @pictures ||= Models::Picture.where(job_id: @job.id).exclude(step: nil).order(:id).all
      end
    end
  end
end
