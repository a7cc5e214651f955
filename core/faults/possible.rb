# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # All faults that a search may end with: those of the parts, and those of how a customer has set the machine.
      module Possible
        SETTING = :setting

        # @!attribute part [Symbol] a kind of part, or SETTING
        # @!attribute fault [Fault]
        Row = Struct.new(:part, :fault)

        ALL = [*Settings::ALL.each_value.map { |fault| Row.new(SETTING, fault).freeze },
               *Kinds.all.flat_map { |kind| kind.faults.each_value.map { |fault| Row.new(kind.key, fault).freeze } }]
          .freeze
        # complaint => what may be behind it on some machine
        BEHIND = ALL.flat_map { |row| row.fault.explains.keys.map { |complaint| [complaint, row] } }.group_by(&:first)
          .transform_values { |pairs| pairs.map(&:last).freeze }.freeze

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
      end
    end
  end
end
