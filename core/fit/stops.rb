# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # What speaks against a part at a place of a machine, whatever speaks for it.
      class Stops
        ALL = %i[tried_in_vain wrong_body_style wrong_serial_number wrong_attributes lacks_what_it_needs
                 no_longer_made].freeze

        # @param position [Sheets::Position]
        # @param machine [Machine]
        # @param lineage [Lineage]
        # @param in_vain [Hash{Integer=>String}] part's id => why it did not fit when it was tried here
        def initialize(position, machine, lineage, in_vain = {})
          @position = position
          @machine = machine
          @lineage = lineage
          @in_vain = in_vain
        end

        # @param part [Part]
        # @param rules [Array<Rule>] those that name it, or what it took the place of, for this model or family here
        # @return [Array<Reason>]
        def call(part, rules)
          ALL.flat_map { |stop| send(stop, part, rules) }
        end

        private

        def tried_in_vain(part, _rules)
          why = @in_vain[part.id]
          why ? [Reason.of(:tried_in_vain, why: why)] : []
        end

        def wrong_body_style(_part, rules)
          return [] if rules.empty? || rules.any? { |rule| rule.body_style?(@machine) }

          [Reason.of(:other_body_style, styles: rules.map(&:body_style).uniq, body_style: @machine.body_style)]
        end

        def wrong_serial_number(_part, rules)
          rules = rules.select { |rule| rule.body_style?(@machine) }
          return [] if rules.empty? || rules.any? { |rule| rule.serial_number?(@machine) }
          return [Reason.of(:serial_number_unknown)] if @machine.serial_number.nil?

          [Reason.of(:other_serial_number, serial_from: rules.first.serial_from, serial_to: rules.first.serial_to,
            serial_number: @machine.serial_number)]
        end

        # What was tried here and fitted has what it takes, whatever is written of it.
        def wrong_attributes(part, rules)
          return [] if rules.any?(&:tried)

          @position.attributes.filter_map do |name, wanted|
            had = part.attributes.fetch(name, false)
            wrong_attribute(name.tr("_", " "), wanted, had) unless had == wanted
          end
        end

        def wrong_attribute(name, wanted, had)
          return Reason.of(had ? :in_the_way : :has_none, attribute: name) if [true, false].include?(wanted)
          return Reason.of(:other_attribute, attribute: name, had: had, wanted: wanted) if had

          Reason.of(:attribute_not_stated, attribute: name, wanted: wanted)
        end

        def lacks_what_it_needs(part, rules)
          return [] if rules.any?(&:tried)

          lacking = part.needs.reject { |name, wanted| @position.attributes[name] == wanted }
          lacking.map do |name, wanted|
            attribute = name.tr("_", " ")
            wanted == true ? Reason.of(:needs_one, attribute: attribute) : needs(attribute, wanted)
          end
        end

        def needs(attribute, wanted)
          Reason.of(:needs, attribute: attribute, wanted: wanted)
        end

        def no_longer_made(part, _rules)
          return [] unless part.gone?

          newest = @lineage.newest(part)
          [Reason.of(:gone, part: newest&.name, number: newest&.number)]
        end
      end
    end
  end
end
