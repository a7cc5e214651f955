# frozen_string_literal: true

module UprightBench
  module Queries
    # Which parts fit what is still to be settled in a job, and what of them the customer has. Whoever includes this is
    # a JobPage.
    module JobFits
      # @return [Hash{String=>Core::Fit::Answer}] for what is still to be settled: replacements, and spares for a wash
      def fits
        @fits ||= fit_for(items.select { |item| item.state != "done" && fitted_or_washed?(item) })
      end

      # @param id [Integer] of an item
      # @return [Models::WorkItem, nil] where it is still to do, and there is something to choose
      def may_change(id)
        to_do.find { |item| item.id == id && fits.key?(item.position) }
      end

      # Or could be washed, where only its seat is cleaned.
      def fitted_or_washed?(item)
        %w[replace wash].include?(item.action) || findings[item.position]&.verdict == "wash"
      end
      private :fitted_or_washed?

      # @return [Hash{String=>Models::Spare}] the customer's own, that wait for their turn, by position
      def spares
        @spares ||= if has?(:spares)
                      Models::Spare.waiting.where(machine_id: @job.machine_id).eager(:part).to_hash(:position)
                    else
                      {}
                    end
      end

      # @return [Models::HomePiece, nil] new, of a box that the customer has at home, for what is replaced there
      def at_home(item)
        return unless has?(:at_home)

        @at_home ||= Models::HomePiece.there(@job.machine_id, on: Config::Zone.date(@now)).all
        Services::HomePieces.for(@at_home, sheet.position(item.position), fits.fetch(item.position))
      end

      def fit_for(items)
        return {} if items.empty?

        smell = findings.values.any? { |finding| finding.seen[:smell] }
        Services::FitFor.new(sheet, machine, today: Config::Zone.date(@now), smell: smell, job: @job,
          reserved: reserved, policies: @policies).call(items.map(&:position))
      end
      private :fit_for

      def reserved
        @reserved ||= Services::ReservedParts.for_others(except: @job)
      end
      private :reserved
    end
  end
end
