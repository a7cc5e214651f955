# frozen_string_literal: true

module UprightBench
  module Services
    # Settles which part a work item uses. A part for a wash is fitted now instead of it; in rotation, the old one is
    # washed all the same and waits as the customer's own spare, which is fitted the next time. What is left stays as it
    # is.
    class ChoosePart
      # @param choice [String] a part's id, the same after "rotate-", the same after "other-" for one that nobody lists,
      #   "own" (spare), "home" (new, of a box that the customer has), "brought" (along, today), "wash" or "leave"
      # @return [Models::WorkItem]
      # @raise [Refused] when the part does not fit, or the item is done
      def self.call(number, item_id, choice:, by:, at:)
        DB.transaction { new(Lookup.job(number, lock: true), item_id, choice, by, at).call }
      end

      # @param candidate [Core::Fit::Candidate]
      # @return [Hash] columns of a work item that uses it
      def self.chosen(candidate)
        { part_id: candidate.part.id, part_reason: English::Sentences.row_of(candidate.reasons),
          goes_back: Sequel.pg_array(candidate.goes_back, :text), rotates: false, own_spare: false,
          untried: candidate.evidence == :measure, brought: false, accessory_id: nil }
      end

      # Hands-on: the one in, the other washed.
      # @param place [Core::Sheets::Position]
      # @return [Integer]
      def self.rotation_minutes(place)
        Core::Work::Plan.minutes(place, :replace) + Core::Findings::VerdictKind.of(:wash).minutes
      end

      NONE = { part_id: nil, part_reason: nil, goes_back: Sequel.pg_array([], :text), rotates: false, own_spare: false,
               untried: false, brought: false, accessory_id: nil }.freeze
      ROTATE = /\Arotate-/
      OTHER = /\Aother-(?=\d{1,18}\z)/

      def initialize(job, item_id, choice, by, at)
        @job = job
        @item = Lookup.work_item(job, item_id)
        @choice = choice
        @by = by
        @at = at
      end

      def call
        raise Refused, "This is done already; undo it first." if @item.state == "done"
        raise Refused, "Job #{@job.number} is #{@job.state_words}." unless @job.changeable?

        @item.update(fields)
        SettleDue.follow(@item, from: "now", to: "left") if @item.state == "left"
        @job.update(Promises.fields(@job, at: @at)) if @job.estimated?
        History.note("chose part", @item, by: @by, at: @at, job: @job,
          data: { position: @item.position, choice: @choice })
        @item
      end

      private

      def fields
        case @choice
        when "leave" then leave
        when "wash" then wash
        when "own" then own_spare
        when "home" then from_home
        when "brought" then brought
        when ROTATE then fit(@choice.sub(ROTATE, "")).merge(rotation)
        when OTHER then other(@choice.sub(OTHER, ""))
        else fit(@choice)
        end
      end

      # Who leaves the wash of what is loose as well has its seat cleaned all the same.
      def leave
        return action("clean").merge(NONE) if @item.action == "wash" && also.include?("clean")

        { **NONE, state: "left", done_by: @by.id, done_at: @at }
      end

      def also
        Models::Finding.where(job_id: @job.id, position: @item.position).get(:also).to_a
      end

      def own_spare
        spare = Models::Spare.waiting.first(machine_id: @job.machine_id, position: @item.position)
        raise Refused, "There is no spare of #{place.name.downcase} that waits for its turn." if spare.nil?

        action("replace").merge(NONE, rotation, own_spare: true,
          part_reason: "the customer's own, washed #{Core::Units::Day.words(spare.washed_on)}")
      end

      def from_home
        piece = HomePieces.of(@job, @item, on: Config::Zone.date(@at))
        action("replace").merge(NONE, own_spare: true,
          part_reason: "the customer's own, of the box of #{Core::Units::Day.words(piece.given_on)}")
      end

      # What came along is counted, so that the rest of it goes back.
      def brought
        among = Brought.left(@job, place, except: @item)
        raise Refused, "All #{among.name} that came along are planned already." if among && among.left < 1

        action("replace").merge(NONE, own_spare: true, brought: true, accessory_id: among&.id,
          part_reason: "the customer's own, brought along")
      end

      def rotation
        raise Refused, "#{place.name} must not be wetted." unless place.washable?

        { rotates: true, minutes: self.class.rotation_minutes(place) }
      end

      def wash
        raise Refused, "#{place.name} must not be wetted." unless place.may_be_wetted?

        action("wash").merge(NONE)
      end

      def fit(id)
        candidate = by_id(answer.candidates, id)
        return action("replace").merge(self.class.chosen(candidate)) if candidate

        near = by_id(answer.near_misses, id)
        raise NotFound, "There is no such part for #{place.name.downcase}." unless near

        raise Refused, "#{near.part.name} does not fit: #{English::Sentences.row_of(near.reasons)}."
      end

      # One that nobody lists here. What was tried and did not fit is not sold again.
      def other(id)
        return fit(id) if by_id(answer.candidates, id)

        part = Lookup.one(:part, id.to_i)
        refuse_tried_in_vain(part)
        action("replace").merge(NONE, part_id: part.id, untried: true,
          part_reason: "chosen by #{@by.name}; nobody lists it for this model: try it in place")
      end

      def refuse_tried_in_vain(part)
        near = by_id(answer.near_misses, part.id.to_s)
        why = near&.reasons&.find { |reason| reason.key == :tried_in_vain }
        raise Refused, "#{part.name} does not fit: #{English::Sentences.of(why)}." if why
      end

      def by_id(answers, id)
        answers.find { |answer| answer.part.id.to_s == id }
      end

      def action(name)
        { action: name, minutes: Core::Work::Plan.minutes(place, name), state: "to_do", done_by: nil, done_at: nil,
          took_minutes: nil }
      end

      def place
        @job.sheet.position(@item.position)
      end

      def answer
        @answer ||= FitFor.new(@job.sheet, @job.machine, today: Config::Zone.date(@at), job: @job)
          .call([@item.position]).fetch(@item.position)
      end
    end
  end
end
