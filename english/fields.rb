# frozen_string_literal: true

module UprightBench
  module English
    # What may be recorded at a place (Core::Findings::Field), and what was, in a few words.
    module Fields
      ANYWHERE = { dirty: "Dirty or greasy", smell: "Smells", wet: "Wet", cracked: "Cracked",
                   foreign: "Foreign thing found", note: "Note" }.freeze

      module_function

      # @param kind [Symbol] of part
      # @param name [Symbol] of the field
      # @return [String]
      # @raise [KeyError]
      def label(kind, name)
        Kinds.fetch(kind).labels.fetch(name) { ANYWHERE.fetch(name) }
      end

      # @return [Hash{Object=>String}] words of some of its steps
      def steps(kind, name)
        Kinds.fetch(kind).steps.fetch(name, {})
      end

      # @param kind [Core::Kind]
      # @param typed [Object] a value, as Field#typed gives it
      # @return [String] as in "grey 3"
      def words(kind, name, typed, unit:)
        said = label(kind.key, name).downcase
        field = kind.fields.fetch(name)
        case field.type
        when :flag then said
        when :text then "#{said}: #{typed}"
        when :measure then "#{said} #{typed.to_s.tr('.', Core::Units::Writing.now.mark)} #{field.unit_words(unit)}"
        else "#{said} #{typed}"
        end
      end
    end
  end
end
