# frozen_string_literal: true

module UprightBench
  module Services
    # Takes the lines that a gauge's reader hands on, and tells it where the gauge is held, which a gauge that simulates
    # a machine needs to know.
    module HearGauge
      MOST_LINES = 60
      KEPT_SECONDS = 6.0
      LINE = /\A(?<ago>\d{1,5}) (?<text>.*)\z/ # milliseconds ago, and what the gauge wrote

      module_function

      # @param token [String]
      # @param body [String] a line each: milliseconds ago, a space, what the gauge wrote
      # @return [Hash, nil] where it is held: job, model, point, kind, plate_mm, exhaust_off; empty when nowhere. Nil
      #   when nobody knows the token
      def call(token, body, at:)
        gauge = Models::Gauge.of_token(token) or return
        DB.transaction do
          stream = Models::GaugeStream.for_update.with_pk!(gauge.id)
          lines = body.lines.last(MOST_LINES).filter_map { |line| LINE.match(Formats::ReadableText.of(line).chomp) }
          keep(stream, gauge, lines, at) if lines.any?
          held(stream, at)
        end
      end

      def keep(stream, gauge, lines, at)
        last = lines.last[:text]
        read = gauge.profile.read(last)
        shown = gauge.room? ? [] : recent(stream, at) + lines.filter_map { |line| row_of(line, gauge.profile, at) }
        stream.update(shown: Sequel.pg_jsonb(shown), heard_at: at, last_line: last[0, 80], understood: !read.nil?)
        HearRoom.call(gauge, read, at: at) if gauge.room? && read
      end

      # @return [Array, nil] when, the value, what it is, and whether it is held still; nil for what cannot be read
      def row_of(line, profile, at)
        read = profile.read(line[:text]) or return
        [at.to_f - (line[:ago].to_i / 1000.0), read.value, read.what, read.held]
      end

      def recent(stream, at)
        stream.shown.to_a.select { |time, *| time > at.to_f - KEPT_SECONDS }
      end

      def held(stream, at)
        return {} unless stream.held?(at) && stream.job

        { job: stream.job.number, model: stream.job.sheet.title, point: stream.held_point, kind: stream.held_kind,
          plate_mm: stream.held_plate_mm, exhaust_off: stream.held_exhaust_off, worked: worked?(stream) }.compact
      end

      def worked?(stream)
        !Models::WorkItem.where(job_id: stream.held_job_id).exclude(done_at: nil).empty?
      end

      private_class_method :worked?, :keep, :row_of, :recent, :held
    end
  end
end
