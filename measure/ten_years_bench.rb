# frozen_string_literal: true

require_relative "cards_bench"
require_relative "sample"
require_relative "stopwatch"

module UprightBench
  module Measure
    # Times the counter, the look-over and the shelf in a shop of ten years, each round with another customer, machine,
    # job or part.
    class TenYearsBench
      include Sample

      ROUNDS = 200
      SEED = 7
      EVER = 1 << 40 # beyond any event

      def initialize(app, out: $stdout)
        @watch = Stopwatch.new(app, out: out)
        @out = out
        @random = Random.new(SEED)
      end

      def call
        @out.puts %i[customers machines jobs findings].map { |table| "#{DB[table].count} #{table}" }.join(", ")
        @watch.run do
          finding
          fits
          pages
          shelf
          saves
        end
        CardsBench.new(out: @out).call
      end

      private

      def finding
        typing("/take-in/find", typed)
      end

      # @param path [String] what answers while somebody types
      # @param typed [Hash{String=>Array<String>}] what is measured => what is typed, one after the other
      def typing(path, typed)
        typed.each do |name, queries|
          @watch.report(name,
            rounds: ROUNDS) { |round| @watch.get("#{path}?#{URI.encode_www_form(q: pick(queries, round))}") }
        end
      end

      # What is typed at the counter, for a sample of the customers.
      def typed
        names = customers.map(&:name)
        { "find: letter by letter" => growing(names.first(40)),
          "find: part of a last name" => names.map { |name| name.split.last[0, 5].downcase },
          "find: two parts" => names.map { |name| two_parts(name) },
          "find: mistyped" => names.map { |name| mistyped(name) },
          "find: nobody" => names.map { |name| "#{name.reverse[0, 5]}q" }, **numbers }
      end

      def two_parts(name)
        name.split.map { |word| word[0, 3] }.reverse.join(" ")
      end

      def numbers
        { "find: last four digits" => customers.map { |customer| customer.phone[-4..] },
          "find: serial number" => machines.map { |machine| machine.serial_number[0, 6] },
          "find: scan" => jobs.map { |job| "J#{job.number}" } }
      end

      def growing(names)
        names.flat_map { |name| (2..name.length).step(3).map { |letters| name[0, letters] } }.shuffle(random: @random)
      end

      # Two neighbouring letters of the last name change places.
      def mistyped(name)
        at = name.index(" ") + 3
        name.dup.tap { |word| word[at], word[at + 1] = word[at + 1], word[at] }
      end

      # The fit of a place, and the fit finder while somebody types.
      def fits
        sheets = sample(Models::Sheet).first(60)
        Models::SheetVersion.preload(sheets.map(&:current_version_id)) # read once in the life of a process
        places = sheets.flat_map { |sheet| sheet.to_core.positions.map { |place| [sheet, place] } }
          .shuffle(random: @random)
        @watch.report("fit of a place, alone", rounds: ROUNDS) { |round| fit(*pick(places, round)) }
        @watch.report("fit of a place, its page", rounds: ROUNDS) { |round| fit_page(*pick(places, round)) }
        typing("/shelf/fit/find", asked(sheets))
      end

      def fit_page(sheet, place)
        @watch.get("/shelf/fit?sheet=#{sheet.id}&at=#{place.key}")
      end

      def fit(sheet, place)
        Services::FitFor.new(sheet.to_core, today: Date.today).call([place.key]).to_s
      end

      def asked(sheets)
        parts = sample(Models::Part).first(200)
        { "fit finder: a model" => growing(sheets.map(&:title)),
          "fit finder: a number" => parts.map { |part| part.number[0, 5] },
          "fit finder: a name" => parts.map { |part| part.name.split.first(2).join(" ") },
          "fit finder: two sides" => parts.filter_map { |part| two_sides(part) } }
      end

      def two_sides(part)
        sides = part.measures.to_hash.values_at("length_mm", "width_mm").compact
        sides.join(" x ") if sides.size == 2
      end

      def pages
        { "bench" => "/", "what falls due" => "/cards", "what came of cards" => "/cards/came", "take in" => "/take-in",
          "customers" => "/customers",
          "sheets" => "/sheets" }.each { |name, path| @watch.report(name) { @watch.get(path) } }
        jobs_and_machines.each { |name, path| @watch.report(name) { |round| @watch.get(path.call(round)) } }
      end

      # The whole shelf reckoned, what to order of it, and a list of all its prices.
      def shelf
        took("what came of cards, the days that are over") { Services::CardResults.keep(today: Date.today) }
        took("forecast of the whole shelf") { "#{Services::ForecastShelf.call(at: Time.now)} parts" }
        took("a list of all parts, looked at") { "#{changed_list.changes.size} of #{Models::Part.count} changed" }
        parts = sample(Models::Part)
        { "shelf" => "/shelf", "what to order" => "/shelf/short" }
          .each { |name, path| @watch.report(name) { @watch.get(path) } }
        @watch.report("a part's page", rounds: ROUNDS) { |round| @watch.get("/shelf/#{pick(parts, round).id}") }
      end

      def took(name)
        begun = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        said = yield
        @out.puts format("%<name>-32s %<seconds>5.1f s, %<said>s", name: name,
          seconds: Process.clock_gettime(Process::CLOCK_MONOTONIC) - begun, said: said)
      end

      # Every price a cent more.
      def changed_list
        prices = Models::Part.order(:number).select_map(%i[number price_cents])
        lines = prices.map { |number, cents| "#{number},#{format('%.2f', (cents + 1)/100r)}\n" }
        Services::PartChanges.new(Formats::PartList.new("number,price\n#{lines.join}").call)
      end

      def jobs_and_machines # rubocop:disable Metrics/AbcSize -- one table
        job = ->(round) { "/jobs/#{pick(jobs, round).number}" }
        { "take in, known machine" => ->(round) { "/take-in?machine_id=#{pick(machines, round).id}" },
          "look-over" => ->(round) { "#{job.call(round)}/look-over" },
          "look-over, ask for changes" => ->(round) { "#{job.call(round)}/look-over/changes?since=#{EVER}" },
          "job" => job,
          "machine" => ->(round) { "/machines/#{pick(machines, round).id}" },
          "customer" => ->(round) { "/customers/#{pick(customers, round).id}" } }
      end

      # Each place once, in job after job, each committed; what was found is deleted at the end.
      def saves
        typed = jobs.flat_map do |job|
          job.sheet.walk.map { |place| ["/jobs/#{job.number}/findings/#{place.key}", form_of(place)] }
        end
        @watch.report("a finding saved", rounds: ROUNDS) { |round| @watch.post(*typed[round]) }
      ensure
        %i[stops findings].each { |table| DB[table].where(job_id: jobs.map(&:id)).delete }
      end

      # From a page that has seen all that went before.
      def form_of(place)
        seen = Demo::Sight.new(place, @random).seen.reject { |_, value| value == false }
        fields = seen.to_h { |name, value| [name.to_s, value == true ? "1" : value.to_s] }
        { **fields, "version" => "0", "since" => EVER.to_s }
      end

      def pick(list, round)
        list[round % list.size]
      end
    end
  end
end
