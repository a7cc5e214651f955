# frozen_string_literal: true

module UprightBench
  module Services
    # Writes down what a gauge showed, in whatever unit it was typed.
    module TakeReading
      module_function

      # @param point [String] key of a station
      # @param kind [String] of Core::Suction::Reading::KINDS
      # @param text [String] as it was read, as in "80 inH2O"
      # @param plate_mm [Float, nil] the hole of the plate, where there was one
      # @param exhaust_off [Boolean] whether what is behind the fan was off, too
      # @param gauge_id [Integer, nil] the gauge that said it itself
      # @return [Models::SuctionReading]
      # @raise [Invalid] beside the fields point, kind, value, plate_mm
      def call(number, point:, kind:, text:, by:, at:, plate_mm: nil, exhaust_off: false, gauge_id: nil)
        Permissions.check!(:work, by)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          OpenToLook.refuse_past(job)
          row = Models::SuctionReading.create(**fields(job, point, kind, text, plate_mm), **taken_with(gauge_id),
            exhaust_off: exhaust_off, job_id: job.id, taken_by: by.id, taken_at: at)
          History.note("read the gauge", row, by: by, at: at, job: job,
            data: { point: point, kind: kind, value: row.value })
          row
        end
      end

      # Typed wrong.
      def take_back(number, id, by:, at:)
        Permissions.check!(:work, by)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          row = Models::SuctionReading.first(id: id, job_id: job.id) || raise(NotFound, "There is no such reading.")
          row.delete
          History.note("took back a reading", row, by: by, at: at, job: job, data: { point: row.point })
        end
      end

      def fields(job, point, kind, text, plate_mm)
        raise Invalid, { kind: ["is none of these"] } unless Core::Suction::Reading::KINDS.key?(kind.to_sym)

        quantity = Core::Suction::Reading.quantity(kind.to_sym)
        value = quantity.parse(text)
        errors = { point: ("is no point of this machine" unless points(job).include?(point)),
                   value: (unread(quantity) unless value),
                   plate_mm: ("is needed: the hole, from 1 to 100 mm" unless plate?(kind, plate_mm)) }.compact
        raise Invalid, errors.transform_values { |words| [words] } if errors.any?

        { point: point, kind: kind, value: value, plate_mm: (plate_mm if kind == "plate") }
      end

      # @return [Hash] what the gauge and the air of the shop add
      def taken_with(gauge_id)
        gauge = Models::Gauge.in_use.first(id: gauge_id) if gauge_id
        policies = Policies.now
        air = %w[drying_temperature_c air_pressure_kpa drying_humidity_percent].map { |key| policies[key] }
        celsius, kpa, humidity = air
        density = Core::Suction::AirDensity.kg_m3(celsius: celsius, kpa: kpa, humidity_percent: humidity) if air.any?
        { error_percent: gauge&.error_percent || policies["gauge_error_percent"], air_kg_m3: density,
          gauge_id: gauge&.id }
      end

      def points(job)
        Core::Suction::Expected.of(job.sheet).stages.map(&:key)
      end

      def plate?(kind, plate_mm)
        kind != "plate" || plate_mm&.between?(1, 100)
      end

      def unread(quantity)
        "is a number, with a unit such as #{quantity.units_words}, as far as a vacuum cleaner goes"
      end
      private_class_method :fields, :taken_with, :points, :plate?, :unread
    end
  end
end
