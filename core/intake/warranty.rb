# frozen_string_literal: true

module UprightBench
  module Core
    module Intake
      # Is a machine in its maker's warranty, and why?
      #
      # Terms run by months, or by months or run hours, whichever ends first (common practice for professional
      # machines). Run hours are what the use rate says, or a meter.
      class Warranty
        include Value

        fields :months, :today, hours: nil, bought_on: nil, second_hand: false, hours_run: nil

        # @return [Symbol] :in, :out or :unknown
        def state
          return :unknown if bought_on.nil?
          return :out if second_hand || months.zero? || today >= until_on || past_hours?

          :in
        end

        def in?
          state == :in
        end

        # @return [Date, nil] the first day out of it
        def until_on
          bought_on && (bought_on >> months)
        end

        # @return [Reason]
        def reason
          case state
          when :unknown then Reason.of(:bought_unknown)
          when :in then Reason.of(:warranty_until, **terms, run_hours: (hours && hours_run)&.floor)
          when :out then out_reason
          end
        end

        private

        def past_hours?
          hours && hours_run && hours_run >= hours
        end

        def terms
          { terms_months: months, terms_hours: hours, from_on: bought_on, until_on: until_on }
        end

        def out_reason
          return Reason.of(:bought_second_hand) if second_hand
          return Reason.of(:no_warranty) if months.zero?
          return Reason.of(:warranty_ended, **terms) if today >= until_on

          Reason.of(:warranty_run_out, run_hours: hours_run.floor, terms_hours: hours)
        end
      end
    end
  end
end
