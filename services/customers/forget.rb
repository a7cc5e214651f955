# frozen_string_literal: true

module UprightBench
  module Services
    # Takes a person out of the book. The machines, what was found and done with them and what it cost stay, of nobody;
    # what says who it was goes: name, addresses, what was written to them and by them. Bills keep the name for as long
    # as the shop must. It cannot be undone.
    class Forget
      NAME = "forgotten"
      LIST = 40

      # Customers who have not been here for as long as the shop keeps them, the longest away first.
      # @param years [Integer]
      # @param after [Integer] id of the last one seen
      # @return [Array<Models::Customer>]
      def self.long_away(today:, years:, after: 0) # rubocop:disable Metrics/AbcSize -- one query
        since = Config::Zone.at(today << (12 * years), 0)
        Models::Customer.where(forgotten_on: nil).where(Sequel[:created_at] < since).where(Sequel[:id] > after)
          .exclude(seen_since(since).select(1).exists)
          .exclude(in_shop(Sequel[:customers][:id]).select(1).exists).order(:id).limit(LIST).all
      end

      def self.seen_since(time)
        Models::Job.where(customer_id: Sequel[:customers][:id]).where { (taken_in_at > time) | (handed_over_at > time) }
      end
      private_class_method :seen_since

      def self.in_shop(customer_id)
        Models::Job.in_shop.where(customer_id: customer_id)
      end

      # @param customer [Models::Customer]
      # @raise [Refused] while a machine of theirs is in the shop
      def self.call(customer, by:, at:)
        Permissions.check!(:forgetting, by)
        DB.transaction do
          customer.lock!
          next customer if customer.forgotten_on
          raise Refused, "A machine of theirs is in the shop; hand it over first." if in_shop(customer.id).any?

          new(customer, by, at).call
        end
      end

      def initialize(customer, by, at)
        @customer = customer
        @by = by
        @at = at
      end

      def call
        withdraw
        forget_words
        forget_beside
        DB.get(Sequel.function(:forget_in_history, @customer.id, NAME)) # what this role may not change itself
        forget_person
        BlankOldBills.call(on: Config::Zone.date(@at))
        History.note("forgot", @customer, by: @by, at: @at)
        @customer
      end

      private

      def jobs
        Models::Job.where(customer_id: @customer.id)
      end

      def cards
        Models::Card.where(customer_id: @customer.id)
      end

      def withdraw
        KeepConsent.stop(@customer, how: "written", by: @by, at: @at)
        Outbox::Withdraw.call(Models::Message.where(card_id: cards.select(:id), state: Models::Message::WAITING),
          "the customer asked to be forgotten")
        Models::Booking.booked.where(customer_id: @customer.id).update(state: "called_off")
      end

      def forget_words
        Models::Message.where(card_id: cards.select(:id)).update(recipient: NAME, last_error: nil, said: nil)
        Models::Question.where(job_id: jobs.select(:id)).update(asked: Sequel.join([
          NAME, " ", Sequel.cast(:id, String)
        ]))
        words = %i[agreed_name called_off_reason not_mended_reason]
        jobs.update(complaint: NAME, **words.to_h { |name| [name, said(name)] })
        notes.update(text: NAME)
        forget_bench
      end

      # What was written down of the work.
      def forget_bench
        { final_tests: :note, tray_differences: :explanation }.each do |table, column|
          DB[table].where(job_id: jobs.select(:id)).exclude(column => nil).update(column => NAME)
        end
      end

      def forget_beside
        forget_health
        forget_rows
        forget_notices
        forget_parcels
        forget_registrations
      end

      # What the household said of allergy or asthma is nobody's any more.
      def forget_health
        Models::Machine.where(customer_id: @customer.id).update(allergy: false)
      end

      # What was left out of a file of customers, as it stands there.
      def forget_rows
        known = Sequel.pg_array(@customer.values.values_at(:name, :email, :phone).compact, :text)
        DB[:customer_import_rows].where(Sequel.lit("cells && ?", known)).delete
      end

      # Where parcels went: what was in them stands on their bills.
      def forget_parcels
        Models::Parcel.where(customer_id: @customer.id).update(address: Sequel.pg_jsonb([]))
      end

      # What waits for the counter is turned down with it.
      def forget_registrations
        waiting = Models::Registration.where(customer_id: @customer.id, state: "sent_in")
        waiting.update(said: Sequel.pg_jsonb({}), state: "turned_down", settled_by: @by.id, settled_at: @at)
      end

      def forget_notices
        bills = Models::Bill.where(customer_id: @customer.id).select(:id)
        Models::Notice.where(Sequel.|({ job_id: jobs.select(:id) }, { bill_id: bills }))
          .update(recipient: NAME, subject: NAME, body: NAME, last_error: nil)
      end

      def notes
        machines = Models::Machine.where(customer_id: @customer.id).select(:id)
        Models::Note.where(Sequel.|({ machine_id: machines }, { job_id: jobs.select(:id) }))
      end

      def said(column)
        Sequel.case([[{ column => nil }, nil]], NAME)
      end

      def forget_person
        Models::ChannelFault.where(customer_id: @customer.id).delete
        @customer.update(name: "#{NAME} #{@customer.id}", phone: nil, email: nil, street: nil, town: nil, region: nil,
          postcode: nil, country: nil, notes: nil, former_number: nil, fleet: false,
          forgotten_on: Config::Zone.date(@at))
      end
    end
  end
end
