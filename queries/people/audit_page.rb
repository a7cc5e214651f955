# frozen_string_literal: true

module UprightBench
  module Queries
    # What happened, for the owner: by group, by person, by day, the newest first, page by page.
    class AuditPage
      PAGE = 100

      # @!attribute sealed [Boolean]
      Row = Struct.new(:id, :at, :actor, :verb, :subject, :subject_id, :job_number, :address, :data, :sealed,
        keyword_init: true)

      attr_reader :group, :person_id, :on, :verb

      # @param group [Core::Access::Audit::Group, nil] all when nil
      # @param person_id [Integer, nil]
      # @param on [Date, nil] that day
      # @param verb [String, nil] what was done, or a part of it
      # @param before [Integer] an event's id: those before it; 0 from the newest
      def initialize(group: nil, person_id: nil, on: nil, verb: nil, before: 0)
        @group = group
        @person_id = person_id
        @on = on
        @verb = verb
        @before = before
      end

      # @return [Array<Row>]
      def rows
        @rows ||= asked.reverse(Sequel[:events][:id]).limit(PAGE).map { |row| Row.new(**row) }
      end

      # @return [Boolean] whether there may be more
      def more?
        rows.size == PAGE
      end

      # @return [Array<Array(Integer, String)>] who may have done something
      def self.people
        Models::Person.order(Sequel.function(:lower, :name), :id).select_map(%i[id name])
      end

      private

      def asked
        events = all
        events = events.where(Sequel[:events][:id] < @before) if @before.positive?
        events = events.where(Sequel[:events][:person_id] => @person_id) if @person_id
        events = events.where(at: Config::Zone.at(@on, 0)...Config::Zone.at(@on + 1, 0)) if @on
        events = events.where(Sequel.ilike(:verb, "%#{events.escape_like(@verb)}%")) if @verb
        @group ? of_group(events) : events
      end

      def of_group(events)
        events = events.where(subject: @group.subjects)
        events = events.where(verb: @group.verbs) if @group.verbs
        @group.without.any? ? events.exclude(verb: @group.without) : events
      end

      def all
        DB[:events].left_join(:event_seals, { event_id: Sequel[:events][:id] })
          .left_join(:jobs, { id: Sequel[:events][:job_id] })
          .select(*%i[id at actor verb subject subject_id address data].map { |name| Sequel[:events][name] },
            Sequel[:jobs][:number].as(:job_number), Sequel.~(Sequel[:event_seals][:number] => nil).as(:sealed))
      end
    end
  end
end
