# frozen_string_literal: true

module UprightBench
  module Services
    # A machine that is sold new, or was bought elsewhere and is put on file: its clocks, its warranty and its cards
    # begin with the day it was bought, without a job. Sent twice it is sold once.
    class SellMachine
      # @param input [Hash] customer_id, or customer {columns}; machine {sheet_id, serial_number, bought_on, bought_at,
      #   second_hand}; use {hours_per_week, traits, allergy}; price_cents and tax_class,
      #   or nil; way; request_key; registration (Models::Registration that it confirms) or nil
      # @return [Models::Machine]
      # @raise [Invalid] when the serial number is on file
      def self.call(input, by:, at:)
        DB.transaction do
          OneAtATime.wait("machine sold", input.fetch(:request_key))
          sold = Models::Bill.first(request_key: input.fetch(:request_key))
          sold ? Models::Machine.with_pk!(sold.machine_id) : new(input, by, at).call
        end
      end

      def initialize(input, by, at)
        @input = input
        @by = by
        @at = at
      end

      def call
        customer = known || add_customer
        machine = AddMachine.call(customer, **@input.fetch(:machine), by: @by, at: @at)
        use = @input.fetch(:use)
        machine.update(**use, traits: Sequel.pg_array(use[:traits].to_a, :text))
        SetClocks.call(machine, on: Config::Zone.date(@at), why: "put on file, bought new")
        bill(customer, machine) if @input[:price_cents]
        Register.confirm(@input[:registration], machine, by: @by, at: @at) if @input[:registration]
        machine
      end

      private

      # Who registered ticked the boxes on a page of their own.
      def add_customer
        AddCustomer.call(@input.fetch(:customer), by: @by, at: @at, how: @input[:registration] ? "page" : "counter")
      end

      def known
        Lookup.one(:customer, @input[:customer_id]) if @input[:customer_id]
      end

      def bill(customer, machine)
        quote = Core::Money::Estimate.new(lines: [line(machine)], policy: Policies.now.money)
        bill = MakeBill.new(@by, @at).call(quote, customer: customer, about: ["Sold new"], machine_id: machine.id,
          request_key: @input.fetch(:request_key))
        return if @input[:way] == Core::Money::Ways::ON_ACCOUNT || bill.total_cents.zero?

        TakePayment.call(of: bill, way: @input[:way], cents: bill.total_cents, by: @by, at: @at)
      end

      def line(machine)
        Core::Money::Line.new(kind: :part, words: machine.sheet.title, price_cents: @input[:price_cents],
          tax_class: @input[:tax_class], note: machine.serial_number && "serial no. #{machine.serial_number}")
      end
    end
  end
end
