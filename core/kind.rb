# frozen_string_literal: true

module UprightBench
  module Core
    # One kind of part, as a technician knows it: how it is looked at and what each finding means, which faults it may
    # have and how they show, how it is measured, cleaned and dried. Each kind is one file in kinds/. Nothing has a
    # default: Ruby refuses to load a kind that leaves something out.
    #
    # Sources, where none stands beside a figure: which faults there are, and what the technician does about them, is
    # common practice; how often a fault comes and how surely a look shows it are house rules, in numbers of ours.
    class Kind
      include Value

      # @!attribute key [Symbol] as sheets and records name it
      # @!attribute states_in [Symbol, nil] the field in which one look chooses its state; nil where none does
      # @!attribute states [Hash{String=>State}] the good one first
      # @!attribute asked [Hash{Symbol=>Findings::Field}] what else may be recorded of it
      # @!attribute said_otherwise [Array<Symbol>] what may be seen anywhere and is here said in its own words
      # @!attribute read_by [Class] a Findings::Reader, which says what was found
      # @!attribute ages [Array<Symbol>] readers of Findings::Loads: what of a finding says how far gone it is
      # @!attribute tells [Array<Symbol>] those from which is learned how a household treats it, the surest first. What
      #   has only two or three words tells too little
      # @!attribute cracked [Symbol] what a crack means where it has no words of its own: :replace, :refer or STOP
      # @!attribute wet [Symbol] what water means where it has no words of its own: :clean or STOP
      # @!attribute other_faults [Array<Faults::Fault>] those that are no state
      # @!attribute resistance [Float] its part in the resistance of the whole air path, beside the others (from memory)
      # @!attribute laminar [Float] the share of it that grows with the flow and not with its square (from memory)
      # @!attribute cleaned [Symbol] of CLEANED: when its turn comes in a job
      # @!attribute slot [Integer] of Drying::SlotSize, where its place has no size (house rule)
      # @!attribute trials [Array<String>] keys of FinalTest::Plan: what is tried when it is back in
      # @!attribute measures [Array<String>] that a sheet may give, in the unit that their name ends with
      # @!attribute sides [Array<Symbol>] that are measured at a part on the shelf, mm
      # @!attribute told_apart_by [Hash{String=>Array}] what tells apart parts that look alike, and the values of it
      # @!attribute tolerance [Tolerance] how far a side may be off
      # @!attribute traits [Array<Symbol>] of TRAITS
      fields :key, :states_in, :states, :asked, :said_otherwise, :read_by, :ages, :tells, :cracked, :wet, :other_faults,
        :resistance, :laminar, :cleaned, :slot, :trials, :measures, :sides, :told_apart_by, :tolerance, :traits

      STOP = :stop # to be referred, and nothing else is done until somebody has seen to it

      # The order in which a technician cleans: first the parts that must be empty before anything is opened, then those
      # that dust, outdoors, then those that are cut free of hair, then all others along the air path.
      CLEANED = %i[emptied dusts cut_free along_the_air].freeze

      TRAITS = {
        never_wet: "never wetted, whatever a sheet says",
        one_by_one: "a fault there can hurt somebody: nobody says of it \"all the rest is fine\"",
        at_the_floor: "suction at the end of the hose says nothing of it",
        moves_the_air: "a hand over the motor's inlet feels whether it works",
        live: "opened on a machine for the mains, its safety is proven by who may do that",
        in_the_motor_head: "only who opens motor heads gets there",
        some_are_washed: "a rough sheet does not know whether it may be"
      }.freeze

      SIDES = %i[length_mm width_mm diameter_mm].freeze # of a part that may have any
      YES_NO = [true, false].freeze

      # The fields in which a technician may record something at any place.
      ANYWHERE = {
        dirty: Findings::Fields::Flag.new, smell: Findings::Fields::Flag.new, wet: Findings::Fields::Flag.new,
        cracked: Findings::Fields::Flag.new, foreign: Findings::Fields::Text.new, note: Findings::Fields::Text.new
      }.freeze

      # @return [Hash{Symbol=>Findings::Field}] what may be recorded of the part itself, its state first
      attr_reader :own_fields

      # @return [Hash{Symbol=>Findings::Field}] what may be seen there as anywhere
      attr_reader :anywhere

      # @return [Hash{Symbol=>Findings::Field}] all that may be recorded
      attr_reader :fields

      # @return [Hash{Symbol=>Faults::Fault}] what may be wrong with it, by key
      attr_reader :faults

      # @param name [Symbol] of TRAITS
      def trait?(name)
        traits.include?(name)
      end

      # @return [State]
      # @raise [KeyError]
      def state(word)
        states.fetch(word)
      end

      # @return [Array<Symbol>] fields of Findings::Background that its reader asks for, beside the policy
      def asks_for
        read_by::ASKS_FOR
      end

      private

      # Fields and faults are put together once, when the kind is loaded.
      def check
        check_names
        @own_fields = { **state_field, **asked }.freeze
        @anywhere = ANYWHERE.except(*@own_fields.keys, *said_otherwise).freeze
        @fields = { **@own_fields, **@anywhere }.freeze
        @faults = [*faults_of_states, *other_faults].to_h { |fault| [fault.key, fault] }.freeze
      end

      def check_names
        unknown = (traits - TRAITS.keys) + ([cleaned] - CLEANED)
        raise ArgumentError, "#{key}: #{unknown.join(', ')}" if unknown.any?
      end

      def state_field
        return {} unless states_in

        { states_in => Findings::Fields::Choice.new(options: states.keys) }
      end

      # Such a fault is found by its state.
      def faults_of_states
        states.filter_map { |word, state| state.fault&.with(observed: { states_in => word }) }
      end
    end
  end
end
