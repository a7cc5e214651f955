# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # What must hold of what a sheet says about faults: each belongs to its kind of part, and the shares of a
      # complaint leave something over.
      class FaultRules
        # @param sheet [Sheet]
        def initialize(sheet)
          @sheet = sheet
        end

        # @return [Array<Problem>]
        def problems
          unknown_faults + twice + too_much
        end

        private

        def unknown_faults
          each_own do |place, list, row, index|
            next if Faults::Possible.at(place.kind).key?(row.fault.to_sym)

            say("#{row.fault} is no fault of a #{place.kind.to_s.tr('_', ' ')}", place, list, index, "fault")
          end
        end

        def twice
          @sheet.positions.flat_map do |place|
            seen = place.shares.map { |share| [share.complaint, share.fault] }
            seen.each_index.select { |index| seen.index(seen[index]) < index }
              .map { |index| say("it stands twice", place, "shares", index, "fault") }
          end
        end

        def too_much
          all = @sheet.positions.flat_map { |place| place.shares.map { |share| [place, share] } }
          all.group_by { |_, share| share.complaint }.filter_map do |complaint, rows|
            percent = rows.sum { |_, share| share.percent }
            next if percent <= OwnShare::MOST_PERCENT

            words = Faults::Complaints.fetch(complaint).words
            say("of a hundred that come with “#{words}”, the sheet has #{percent}: #{OwnShare::MOST_PERCENT} at most",
              rows.last.first, "shares")
          end
        end

        def each_own
          @sheet.positions.flat_map do |place|
            { "shares" => place.shares, "lights" => place.lights }.flat_map do |list, rows|
              rows.each_with_index.filter_map { |row, index| yield place, list, row, index }
            end
          end
        end

        def say(words, place, *path)
          Problem.new(path: ["positions", @sheet.positions.index(place), *path], words: words)
        end
      end
    end
  end
end
