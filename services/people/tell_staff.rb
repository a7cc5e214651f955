# frozen_string_literal: true

require "que"

module UprightBench
  module Services
    # Writes to somebody when what they sign in with was changed, so that they hear of it when it was not them.
    module TellStaff
      # what was done, as it stands in the history => what they are told
      WORDS = {
        "changed the password" => "Your password was changed",
        "gave a new password" => "You were given a new password",
        "let in again" => "You were let in again, with a new password",
        "set up a second factor" => "A phone was set up for codes",
        "took off their second factor" => "The codes from your phone were taken off",
        "took off a second factor" => "Your second factor was taken off",
        "added a passkey" => "A passkey was added",
        "took off a passkey" => "A passkey was taken off",
        "changed the PIN" => "Your PIN was changed",
        "changed" => "The address with which you sign in was changed"
      }.freeze

      # The queue's job. A mail that comes twice does no harm; one that cannot be delivered is given up after a while.
      class Work < Que::Job
        self.maximum_retry_count = 5

        def run(event_id, to = nil)
          TellStaff.write(event_id, to)
        end
      end

      module_function

      # @param event_id [Integer] of what was just noted, in the same transaction
      # @param to [String, nil] the address that they had before; the one they have, when nil
      def of(event_id, to: nil)
        Work.enqueue(event_id, to)
      end

      def write(event_id, to)
        event = Models::Event.with_pk!(event_id)
        shop = ShopOnFile.call
        to ||= Models::Person.with_pk!(event.subject_id).email
        Outbox::EmailChannel.new(SETTINGS).to_staff(to, shop, subject: "Your account at #{shop.name}",
          text: words(event))
      rescue Outbox::Rejected, Outbox::InDoubt => e
        Config::Report.error(e, what: "mail to staff") # the server has had its say
      end

      # @return [String] what was done, when, from where and by whom
      def words(event)
        at = Core::Units::Moment.whole(Config::Zone.local(event.at))
        from = " from #{event.address}" if event.address
        by = " by #{event.actor}" if event.person_id != event.subject_id
        "#{WORDS.fetch(event.verb)} on #{at}#{from}#{by}. If it was not you, and you did not ask for it, tell the " \
          "owner of the shop at once, and change your password."
      end
      private_class_method :words
    end
  end
end
