# frozen_string_literal: true

module UprightBench
  module Queries
    # A job with all that its page shows, each kind read once.
    class JobPage
      include JobFindings
      include JobFits
      include JobDues
      include JobMoney
      include JobTelling
      include JobClosing

      attr_reader :job, :policies

      def initialize(job, now:, policies:)
        @job = job
        @now = now
        @policies = policies
      end

      def sheet
        @job.sheet
      end

      # @return [Boolean] the sheet got a newer version since, and what the job recorded may still follow it
      def newer_sheet?
        @job.sheet_version_id != machine.sheet.current_version_id && @job.recordable?
      end

      def machine
        @job.machine
      end

      def customer
        @customer ||= @job.customer
      end

      def items
        @items ||= Models::WorkItem.of_job(@job.id, stays: has?(:stays))
      end

      # @param some [Symbol] of JobHas
      # @return [Boolean] there is anything of it
      def has?(some)
        (@has ||= JobHas.call(@job)).fetch(some)
      end
      private :has?

      def to_do
        items.select(&:to_do?)
      end

      def stops
        @stops ||= has?(:stops) ? Models::Stop.where(job_id: @job.id).order(:id).all : []
      end

      def accessories
        @accessories ||= has?(:accessories) ? @job.accessories : []
      end

      def pictures
        @pictures ||= @job.pictures
      end

      # @return [Array<Models::Note>] on the job and on its machine
      def notes_of_all
        @notes_of_all ||= has?(:notes) ? Models::Note.about(machine, job: @job).all : []
      end

      def standing_stops
        stops.select { |stop| stop.cleared_at.nil? }
      end

      # @return [Core::Drying::DryingTime::Answer]
      def drying(item)
        Services::Promises.drying(sheet.position(item.position), @policies).call
      end

      # When would it be ready, if this were chosen here and all else stayed?
      # @param action [String, nil] nil to leave it as it is
      # @param part [Core::Fit::Part, nil]
      # @param rotates [Boolean] what comes out is washed as a spare
      # @return [Time]
      def ready(item, action, part = nil, rotates: false)
        place = sheet.position(item.position)
        asks = asks(to_do.reject { |other| other.id == item.id })
        if action
          minutes = rotates ? [Services::ChoosePart.rotation_minutes(place)] : []
          asks << Services::Promises.ask(sheet, place, action, part, *minutes, policies: @policies)
        end
        promised(asks).at
      end

      # As it would be promised now; what was promised at the agreement stands on the job.
      # @return [Services::AskPromise::Answer]
      def promise_now
        @promise_now ||= promised(asks(to_do))
      end

      # What it would take to be ready sooner than that.
      # @return [Array<Core::Bench::Sooner::Way>] with Times
      def sooner
        promise_now
        @asked.sooner(asks(to_do), wet_until: wet_until)
      end

      def asks(items)
        items.map { |item| Services::Promises.ask_of(item, sheet, reserved: reserved, policies: @policies) }
      end
      private :asks

      def promised(asks)
        @asked ||= Services::AskPromise.new(@job.number, at: @now, policies: @policies)
        @asked.call(asks, wet_until: wet_until)
      end
      private :promised

      # @return [Time, nil]
      def wet_until
        items.reject(&:rotates).filter_map(&:on_rack).map(&:ready_at).max
      end
      private :wet_until

      # @return [Array<Models::Question>] what the customer asked
      def questions
        @questions ||= has?(:questions) ? Models::Question.where(job_id: @job.id).eager(:replier).order(:id).all : []
      end

      # @return [Array<Array(Integer, Time)>] numbers and promises of the customer's other machines that are worked on
      def others
        @others ||= has?(:others) ? OthersOfCustomer.call(@job) : []
      end

      def skips
        has?(:skips) ? super : {}
      end

      def fault_found
        super if has?(:fault_found)
      end

      # @param accessory [Models::Accessory]
      # @return [Integer] pieces that go back: those that were fitted do not
      def goes_home(accessory)
        @brought_fitted ||= Services::Brought.fitted(@job)
        accessory.pieces_in - @brought_fitted.fetch(accessory.id, 0)
      end

      # @return [Boolean] something for this place came along
      def came_along?(item)
        !Services::Brought.among(accessories, sheet.position(item.position)).nil?
      end

      # @return [Boolean] what was said last can still be taken back
      def may_take_back?
        return false if @job.came_from.to_a.empty? || !Services::TakeBack::STATES.include?(@job.state)

        @job.state != "handed_over" || @now <= @job.handed_over_at + (@policies["take_back_hours"] * 3600)
      end

      # @return [Boolean] more is to be done than was agreed, or the warranty may end and nobody agreed to that by name
      def beyond?
        step == :work && !Services::Quotes.agreement(agreed).covers?(quote, ends_warranty: ends_warranty.any?)
      end

      def in_warranty?
        return @in_warranty if defined?(@in_warranty)

        @in_warranty = machine.warranty(Config::Zone.date(@now)).in?
      end

      # @return [Array<String>] parts that may end the warranty the machine is in
      def ends_warranty
        @ends_warranty ||= Services::Quotes.ends_warranty(@job, items, today: Config::Zone.date(@now))
      end

      def wet
        items.reject(&:rotates).filter_map(&:on_rack).reject { |stay| stay.dry?(@now) }
      end

      # @return [String, nil] that it pulls too little after the work
      def too_weak
        @weak ||= Services::PullsEnough.too_little(@job)
        Services::PullsEnough.words(@weak) if @weak.any?
      end

      # @return [Symbol] a key of Core::Jobs::States::STEPS
      def step
        @job.step
      end

      # @return [Symbol] whether a step is :past, :now or :later
      def phase(step)
        Core::Jobs::States.phase(step, @job.state)
      end
    end
  end
end
