# frozen_string_literal: true

require "digest"

module UprightBench
  module Services
    # Puts several machines of one customer on the bench at once: all of them, or none.
    class TakeInFleet
      # @param customer [Models::Customer]
      # @param rows [Array<Hash>] each machine_id, or machine as in TakeIn; complaint; hours_per_week or nil
      # @param request_key [String] a UUID of the whole list; sent twice, it is taken in once
      # @return [Array<Models::Job>]
      # @raise [Refused, Invalid] naming the machine
      def self.call(customer, rows, request_key:, by:, at:)
        DB.transaction do
          Models::Customer.where(id: customer.id).for_update.first # two lists of one customer wait for each other
          rows.each_with_index.map do |row, index|
            TakeIn.call({ customer_id: customer.id, request_key: key_of(request_key, index), use: use(row),
              **row.except(:hours_per_week) }, by: by, at: at)
          end
        end
      end

      # What is known of the use stays, unless the list says more.
      def self.use(row)
        row[:hours_per_week] ? { hours_per_week: row[:hours_per_week] } : {}
      end

      # A name-based UUID (RFC 4122, version 5's layout) of the list's key and the line.
      def self.key_of(request_key, place)
        hex = Digest::SHA1.hexdigest("#{request_key}/#{place}")
        "#{hex[0, 8]}-#{hex[8, 4]}-5#{hex[13, 3]}-a#{hex[17, 3]}-#{hex[20, 12]}"
      end
      private_class_method :use, :key_of
    end
  end
end
