# frozen_string_literal: true

module UprightBench
  module Services
    # Sells parts without a job: they leave the shelf, the bill is made and paid, and what is put in at home begins its
    # clock. The same key twice is sold once.
    class SellOverCounter
      MOST_LINES = 40

      # @param pieces [Hash{Integer=>Integer}] part's id => pieces
      # @param way [String] of Core::Money::Ways::WORDS, or Core::Money::Ways::ON_ACCOUNT where the customer is known
      # @param customer [Models::Customer, nil]
      # @param machine [Models::Machine, nil] of that customer
      # @param fitted [Hash{String=>Integer}] position => part's id, put in at home today
      # @param postage_cents [Integer] of what goes by post
      # @return [Models::Bill]
      # @raise [Invalid, Refused]
      def self.call(pieces:, way:, request_key:, by:, at:, customer: nil, machine: nil, fitted: {},
        postage_cents: 0)
        Permissions.check!(:take_money, by)
        DB.transaction do
          OneAtATime.wait("sale", request_key)
          Models::Bill.first(request_key: request_key) ||
            new(customer || machine&.customer, machine, by, at).call(pieces, way, fitted, request_key, postage_cents)
        end
      end

      def initialize(customer, machine, by, at)
        @customer = customer
        @machine = machine
        @by = by
        @at = at
      end

      def call(pieces, way, fitted, request_key, postage_cents)
        parts = parts_of(pieces)
        refuse_unknown_debtor(way)
        quote = self.class.quote(parts, pieces, postage_cents)
        bill = MakeBill.new(@by, @at).call(quote, customer: @customer, about: about, request_key: request_key,
          machine_id: @machine&.id)
        parts.each { |part| take(part, pieces.fetch(part.id), bill) }
        pay(bill, way)
        at_home(fitted.select { |_, part_id| pieces.key?(part_id) })
        bill
      end

      # @param parts [Array<Models::Part>]
      # @return [Core::Money::Estimate]
      def self.quote(parts, pieces, postage_cents = 0)
        lines = parts.map { |part| line(part, pieces.fetch(part.id)) }
        postage = Core::Money::Line.new(kind: :part, words: "Postage", price_cents: postage_cents)
        lines << postage if postage_cents.positive?
        Core::Money::Estimate.new(lines: lines, policy: Policies.now.money)
      end

      def self.line(part, count)
        Core::Money::Line.new(kind: :part, words: count == 1 ? part.name : "#{count} × #{part.name}",
          price_cents: part.price_cents * count, key: "part/#{part.id}", note: part.number,
          tax_class: part.tax_class)
      end
      private_class_method :line

      private

      def parts_of(pieces)
        raise Invalid, { scan: ["Scan a part first."] } if pieces.empty?
        if pieces.size > MOST_LINES || pieces.values.any? { |count| !count.between?(1, 999) }
          raise Invalid, { scan: ["From 1 to 999 pieces, of at most #{MOST_LINES} parts."] }
        end

        parts = Models::Part.where(id: pieces.keys).order(:id).all
        parts.size == pieces.size ? parts : raise(NotFound, "There is no such part.")
      end

      def refuse_unknown_debtor(way)
        return if way != Core::Money::Ways::ON_ACCOUNT || @customer

        raise Invalid, { way: ["On account only for a customer on file."] }
      end

      def about
        @machine ? ["Over the counter, for #{@machine.sheet.title}"] : ["Over the counter"]
      end

      def take(part, count, bill)
        MoveStock.call(part, pieces: -count, kind: "sold", bill: bill, by: @by, at: @at)
      end

      def pay(bill, way)
        return if way == Core::Money::Ways::ON_ACCOUNT || bill.total_cents.zero?

        TakePayment.call(of: bill, way: way, cents: bill.total_cents, by: @by, at: @at)
      end

      def at_home(fitted)
        FitAtHome.call(@machine, fitted, on: Config::Zone.date(@at), by: @by, at: @at) if @machine && fitted.any?
      end
    end
  end
end
