# frozen_string_literal: true

module UprightBench
  module Demo
    # The past of the demo's machines, job by job in the order of the days, with what happened in the shop meanwhile:
    # deliveries, counted drawers, parcels, and the cards of each month.
    #
    # Whichever machines are asked for, each job is the same: its number and its dice hang on its place among all of
    # them. So some may be done first and others later, and what was broken off is gone on with.
    class History
      MONTHS = 8 # with a mailing in each

      # A stay of a machine, by its place among all of them.
      Stay = Struct.new(:index, :date, :machine)

      # @param now [Time]
      # @param begun_on [Date] of the first jobs
      # @param staff [Array<Models::Person>] owner, two technicians, counter
      # @param machines [Array<Models::Machine>] all of the demo
      def initialize(now, begun_on, staff, machines)
        @now = now
        @begun_on = begun_on
        @today = Config::Zone.date(now)
        @owner, *@technicians, @counter = staff
        @machines = machines
      end

      # The numbers of the past jobs are kept for them: today's come after those.
      def keep_numbers
        Config::Database.as_owner(DB) do |owner|
          owner.get(Sequel.function(:setval, "job_numbers", FIRST_NUMBER + stays.size - 1))
        end
      end

      # @param some [Array<Models::Machine>]
      # @param cards [Boolean] whether the mailings are sent too
      # @yieldparam done [Integer]
      # @yieldparam all [Integer]
      def of(some, cards: false)
        asked = stays_of(some)
        mailings = cards ? left_to_mail : []
        Unplanned.during do
          asked.each.with_index(1) do |stay, done|
            mail(mailings, stay.date)
            past_job(stay)
            yield done, asked.size if block_given?
          end
          mail(mailings, @today - 10)
        end
        came_first
      end

      # Cancels the stock moves of these past jobs: the yearly count came after them and already set the levels.
      def leave_the_shelf_as_it_was
        counted_at = @now - (3 * 86_400)
        last_count = Models::StockMove.where(kind: "counted").min(:id)
        moved = Models::StockMove.where { (id > last_count) & (moved_at < counted_at) }
          .group(:part_id).select_order_map([:part_id, Sequel.function(:sum, :pieces).as(:pieces)])
        moved.reject { |_, pieces| pieces.zero? }.each do |part_id, pieces|
          Services::MoveStock.call(Models::Part.with_pk!(part_id), pieces: -pieces, kind: "counted",
            reason: "yearly count", by: @owner, at: counted_at)
        end
      end

      private

      FIRST_NUMBER = 1001
      private_constant :FIRST_NUMBER

      # @return [Array<Stay>] of all machines
      def stays
        @stays ||= begin
          days = JobDays.new(@begun_on, @today, Random.new(Load::SEED + 3))
          dated = @machines.flat_map { |machine| days.of(machine).map { |date| [date, machine] } }
          dated.sort_by { |date, machine| [date, machine.id] }
            .each_with_index.map { |(date, machine), index| Stay.new(index, date, machine) }
        end
      end

      def stays_of(some)
        ids = some.to_set(&:id)
        stays.select { |stay| ids.include?(stay.machine.id) }
      end

      # One that was done before, or whose machine stands in the shop by now, is left out.
      def past_job(stay)
        number = FIRST_NUMBER + stay.index
        return if Models::Job.where(number: number).any?

        before(stay.date)
        DB.transaction { job_of(stay).whole(number: number, now: @now) }
      rescue Services::Refused
        raise if Models::Job.in_shop.where(machine_id: stay.machine.id).empty?
      end

      # Restocks the shelf, counts the drawer and packs parcels, before the first job of a day.
      def before(date)
        Shelf.restock(@owner, at: Config::Zone.at(date, 8))
        Counter.count_weekly(Config::Zone.at(date, 8), by: @counter)
        parcels.call(Config::Zone.at(date, 9))
      end

      def job_of(stay)
        random = Random.new((Load::SEED * 10_000) + stay.index)
        PastJob.new(stay.machine, stay.date, @technicians.sample(random: random), @counter, random)
      end

      def parcels
        @parcels ||= Parcels.new(@counter, @today)
      end

      # @return [Array<Date>] those that were not sent yet
      def left_to_mail
        dates = (1..MONTHS).map { |month| Services::Policies.now.schedule.open_day(@today - (month * 30)) }.sort
        dates.reject { |date| Models::Batch.where(created_at: Post.noon(date)).any? }
      end

      # Sends the mailings that were due before a day.
      # @param dates [Array<Date>] which grows shorter
      def mail(dates, until_on)
        while dates.any? && dates.first < until_on
          date = dates.shift
          Post.new(@owner, Random.new(Load::SEED + date.jd), @today).call(date)
        end
      end

      # Customers came to the shop with their first machine, and not all on the day it began.
      def came_first
        first = Models::Job.group(:customer_id).select(:customer_id, Sequel.function(:min, :taken_in_at).as(:came_at))
        Models::Customer.from(:customers, first.as(:first))
          .where(Sequel[:first][:customer_id] => Sequel[:customers][:id])
          .where(Sequel[:customers][:id] => @machines.map(&:customer_id).uniq)
          .update(created_at: Sequel[:first][:came_at])
      end
    end
  end
end
