# frozen_string_literal: true

require_relative "stopwatch"

module UprightBench
  module Measure
    # Times each main page on the demo.
    class Pages
      FIRST_FILES = %w[vendor/bootstrap.css styles/base.css styles/staff.css vendor/htmx.min.js vendor/alpine-csp.min.js
                       icon.svg
                       scripts/page.js scripts/dom.js scripts/keys.js scripts/lists.js scripts/parts.js].freeze
      EVER = 1 << 40 # beyond any event: the page has seen all that went before

      def initialize(app, out: $stdout)
        @watch = Stopwatch.new(app, out: out)
        @out = out
      end

      def call
        @watch.run do
          pages.each { |name, path| @watch.report(name) { @watch.get(path) } }
          fault_searched
          saved_finding
          @out.puts format("first load of the bench, compressed: %<kb>.0f kB", kb: first_load / 1024.0)
        end
      end

      private

      def pages # rubocop:disable Metrics/AbcSize -- one table
        open = Models::Job.in_shop.order(:id).all
        machine = Models::Due.running.order(:due_on).first.machine
        job = ->(state) { "/jobs/#{open.find { |one| one.state == state }.number}" }
        { "bench" => "/", "take in" => "/take-in", "find as you type" => "/take-in/find?q=lund",
          "take in, known machine" => "/take-in?machine_id=#{machine.id}",
          "take in, a fleet" => "/take-in/many?customer_id=#{Models::Customer.first(fleet: true).id}",
          "look-over" => "#{job.call('taken_in')}/look-over", "job to settle" => job.call("looked_over"),
          "times of its choices" => "#{job.call('looked_over')}/times",
          "job in work" => job.call("in_work"),
          "job closed up" => job.call("closed_up"), **shelf, "rack" => "/rack", "plan" => "/plan",
          "cards" => "/cards",
          "customers" => "/customers",
          "customer" => "/customers/#{machine.customer_id}", "machine" => "/machines/#{machine.id}",
          "sheets" => "/sheets", "sheet" => "/sheets/#{machine.sheet_id}",
          "settings" => "/settings", "customer's page" => URI(Outbox::Letters.link(Models::Card.order(:id).last)).path,
          "customer's page of a job" => URI(Outbox::JobLink.of(Models::Question.first.job)).path }
      end

      def shelf
        { "shelf" => "/shelf", "what to order" => "/shelf/short",
          "a part's page" => "/shelf/#{Models::PartForecast.first.part_id}",
          "order" => "/shelf/orders/#{Models::SupplierOrder.max(:number)}", "count" => "/shelf/count" }
      end

      # With a search begun, and then with two readings; taken back at the end.
      def fault_searched
        job = Models::Job.in_shop.first(state: "taken_in")
        said = { by: Models::Person.first(role: "technician"), at: Time.now }
        DB.transaction(rollback: :always, auto_savepoint: true) do
          Services::SearchFault.begin(job.number, "weak_everywhere", **said)
          @watch.report("find the fault") { @watch.get("/jobs/#{job.number}/fault") }
          read_gauge(job, said)
          @watch.report("find the fault, with readings") { @watch.get("/jobs/#{job.number}/fault") }
        end
      end

      def read_gauge(job, said)
        point = Core::Suction::Expected.of(job.sheet).stages.first.key
        { "sealed" => "18", "flow" => "9" }.each do |kind, text|
          Services::TakeReading.call(job.number, point: point, kind: kind, text: text, **said)
        end
      end

      # Saved over and over, and taken back at the end.
      def saved_finding
        job = Models::Job.in_shop.first(state: "taken_in")
        position = job.sheet.walk.find { |place| place.kind == :filter }.key
        DB.transaction(rollback: :always, auto_savepoint: true) do
          Models::Finding.where(job_id: job.id, position: position).delete
          version = -1
          @watch.report("a finding saved") do
            version += 1
            @watch.post("/jobs/#{job.number}/findings/#{position}", "grey" => (version % 6).to_s,
              "version" => version.to_s, "since" => EVER.to_s)
          end
        end
      end

      def first_load
        fonts = Web::Assets::FOLDER.glob("vendor/fonts/*.woff2").sum(&:size)
        @watch.gzipped(@watch.get("/")) +
          FIRST_FILES.sum { |file| @watch.gzipped(@watch.get(Web::Assets.path(file))) } + fonts
      end
    end
  end
end
