# frozen_string_literal: true

require "digest"
require "securerandom"

module UprightBench
  module Services
    # Adds a gauge, changes how its lines are read, and puts it away. What its reader shows to be let in is told once.
    module KeepGauge
      module_function

      # @param fields [Hash] kind, name, pattern, unit, error_percent
      # @return [Array(Models::Gauge, String)] the gauge, and its token
      # @raise [Invalid] beside name and pattern
      def add(fields, by:, at:, token: SecureRandom.urlsafe_base64(32))
        Permissions.check!(:settings, by)
        check(fields)
        kept do
          gauge = Models::Gauge.create(**fields, token_digest: Digest::SHA256.hexdigest(token), added_by: by.id,
            added_at: at)
          Models::GaugeStream.create(gauge_id: gauge.id)
          History.note("added a gauge", gauge, by: by, at: at, data: { name: gauge.name })
          [gauge, token]
        end
      end

      # @return [Models::Gauge]
      def change(id, fields, by:, at:)
        Permissions.check!(:settings, by)
        kept do
          gauge = find(id)
          check({ **fields, kind: gauge.kind })
          gauge.update(fields.except(:kind))
          History.note("changed a gauge", gauge, by: by, at: at, data: { name: gauge.name })
          gauge
        end
      end

      # It is heard no more; its readings stay.
      def put_away(id, by:, at:)
        Permissions.check!(:settings, by)
        DB.transaction do
          gauge = find(id)
          gauge.update(put_away_at: at)
          History.note("put a gauge away", gauge, by: by, at: at, data: { name: gauge.name })
        end
      end

      def kept(&)
        taken = -> { raise Invalid, { name: ["There is a gauge of that name."] } }
        Constraint.told("gauges_name_in_use" => taken) { DB.transaction(&) }
      end

      def find(id)
        Models::Gauge.in_use.for_update.first(id: id) || raise(NotFound, "There is no such gauge.")
      end

      def check(fields)
        Core::Gauges::Kinds.fetch(fields.fetch(:kind, "suction")).profile(fields[:pattern], fields[:unit])
      rescue ArgumentError => e
        raise Invalid, { pattern: [e.message] }
      end
      private_class_method :kept, :find, :check
    end
  end
end
