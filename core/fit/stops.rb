# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # What speaks against a part at a place of a machine, whatever speaks for it.
      class Stops
        ALL = %i[wrong_body_style wrong_serial_number wrong_attributes lacks_what_it_needs no_longer_made].freeze

        # @param position [Sheets::Position]
        # @param machine [Machine]
        # @param lineage [Lineage]
        def initialize(position, machine, lineage)
          @position = position
          @machine = machine
          @lineage = lineage
        end

        # @param part [Part]
        # @param rules [Array<Rule>] those that name it, or what it took the place of, for this model or family here
        # @return [Array<String>] a reason each
        def call(part, rules)
          ALL.flat_map { |stop| send(stop, part, rules) }
        end

        private

        def wrong_body_style(_part, rules)
          return [] if rules.empty? || rules.any? { |rule| rule.body_style?(@machine) }

          ["made for body style #{rules.map(&:body_style).uniq.join(' and ')}; this machine is a " \
           "#{@machine.body_style}"]
        end

        def wrong_serial_number(_part, rules)
          rules = rules.select { |rule| rule.body_style?(@machine) }
          return [] if rules.empty? || rules.any? { |rule| rule.serial_number?(@machine) }
          return ["fits certain serial numbers only, and this machine's is not recorded"] if @machine.serial_number.nil?

          ["fits serial numbers #{rules.first.serial_from || 'up'} to #{rules.first.serial_to || 'now'}; this one is " \
           "#{@machine.serial_number}"]
        end

        def wrong_attributes(part, _rules)
          @position.attributes.filter_map do |name, wanted|
            had = part.attributes.fetch(name, false)
            attribute_words(name.tr("_", " "), wanted, had) unless had == wanted
          end
        end

        def attribute_words(name, wanted, had)
          if [true, false].include?(wanted)
            return had ? "has the #{name}, which is in the way here" : "has no #{name}, and is held by one here"
          end

          "#{name} is #{had || 'not stated'}; it must be #{wanted}"
        end

        def lacks_what_it_needs(part, _rules)
          part.needs.filter_map do |name, wanted|
            next if @position.attributes[name] == wanted

            if wanted == true
              "needs a #{name.tr('_', ' ')}, which this machine lacks"
            else
              "needs #{name.tr('_', ' ')} #{wanted}"
            end
          end
        end

        def no_longer_made(part, _rules)
          return [] unless part.gone?

          newest = @lineage.newest(part)
          [if newest
             "no longer made, and none is left: #{newest.name} (#{newest.number}) took its place"
           else
             "no longer made, and none is left"
           end]
        end
      end
    end
  end
end
