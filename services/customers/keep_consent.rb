# frozen_string_literal: true

module UprightBench
  module Services
    # Writes down that a customer agreed to a channel, or no longer does: how it was said, when, and who wrote it.
    module KeepConsent
      # how => words; the last two are written by nobody here
      HOW = { "counter" => "at the counter", "phone" => "on the phone", "written" => "in writing",
              "page" => "on the customer's page",
              "one_click" => "from the mail program", "on_file" => "on file from before" }.freeze
      BY_HAND = %w[counter phone written].freeze

      module_function

      # @param customer [Models::Customer]
      # @param agreed [Hash{Symbol=>Boolean}] channel => agreed; what is so already is not written again
      # @param how [String] a key of HOW
      # @param by [Models::Person, nil] nil for the customer's own doing
      def call(customer, agreed, how:, by:, at:)
        columns = agreed.transform_keys { |channel| Models::Customer::AGREED.fetch(channel) }
        changed = columns.reject { |column, said| customer[column] == said }
        note(customer, agreed.select { |channel, _| changed.key?(Models::Customer::AGREED.fetch(channel)) }, how, by,
          at)
        customer.update(changed)
      end

      # As it was said when the customer was first written down.
      def begin(customer, how:, by:, at:)
        note(customer, Models::Customer::AGREED.to_h { |channel, column| [channel, customer[column]] }
          .select { |_, said| said }, how, by, at)
      end

      # Stops all writing, in one action.
      def stop(customer, how:, by:, at:)
        call(customer, Models::Customer::AGREED.transform_values { false }, how: how, by: by, at: at)
        customer.update(stopped_on: Config::Zone.date(at))
      end

      def note(customer, agreed, how, by, at)
        agreed.each do |channel, said|
          Models::Consent.create(customer_id: customer.id, channel: channel.to_s,
            agreed: said, how: how, written_by: by.id, at: at)
        end
      end
    end
  end
end
