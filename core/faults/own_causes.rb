# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # What a sheet says of its own about a complaint, among what the table says of all machines: the sheet's shares
      # stand, and the table's are of what is left. What a light tells of can always be, where the complaint has to do
      # with how the machine runs.
      class OwnCauses
        LIGHT_SHARE = 0.01 # of what only a light tells of, from memory
        MOST = 1 - (Complaints::NONE_OF_THESE / 100.0)

        # @param sheet [Sheets::Sheet]
        # @param complaint [Complaints::Complaint]
        def initialize(sheet, complaint)
          @sheet = sheet
          @complaint = complaint
        end

        # @param table [Array<Cause>] with weights beside each other
        # @return [Array<Cause>] with shares, which leave over what is none of them
        def among(table)
          known = table.to_h { |cause| [cause.key, cause] }
          lit = (@complaint.running ? causes(&:lights) : {}).except(*known.keys)
          own = capped(lit.transform_values { LIGHT_SHARE }.merge(said))
          weighed(causes { |place| shares(place) }.merge(lit, known), own)
        end

        private

        def weighed(causes, own)
          others = causes.except(*own.keys).each_value.sum(&:weight)
          left = MOST - own.each_value.sum
          causes.map do |key, cause|
            cause.with(weight: own.fetch(key) { cause.weight / others * left })
          end
        end

        # @return [Hash{String=>Float}] by cause
        def said
          @sheet.positions.flat_map do |place|
            shares(place).map { |share| [Cause.key_of(place, share.fault), share.percent / 100.0] }
          end.to_h
        end

        def capped(shares)
          whole = shares.each_value.sum
          whole > MOST ? shares.transform_values { |share| share / whole * MOST } : shares
        end

        def shares(place)
          place.shares.select { |share| share.complaint == @complaint.key.to_s }
        end

        # @yieldreturn [Array] rows of a place that name a fault
        # @return [Hash{String=>Cause}]
        def causes
          @sheet.walk.flat_map { |place| yield(place).map { |row| cause(place, row.fault.to_sym) } }
            .to_h { |cause| [cause.key, cause] }
        end

        def cause(place, fault)
          known = Possible.at(place.kind).fetch(fault)
          Cause.setting?(place, fault) ? Cause.setting(fault, 0.0) : Cause.at(place, known, 0.0)
        end
      end
    end
  end
end
