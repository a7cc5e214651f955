# frozen_string_literal: true

module UprightBench
  module Screens
    # What waits to be fetched, who is to be told, and what was said.
    module ToCollect
      def self.registered(app)
        app.helpers Helpers

        app.get "/to-collect" do
          @title = "Waits to be fetched"
          erb :"to_collect/page", locals: { rows: Queries::ToCollect.new.rows }
        end

        app.post "/notices/:id/called", may: :work do
          notice = Services::Lookup.one(:notice, id_of(params["id"]))
          Services::Told.call(notice, by: person, at: now)
          redirect page_before, 303
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        # @param notice [Models::Notice, nil]
        # @return [String] whether the customer knows
        def told_words(notice)
          return "Nobody was told." unless notice

          case notice.state
          when "handed_over" then "#{told_how(notice)} #{moment(notice.told_at)}."
          when "called" then "Called by #{notice.teller.name} #{moment(notice.told_at)}."
          when "to_call" then "#{['To be called', notice.last_error].compact.join(': ')}."
          else "On its way."
          end
        end

        def told_how(notice)
          way = notice.channel == "email" ? "e-mail" : "text message"
          "Told by #{way} that #{notice.says},"
        end

        # @return [String] as in "since Wed 18 Nov, 9 days"
        def waits_words(since)
          since_on = zone_date(since)
          "since #{day(since_on)}, #{counted((today - since_on).to_i, 'day')}"
        end
      end
    end
  end
end
