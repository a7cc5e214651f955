# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # What may be wrong: with a kind of part, and with how a machine is set.
      module Possible
        SETTING = :setting

        # @!attribute part [Symbol] a kind of part, or SETTING
        # @!attribute fault [Fault]
        Row = Struct.new(:part, :fault)

        module_function

        # @param part [Symbol] a kind of part
        # @return [Hash{Symbol=>Fault}] what a place of that kind may have; a motor also what cuts it out
        # @raise [KeyError]
        def at(part)
          Kinds.fetch(part).faults.merge(part == :motor ? Settings::ALL.slice(Settings::CUT_OUT) : {})
        end

        # @param part [Symbol] a kind of part, or SETTING
        # @return [Fault]
        # @raise [KeyError]
        def fetch(part, key)
          (part == SETTING ? Settings::ALL : Kinds.fetch(part).faults).fetch(key)
        end

        # @param complaint [Symbol]
        # @return [Array<Row>] what may be behind it on some machine
        def behind(complaint)
          all.select { |row| row.fault.explains.key?(complaint) }
        end

        # @return [Array<Row>]
        def all
          @all ||= [*Settings::ALL.each_value.map { |fault| Row.new(SETTING, fault).freeze },
                    *Kinds.all.flat_map do |kind|
                      kind.faults.each_value.map do |fault|
                        Row.new(kind.key, fault).freeze
                      end
                    end]
            .freeze
        end
      end
    end
  end
end
