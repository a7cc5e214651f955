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

        # @return [String] one sentence
        def reason
          case state
          when :unknown then "nobody knows when it was bought"
          when :in then "#{terms} from #{day(bought_on)}: until #{day(until_on)}#{hours_words}"
          when :out then out_reason
          end
        end

        private

        def past_hours?
          hours && hours_run && hours_run >= hours
        end

        def day(date)
          Units::Day.words(date)
        end

        def terms
          ["#{months} months", ("or #{format('%g', hours)} hours" if hours)].compact.join(" ")
        end

        def hours_words
          hours && hours_run ? ", about #{hours_run.floor} of #{format('%g', hours)} hours run" : ""
        end

        def out_reason
          return "bought second-hand: the maker's terms were for the first owner" if second_hand
          return "its maker gives none" if months.zero?
          return "#{terms} from #{day(bought_on)}: ended #{day(until_on)}" if today >= until_on

          "about #{hours_run.floor} of #{format('%g', hours)} hours run"
        end
      end
    end
  end
end
