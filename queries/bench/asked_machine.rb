# frozen_string_literal: true

module UprightBench
  module Queries
    # The machine, or the model, that somebody asks about before it is brought; neither where nobody knows it.
    class AskedMachine
      # Something that may be done with it.
      Choice = Struct.new(:value, :words, :due, keyword_init: true)

      SOON_DAYS = 30 # what falls due within that is taken to be done
      ACTIONS = %w[wash clean replace].freeze

      attr_reader :machine, :sheet

      # @param machine_id [Integer, nil]
      # @param sheet_id [Integer, nil] of its model, where the machine is not known
      # @raise [Services::NotFound]
      def initialize(machine_id, sheet_id, today:)
        @machine = machine_id && Services::Lookup.one(:machine, machine_id)
        @sheet = (@machine&.sheet || (sheet_id && Services::Lookup.one(:sheet, sheet_id)))&.to_core
        @today = today
      end

      # @return [Array<Choice>] what its sheet knows to be done, what is due first
      def choices
        return [] unless @sheet

        choices = @sheet.positions.flat_map do |place|
          actions_of(place).map { |action| choice(place, action) }
        end
        choices.sort_by.with_index { |choice, index| [choice.due ? 0 : 1, index] }
      end

      # @param work [Array<Array(String, String)>] as it was sent
      # @return [Array<Array(String, String)>] without what this machine does not have
      def known(work)
        work & choices.map { |choice| choice.value.split(":", 2) }
      end

      # @return [String, nil]
      def title
        @sheet&.title
      end

      private

      def actions_of(place)
        actions = place.tasks.map { |task| task.action.to_s }.uniq & ACTIONS
        place.may_be_wetted? ? actions : actions - ["wash"]
      end

      def choice(place, action)
        Choice.new(value: "#{place.key}:#{action}", words: "#{action} #{place.name.downcase}",
          due: due.include?([place.key, action]))
      end

      def due
        return [] unless @machine

        @due ||= Models::Due.running.where(machine_id: @machine.id).where(Sequel[:due_on] <= @today + SOON_DAYS)
          .select_map(%i[position action])
      end
    end
  end
end
