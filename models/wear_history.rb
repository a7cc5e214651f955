# frozen_string_literal: true

module UprightBench
  module Models
    # What was learned at a place of a machine: found over expected, the newest job first; and its strip's last
    # reading. Drawn from the findings, and drawn again whenever one of them changes.
    class WearHistory < Sequel::Model(:wear_histories)
      unrestrict_primary_key

      # Where enough was expected to say something. At the end of its scale a reading says "at least": below what was
      # expected it says nothing.
      TELLING = (Sequel[:wear_expected] >= Core::Use::Personal::LEAST_EXPECTED) & Sequel.lit("wear_found > 0") &
                Sequel.lit("NOT (wear_at_least AND wear_found < wear_expected)")
      STRIP = Sequel.lit("observed ->> 'indicator_percent'")

      # @param machine_id [Integer]
      # @param position [String]
      def self.draw_again(machine_id, position)
        dataset.where(machine_id: machine_id, position: position).delete
        draw(Finding.where(position: position).where(Sequel[:jobs][:machine_id] => machine_id))
      end

      # @param findings [Sequel::Dataset] of places that nothing is kept of yet
      def self.draw(findings)
        told = findings.join(:jobs, id: :job_id).where(Sequel.|(TELLING, Sequel.~(STRIP => nil)))
          .group(Sequel[:jobs][:machine_id], :position)
        dataset.insert(%i[machine_id position ratios strip_percent strip_at],
          told.select(Sequel[:jobs][:machine_id], :position, ratios, newest(Sequel.cast(STRIP, Integer)),
            newest(:found_at)))
      end

      def self.ratios
        all = Sequel.function(:array_agg, Sequel[:wear_found] / :wear_expected).order(Sequel.desc(:job_id))
          .filter(TELLING)
        Sequel.lit("coalesce((?)[1:?], '{}')", all, Core::Use::Personal::NEWEST)
      end

      def self.newest(column)
        Sequel.lit("(?)[1]", Sequel.function(:array_agg, column).order(Sequel.desc(:job_id))
          .filter(Sequel.~(STRIP => nil)))
      end
      private_class_method :ratios, :newest
    end
  end
end
