# frozen_string_literal: true

module UprightBench
  module Screens
    module Job
      # What may be chosen at a place: to wash and wait, what the customer has of a box, each part that fits, a spare in
      # rotation, or to leave it as it is; each with when the machine would be ready.
      class PartChoices
        # @!attribute ready [#call] says when the machine would be ready then: the plan is asked for each
        Choice = Struct.new(:value, :words, :number, :price_cents, :ready, :why, :chosen, keyword_init: true)

        # @param page [Queries::JobPage]
        # @param item [Models::WorkItem]
        # @param moment [#call] how a time is written
        def initialize(page, item, moment:)
          @page = page
          @item = item
          @moment = moment
          @place = page.sheet.position(item.position)
          @fit = page.fits.fetch(item.position)
        end

        # @return [Array<Choice>]
        def all
          [(wash if to_wash?), other, brought, from_home, *@fit.candidates.map { |candidate| part(candidate) },
           (rotation if to_wash?), (leave if to_replace? || to_wash?)].compact
        end

        # @return [String, nil] what must be in place together with it
        def together
          sentence(@fit.together) if @item.action == "replace"
        end

        # @return [String, nil] that nothing fits
        def nothing
          sentence(@fit.nothing)
        end

        # @return [Hash{Core::Fit::Part=>String}] what only looks as if it fitted, and why it does not
        def near_misses
          @fit.near_misses.to_h { |miss| [miss.part, English::Sentences.row_of(miss.reasons)] }
        end

        # @return [Boolean] whether the maker may be charged
        def coverable?
          @page.step == :settle && (@item.covered || @page.in_warranty?)
        end

        private

        def sentence(reason)
          reason && English::Sentences.of(reason)
        end

        def found
          @page.findings[@item.position]&.verdict
        end

        def to_wash?
          @place.may_be_wetted? && (found == "wash" || (@item.action == "wash" && @page.time_up?(@item)))
        end

        def to_replace?
          @item.action == "replace" && (found == "replace" || @page.time_up?(@item))
        end

        def wash
          drying = @page.drying(@item)
          why = English::Sentences.row_of(drying.reasons)
          why = "dries #{Core::Units::Figure.words(drying.hours.round(1))} h: #{why}" if drying.dries?
          Choice.new(value: "wash", words: "Wash it and wait", ready: ready("wash"), why: why,
            chosen: @item.action == "wash")
        end

        def part(candidate)
          part = candidate.part
          words = to_wash? ? "New one now: #{part.name}" : part.name
          at = ready("replace", part)
          Choice.new(value: part.id, words: words, number: part.number, price_cents: part.price_cents,
            ready: part.on_shelf? ? at : -> { "to be ordered, #{at.call}" },
            why: English::Sentences.row_of(candidate.reasons), chosen: @item.part_id == part.id && !@item.rotates)
        end

        # What was found on file or written, though nobody lists it.
        def other
          part = @item.part
          return if !@item.untried || @fit.candidates.any? { |candidate| candidate.part.id == part.id }

          Choice.new(value: "other-#{part.id}", words: part.name, number: part.number, price_cents: part.price_cents,
            ready: ready("replace", part.to_core), why: @item.part_reason, chosen: true)
        end

        # Counted in with the machine, or said to be brought.
        def brought
          return unless @item.brought || (@item.action == "replace" && @page.came_along?(@item))

          Choice.new(value: "brought", words: "Fit the one they brought", ready: ready("replace"),
            chosen: @item.brought, why: "nothing to buy; its clock begins anew")
        end

        # New, of a box that was opened and paid in an earlier job.
        def from_home
          piece = @page.at_home(@item) or return

          Choice.new(value: "home", words: "Fit their own: #{piece.part.name}", ready: ready("replace"),
            why: "#{piece.pieces} went home on #{Core::Units::Day.words(piece.given_on)}, of a box that is paid; " \
                 "nothing to buy", chosen: @item.own_spare && !@item.rotates && !@item.brought)
        end

        # Their own spare where one waits, else a new one that becomes it.
        def rotation
          spare = @page.spares[@item.position]
          return own_spare(spare) if spare

          best = @fit.candidates.find { |candidate| candidate.part.on_shelf? } || @fit.candidates.first
          best && new_spare(best.part)
        end

        def own_spare(spare)
          Choice.new(value: "own", words: "Fit their own spare, wash this one for next time",
            ready: ready("replace", rotates: true), chosen: @item.own_spare && @item.rotates,
            why: "washed #{Core::Units::Day.words(spare.washed_on)}, #{spare.wash_count} washes so far; " \
                 "nothing to buy")
        end

        def new_spare(part)
          words = "Spare in rotation: #{part.name} now, this one washed for next time"
          Choice.new(value: "rotate-#{part.id}", words: words, price_cents: part.price_cents,
            ready: ready("replace", part, rotates: true), why: "no waiting, this time and every next time",
            chosen: @item.rotates)
        end

        def leave
          seat_only = to_wash? && @page.findings[@item.position]&.also.to_a.include?("clean")
          Choice.new(value: "leave", words: seat_only ? "Clean its seat only" : "Leave it as it is",
            ready: ready(seat_only ? "clean" : nil), chosen: seat_only && @item.action == "clean",
            why: "the customer knows what that means: #{seen}")
        end

        # What the rule says, where a person's own verdict stands over it.
        def seen
          finding = @page.findings[@item.position]
          rule = finding && finding.why.figures[:rule]
          rule ? English::Sentences.of(rule, unit: @page.policies.findings.length_unit) : @item.reason
        end

        def ready(action, part = nil, rotates: false)
          -> { "ready by #{@moment.call(@page.ready(@item, action, part, rotates: rotates))}" }
        end
      end
    end
  end
end
