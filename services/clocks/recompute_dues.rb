# frozen_string_literal: true

require "que"

module UprightBench
  module Services
    # What the dates of many machines rest on has changed: the worker computes them again, some machines at a time, so
    # that nobody waits for it and nothing is held up by it. Any number of workers share it.
    module RecomputeDues
      SLICE = 500 # machines

      # @param why [String] kept with each date that moves
      # @param sheet [Models::Sheet, nil] machines of this model only
      # @param traits [Array<Symbol>, nil] machines of households with one of these only
      # @return [Models::Recompute]
      def self.ask(why:, by:, at:, sheet: nil, traits: nil)
        DB.transaction do
          asked = Models::Recompute.create(reason: why, sheet_id: sheet&.id,
            traits: traits && Sequel.pg_array(traits.map(&:to_s), :text), asked_by: by.id, asked_at: at)
          Plan.enqueue(asked.id)
          asked
        end
      end

      # Parts the machines into slices, each a job of its own.
      class Plan < Que::Job
        def run(id)
          DB.transaction do
            asked = Models::Recompute.where(id: id).for_update.first
            slices = asked.machines ? [] : RecomputeDues.slices(asked)
            asked.update(machines: slices.sum(&:last), finished_at: (Time.now if slices.empty?)) unless asked.machines
            slices.each { |slice| Slice.enqueue(id, *slice) }
            finish
          end
        end
      end

      # What is written and that it was done are committed together, so that none is counted twice.
      class Slice < Que::Job
        def run(id, first, last, count)
          DB.transaction do
            RecomputeDues.slice(Models::Recompute.with_pk!(id), first, last, count, at: Time.now)
            finish
          end
        end
      end

      # @param asked [Models::Recompute]
      # @return [Array<Array(Integer, Integer, Integer)>] first and last machine, and how many there are
      def self.slices(asked)
        numbered = asked.machines_dataset.select(:id, Sequel.function(:row_number).over(order: :id).as(:place))
        numbered.from_self.group(Sequel.lit("(place - 1) / #{SLICE}")).order(1).naked
          .select_map([Sequel.function(:min, :id).as(:first), Sequel.function(:max, :id).as(:last),
                       Sequel.function(:count).*.as(:count)])
      end

      # The machines are held while their dates are computed, so that another use told at the counter meanwhile is not
      # overwritten.
      # @param count [Integer] machines when the plan was made
      def self.slice(asked, first, last, count, at:)
        held = asked.machines_dataset.where(id: first..last).order(:id).for_no_key_update.eager(:sheet).all
        SetClocks.again(held, on: Config::Zone.date(at), why: asked.reason)
        rows = Models::Recompute.where(id: asked.id)
        rows.update(done: Sequel[:done] + count)
        rows.where { done >= machines }.update(finished_at: at)
      end
    end
  end
end
