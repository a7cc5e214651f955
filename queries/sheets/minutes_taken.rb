# frozen_string_literal: true

module UprightBench
  module Queries
    # How long work at the places of a model took in this shop: the median, over the machines of all its versions.
    module MinutesTaken
      LEAST = 3 # below that it says little

      # @!attribute place [String]
      # @!attribute action [String]
      # @!attribute minutes [Float] half took less
      # @!attribute times [Integer]
      Row = Struct.new(:place, :action, :minutes, :times, keyword_init: true)

      module_function

      MEDIAN = Sequel.lit("percentile_cont(0.5) WITHIN GROUP (ORDER BY took_minutes)").as(:minutes)
      TIMES = Sequel.lit("count(*)").as(:times)
      private_constant :MEDIAN, :TIMES

      # @param sheet [Models::Sheet]
      # @return [Hash{String=>Array<Row>}] by place, what was done often enough
      def call(sheet)
        rows = of_model(sheet).group(:position, :action).having(Sequel.lit("count(*) >= ?", LEAST))
          .order(:position, :action).select(:position, :action, MEDIAN, TIMES)
        rows.map { |row| Row.new(place: row[:position], **row.slice(:action, :minutes, :times)) }.group_by(&:place)
      end

      def of_model(sheet)
        jobs = DB[:jobs].join(:machines, id: :machine_id).where(sheet_id: sheet.id).select(Sequel[:jobs][:id])
        DB[:work_items].where(job_id: jobs).exclude(took_minutes: nil)
      end
    end
  end
end
