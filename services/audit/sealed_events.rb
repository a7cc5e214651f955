# frozen_string_literal: true

module UprightBench
  module Services
    # What of events is sealed, as the seals take it.
    module SealedEvents
      module_function

      # @return [Sequel::Dataset] Core::Access::Seal::FACTS, and the detail as text
      def facts
        columns = (Core::Access::Seal::FACTS - %i[at_microseconds]).map { |name| Sequel[:events][name] }
        DB[:events].select(*columns, Sequel.lit("(extract(epoch FROM events.at) * 1000000)::bigint AS at_microseconds"),
          Sequel.cast(Sequel[:events][:data], String).as(:detail))
      end
    end
  end
end
