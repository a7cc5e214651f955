# frozen_string_literal: true

module UprightBench
  module Services
    # Who does something without being one of the staff. It stands where a Models::Person stands (`by:`), has no id,
    # and its name is what the history says. There is no default: whoever calls a service says who acts.
    class Actor
      # What the history accepts without a person; the database checks the same (events_actor).
      KINDS = ["customer by ", "mail program by ", "sign-in page"].freeze

      attr_reader :name

      # @param card [Models::Card] whose code opened the page
      def self.customer_by_card(card)
        new("customer by the code of card #{card.id}")
      end

      # @param job [Models::Job] whose slip's code opened the page
      def self.customer_by_slip(job)
        new("customer by the slip of job #{job.number}")
      end

      # @param registration [Models::Registration] whose code opened the page
      def self.customer_by_code(registration)
        new("customer by the code of registration #{registration.id}")
      end

      # One click in whatever reads the mail (RFC 8058): no page was opened.
      def self.mail_program(card)
        new("mail program by RFC 8058, card #{card.id}")
      end

      # Before anybody is signed in.
      def self.sign_in_page
        new("sign-in page")
      end

      def initialize(name)
        @name = name
        freeze
      end

      def id
        nil
      end
    end
  end
end
