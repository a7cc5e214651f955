# frozen_string_literal: true

module UprightBench
  module English
    # What is said of a kind of part (Core::Kind), whose facts and keys stand in the core.
    class KindWords
      include Core::Value

      # @!attribute labels [Hash{Symbol=>String}] of what may be recorded of it
      # @!attribute steps [Hash{Symbol=>Hash}] field => words of some of its steps
      # @!attribute faults [Hash{Symbol=>String}] as they are said after the name of the place, as in "clogged"
      # @!attribute act [String] how it is looked at when a fault is sought
      # @!attribute sign [String] what shows that it is here
      # @!attribute tool [String, nil] that the look needs
      # @!attribute measures [Hash{String=>String}] that a sheet may give, with their units
      # @!attribute found [Hash{Symbol=>Hash}] key of a reason => `both:`, or `staff:` and `customers:` where the
      #   sentence for the staff also says what to do about it, or is in the words of the trade
      fields :labels, :steps, :faults, :act, :sign, :tool, :measures, :found

      # @return [Hash{Symbol=>String, Array<String>}] as Sentences takes them
      def to_staff
        found.transform_values { |said| said.fetch(:both) { said.fetch(:staff) } }
      end

      # @return [Hash{Symbol=>String}] where they differ from the staff's
      def to_customers
        found.filter_map { |key, said| [key, said.fetch(:customers)] unless said.key?(:both) }.to_h
      end
    end
  end
end
