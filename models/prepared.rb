# frozen_string_literal: true

module UprightBench
  module Models
    # A long read that many pages send: put together once in a process, and planned once on each connection. For a short
    # one there is nothing to gain, since finding what was prepared takes as long as writing it anew.
    #
    #   ALIKE = Prepared.new(:parts_alike) { Part.where(kind: :$kind) }
    #   ALIKE.all(kind: "belt")
    #
    # A number that may be larger than its column is cast in the statement, or the database refuses it.
    class Prepared
      NAMES = Set.new
      private_constant :NAMES

      # @param name [Symbol] no other may have it: a connection knows it by this alone
      # @yieldreturn [Sequel::Dataset] with :$names where something is to be filled in
      def initialize(name, &dataset)
        raise ArgumentError, "#{name} is prepared already" unless NAMES.add?(name)

        @name = name
        @dataset = dataset
      end

      # @param asked [Hash{Symbol=>Object}] what is filled in; lists as Sequel.pg_array
      # @return [Array] rows, or models where the dataset is of a model
      def all(**asked)
        statement.call(asked)
      end

      # @return [Object, nil]
      def first(**asked)
        all(**asked).first
      end

      private

      # Not before it is asked for: the database is not there yet when the code is read.
      def statement
        @statement ||= @dataset.call.prepare(:select, @name)
      end
    end
  end
end
