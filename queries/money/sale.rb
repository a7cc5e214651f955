# frozen_string_literal: true

module UprightBench
  module Queries
    # A sale over the counter as it stands before it is paid: the parts on the counter, whom for, and what else fits
    # their machine.
    class Sale
      Line = Struct.new(:part, :pieces, :places, keyword_init: true)

      attr_reader :machine, :customer, :pieces

      # @param pieces [Hash{Integer=>Integer}] part's id => pieces
      # @param machine_id [Integer, nil]
      # @param customer_id [Integer, nil]
      # @param today [Date]
      def initialize(pieces:, today:, machine_id: nil, customer_id: nil)
        @pieces = pieces
        @machine = machine_id && Services::Lookup.one(:machine, machine_id)
        @customer = @machine&.customer || (customer_id && Services::Lookup.one(:customer, customer_id))
        @today = today
      end

      # @return [Array<Line>] `places` are those of the machine that the part fits
      def lines
        @lines ||= parts.map do |part|
          Line.new(part: part, pieces: @pieces.fetch(part.id), places: places_of(part.id))
        end
      end

      # @return [Core::Money::Estimate]
      def quote
        @quote ||= Services::SellOverCounter.quote(parts, @pieces)
      end

      # @return [Array<Array(Core::Sheets::Position, Core::Fit::Part)>] the best for each place, those on the shelf
      def fitting
        on_shelf = fits.filter_map do |key, answer|
          best = answer.candidates.find { |candidate| candidate.part.on_shelf? } or next
          [@machine.to_core.position(key), best.part]
        end
        on_shelf.reject { |_, part| @pieces.key?(part.id) }
      end

      private

      def parts
        @parts ||= Models::Part.where(id: @pieces.keys).eager(:stock_level).order(:id).all
      end

      def places_of(part_id)
        keys = fits.select { |_, answer| answer.candidates.any? { |candidate| candidate.part.id == part_id } }.keys
        keys.map { |key| @machine.to_core.position(key) }
      end

      # @return [Hash{String=>Core::Fit::Answer}]
      def fits
        return {} unless @machine

        @fits ||= begin
          replaced = @machine.to_core.positions.select { |place| place.tasks.any? { |task| task.action == :replace } }
          Services::FitFor.new(@machine.to_core, @machine, today: @today).call(replaced.map(&:key))
        end
      end
    end
  end
end
