# frozen_string_literal: true

require "phonelib"

module UprightBench
  module Formats
    # A phone number as it is kept, in the form that every network understands (ITU-T E.164), and as it is read and
    # said in the shop's country (gem phonelib, from the numbering plans of each country). What is no number of any
    # plan stays as it was typed: somebody knows what it means.
    module PhoneNumber
      E164 = /\A\+[1-9]\d{6,14}\z/
      EXTENSION = /\A(.*?)\s*(?:,|;)?\s*(?:ext\.?|x|#)\s*(\d{1,7})\z/i

      module_function

      # @param text [String, nil] in any form
      # @param country [String, nil] of two letters: whose plan it is of, where it does not begin with +
      # @return [String, nil] as in "+12025550142"; nil when it is no number
      def e164(text, country)
        return if text.to_s.match?(EXTENSION) # one more number, that no network takes

        found = parse(text.to_s, country)
        found.e164 if found.valid?
      end

      # @return [String, nil] in E.164 where it can be, else as it was typed
      def kept(text, country)
        e164(text, country) || text
      end

      # @param text [String, nil] as it is kept
      # @param country [String, nil] the shop's
      # @return [String, nil] as it is dialed there
      def shown(text, country)
        return text unless text.to_s.match?(E164)

        found = Phonelib.parse(text)
        found.countries.include?(country.to_s.upcase) ? found.national : found.international
      end

      # @return [Array<String>] what may stand among the digits that are kept, for what somebody types who looks for it
      def looked_for(digits)
        [digits, digits.sub(/\A0+/, "")].uniq.reject(&:empty?)
      end

      def parse(text, country)
        Phonelib.parse(text.strip.sub(/\A00/, "+").gsub("(0)", ""), country)
      end
      private_class_method :parse
    end
  end
end
