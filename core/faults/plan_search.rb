# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # The search for what is behind a complaint, on one model: the table's causes at the places of its sheet, a look
      # for each place, and the tries that part them.
      class PlanSearch
        SETTINGS = "settings"
        TAKES_DIRT = %i[full damp].freeze
        BEFORE_THE_MOTOR = 3 # times as likely as behind it, from memory

        # @param sheet [Sheets::Sheet]
        # @param complaint [Symbol] a key of Complaints
        # @param learned [Hash{String=>Numeric}, nil] by cause: how many of the shop's own closed jobs it was
        def initialize(sheet, complaint, learned: nil)
          @sheet = sheet
          @complaint = Complaints.fetch(complaint)
          @learned = learned || {}
          @openings = Openings.new(sheet)
        end

        # @return [Search]
        def call
          found = causes
          checks = [settings(found), Lights.new(@sheet, found).call, *looks(found)].compact
          tries = Tries.new(@sheet, @complaint.key, found).call
          places = checks.filter_map(&:place) + tries.filter_map(&:place)
          Search.new(causes: found, checks: checks + tries, openings: @openings.of(places))
        end

        private

        def causes
          found = @complaint.may_be.inject(behind(@complaint)) do |own, (other, often)|
            mixed(own, behind(Complaints.fetch(other)), often)
          end
          learned(OwnCauses.new(@sheet, @complaint).among(found))
        end

        # @param complaint [Complaints::Complaint]
        # @return [Array<Cause>] with weights beside each other
        def behind(complaint)
          found = complaint.rows.flat_map do |row|
            row.part == Possible::SETTING ? setting(row, complaint) : at_places(row, complaint)
          end
          found.select { |cause| cause.weight.positive? }
        end

        # @param often [Float] how often it is the other complaint
        def mixed(own, other, often)
          scale = often / (1 - often) * own.sum(&:weight) / other.sum(&:weight)
          scaled = other.map { |cause| cause.with(weight: cause.weight * scale) }
          (own + scaled).group_by(&:key).each_value.map { |same| same.first.with(weight: same.sum(&:weight)) }
        end

        def learned(causes)
          shares = { **causes.to_h { |cause| [cause.key, cause.weight] }, Belief::NONE => 1 - causes.sum(&:weight) }
          weights = LearnWeights.new(shares, @learned).call
          causes.map { |cause| cause.with(weight: weights.fetch(cause.key)) }
        end

        def setting(row, complaint)
          [Cause.setting(row.fault.key, weight(row, complaint).to_f)]
        end

        # A part that is there several times shares the weight.
        def at_places(row, complaint)
          parts = @sheet.walk.select { |place| place.kind == row.part }.to_h { |place| [place, part_of(row, place)] }
          weight = weight(row, complaint) / parts.each_value.sum.to_f
          parts.map { |place, part| Cause.at(place, row.fault, weight * part) }
        end

        def weight(row, complaint)
          row.fault.weight(complaint.key, @sheet)
        end

        # What is before the motor takes the dirt (common practice).
        def part_of(row, place)
          return 1 unless row.part == :filter && TAKES_DIRT.include?(row.fault.key)

          motor = @sheet.walk.index { |other| other.kind == :motor }
          motor.nil? || @sheet.walk.index(place) < motor ? BEFORE_THE_MOTOR : 1
        end

        def settings(causes)
          here = causes.select { |cause| cause.place.nil? }
          return if here.empty?

          Check.new(key: SETTINGS, place: nil, name: "Settings", act: Settings::ACT, sign: Settings::SIGN,
            minutes: Settings::MINUTES, shows: seen(here))
        end

        def looks(causes)
          causes.group_by(&:place).except(nil).map { |key, here| look(@sheet.position(key), here) }
            .sort_by { |check| @sheet.walk.index { |place| place.key == check.place } }
        end

        def look(place, causes)
          Check.new(key: place.key, place: place.key, name: place.name, act: place.look, sign: place.sign,
            tool: place.tool, caution: place.caution, minutes: place.minutes, shows: seen(causes),
            needs: @openings.needed(place.key))
        end

        def seen(causes)
          causes.to_h { |cause| [cause.key, cause.fault.seen] }
        end
      end
    end
  end
end
