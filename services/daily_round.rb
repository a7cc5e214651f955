# frozen_string_literal: true

module UprightBench
  module Services
    # What the day asks for by itself, each done as often as it is called: who did not fetch their machine hears again,
    # parcels of which nobody says anything are taken to be fitted, old files of customers and old archives go, names go
    # off old bills, old readings of the drying room go, and what came of the cards of a day is counted when nothing
    # more can come of them.
    module DailyRound
      # what, as it is reported when it fails => what is done
      ALL = { "reminders to fetch" => ->(at) { RemindToFetch.call(at: at) },
              "parcels" => ->(at) { MoveParcel.fitted_by_now(at: at) },
              "archives" => ->(at) { TakeOut.delete_old(at: at) },
              "files of customers" => ->(at) { KeepCustomerList.forget_old(at: at) },
              "readings of the room" => ->(at) { HearRoom.forget_old(at: at) },
              "old bills" => ->(at) { BlankOldBills.call(on: Config::Zone.date(at)) },
              "what came of cards" => ->(at) { CardResults.keep(today: Config::Zone.date(at)) } }.freeze

      module_function

      # One that fails leaves the others alone.
      def call(at:)
        ALL.each do |what, work|
          work.call(at)
        rescue StandardError => e
          Config::Report.error(e, what: what)
        end
      end
    end
  end
end
