# frozen_string_literal: true

module UprightBench
  module Screens
    module Job
      # The sentences about one piece of work on the job page. `page` is a Queries::JobPage throughout.
      module ItemWords
        # @return [Array<Models::WorkItem>] of which the page asks what is to be fitted
        def items_to_choose(page)
          return page.items.select { |item| item.to_do? && !item.chosen? } unless page.step == :settle

          page.items.select { |item| item.state != "left" && page.fits[item.position] }
        end

        # @return [String] where the page says when the machine would be ready with a choice
        def ready_id(item, choice)
          "ready-#{item.id}-#{choice.value}"
        end

        # @return [String]
        def ready_words(choice)
          choice.ready.call
        rescue Services::Refused
          "no time can be promised"
        end

        # @return [String] a sentence, with the reason
        def ready_if_agreed(page)
          promise = page.promise_now
          when_agreed = page.to_choose.empty? ? "if agreed now" : "at the earliest, since parts are still to be chosen"
          "Ready by #{moment(promise.at)} #{when_agreed}: #{sentence(promise.reason)}."
        rescue Services::Refused => e
          e.message
        end

        # @return [String] what was done, is to be done, or that it is left
        def item_how_words(item)
          return "left as it is" if item.state == "left"

          kinds = Core::Findings::VerdictKind
          item.state == "done" ? kinds.past_of(item.action) : kinds.of(item.action).words
        end

        # @return [String] as it was planned; as it was, once it is done
        def item_minutes_words(item)
          took = item.took_minutes or return minutes_words(item.minutes)
          "#{minutes_words(item.minutes)}, took #{minutes_words(took.round.clamp(1..))}"
        end

        def dry_words(stay)
          return "it does not dry in this air" if stay.too_damp

          stay.dry?(now) ? "dry" : "dry #{moment(stay.dry_at)}"
        end

        # @return [String] why it is done; also that it is not washed, where what was seen says that it may be
        def item_reason_words(page, item)
          washable = page.findings[item.position]&.verdict == "wash"
          return item.reason unless washable && item.action == "replace" && !item.rotates

          "#{item.reason} A new one goes in instead."
        end

        # How it is done, where what was found does not say it already.
        # @param place [Core::Sheets::Position]
        # @return [String, nil]
        def item_care_words(item, place)
          care = item_care(item, place)
          care unless care && bare_words(item.reason).include?(bare_words(care))
        end

        # Of what is replaced, the care of the place is that of the new one; where it rotates, what comes out is washed.
        def item_care(item, place)
          return place.care_for("wash") if item.rotates
          return place.care_for(item.action) if item.action != "replace" || place.care_of.key?("replace")

          "Care of the new one: #{place.care}" if place.care
        end

        # @return [String] without what stands between the words
        def bare_words(text)
          text.downcase.gsub(/[^[:alnum:]]+/, " ").strip
        end

        def done_button(item)
          return "Fitted; old one washed, to the rack" if item.rotates && item.action == "replace"

          Core::Findings::VerdictKind.of(item.action).done
        end

        # @return [Symbol, String] of Drawings::Mark
        def item_mark(item)
          item.state == "left" ? :leave : item.action
        end

        # @return [Array<Models::WorkItem>] whose old part is washed for the next time
        def rotated_items(page)
          page.items.select { |item| item.state == "done" && item.rotates }
        end

        # @return [Array<String>] what came out and belongs to the customer
        def goes_back(page)
          page.items.select { |item| item.state == "done" }.flat_map { |item| item.goes_back.to_a }
        end

        # @return [String] where the customer's spare is
        def spare_words(page, item)
          name = page.sheet.position(item.position).name.downcase
          stay = item.rack_stays.last
          return "Their spare #{name} is washed. Give it to them with the machine." if stay.nil? || stay.off_at

          where = "Their spare #{name} is #{stay.slot ? "on #{stay.lies}" : "drying elsewhere (#{stay.lies})"}"
          if stay.dry?(now)
            "#{where}, dry. Give it to them with the machine."
          else
            "#{where}, wet until #{moment(stay.dry_at)}. They can fetch it later, or it stays here for next time."
          end
        end
      end
    end
  end
end
