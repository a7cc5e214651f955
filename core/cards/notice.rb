# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # What a customer is told about a job, in the owner's words: as a mail, or short. A bill goes by mail alone.
      #
      #   Notice.new(kind: :ready, words: Words.new, values: {...}).short
      class Notice
        include Value

        KINDS = %i[ready fetch late estimate bill].freeze

        # @!attribute values [Hash{Symbol=>String}] what stands in the braces: customer, machine, shop, phone, hours,
        #   link, time (of a job that will be later); total and day (of an estimate); bill and total (of one that is
        #   mailed)
        fields :kind, :words, :values

        # @return [String]
        def subject
          said(:subject)
        end

        # @return [String]
        def body
          said(:body)
        end

        # @return [String] as a text message
        def short
          said(:short)
        end

        private

        def check
          raise ArgumentError, "a notice is one of #{KINDS.join(', ')}" unless KINDS.include?(kind)
        end

        def said(part)
          name = :"#{kind}_#{part}"
          words.phrase(name, **values.slice(*Texts::ALL.fetch(name)[1]))
        end
      end
    end
  end
end
