# frozen_string_literal: true

require "capybara"
require "capybara/cuprite"

module UprightBench
  module Measure
    # Takes one picture of each main view from the demo, for docs/screenshots.
    class Screenshots
      FOLDER = Config::Settings::ROOT.join("docs/screenshots")
      SIZE = [1280, 800].freeze
      PHONE = [390, 844].freeze
      # The whole browser, or the shell that the tests install.
      BROWSERS = %w[/usr/bin/chromium /usr/bin/chromium-headless-shell].freeze
      OPTIONS = { "disable-gpu" => nil, "disable-quic" => nil, "disable-background-networking" => nil,
                  "host-resolver-rules" => "MAP * ~NOTFOUND, EXCLUDE 127.0.0.1" }.freeze

      def initialize(app)
        Capybara.register_driver(:pictures) do |rack|
          options = Process.uid.zero? ? OPTIONS.merge("no-sandbox" => nil) : OPTIONS
          Capybara::Cuprite::Driver.new(rack, browser_path: browser,
            window_size: SIZE, browser_options: options, timeout: 30)
        end
        Web::OwnBuffer.install
        Capybara.server = :puma, { Silent: true }
        @page = Capybara::Session.new(:pictures, app)
      end

      # @param only [Array<String>] names; all when empty
      def call(only = [])
        FileUtils.mkdir_p(FOLDER)
        sign_in
        views.each do |name, (path, size)|
          take(name, path, size || SIZE) if only.empty? || only.include?(name)
        end
        @begun&.delete
      end

      private

      def browser
        ENV.fetch("CHROMIUM") { BROWSERS.find { |path| File.executable?(path) } || BROWSERS.first }
      end

      def sign_in
        @page.visit("/login")
        @page.fill_in("E-mail", with: Demo::Load.mail("Tobiah Lund"))
        @page.fill_in("Password", with: Demo::Load::PASSWORD)
        @page.click_button("Sign in")
      end

      def take(name, path, size)
        @page.driver.resize(*size)
        @page.visit(path)
        sleep 0.4
        @page.execute_script("window.scrollTo(0, 0)")
        @page.driver.save_screenshot(FOLDER.join("#{name}.png").to_s)
      end

      def views # rubocop:disable Metrics/AbcSize -- one table
        walk = job("in_work")
        { "bench" => ["/"], "take-in" => ["/take-in?machine_id=#{machine.id}"],
          "look-over" => ["/jobs/#{walk}/look-over?at=#{measured(walk)}"], "settle" => ["/jobs/#{job('looked_over')}"],
          "work" => ["/jobs/#{walk}"], "hand-over" => ["/jobs/#{job('closed_up')}"], "rack" => ["/rack"],
          "tray" => ["/jobs/#{opened}/strip"],
          "cards" => ["/cards"], "bill" => ["/bills/#{Models::Bill.max(:number)}"],
          "customer" => ["/customers/#{machine.customer_id}"], "machine" => ["/machines/#{machine.id}"],
          "find-the-fault" => [fault_path],
          "sheet-draft" => ["/drafts/#{draft.id}?at=#{drawn.to_core.positions.find(&:washable?).key}"],
          "plan" => ["/plan"],
          "what-to-order" => ["/shelf/short"], "estimate-page" => [estimate_path, PHONE],
          "phone-look-over" => ["/jobs/#{walk}/look-over?at=#{measured(walk)}", PHONE],
          "customers-page" => [card_path, PHONE] }
      end

      def job(state)
        Models::Job.in_shop.where(state: state).exclude(id: Models::Stop.standing.select(:job_id)).order(:id)
          .get(:number)
      end

      # @return [Integer] whose machine is open
      def opened
        Models::Job.where(id: Models::OpenedStep.standing.where(counted_out: true).select(:job_id)).get(:number)
      end

      # A bag or a brush shows more than a seal.
      def measured(number)
        sheet = Models::Job.first(number: number).sheet
        sheet.walk.find { |place| %i[brush bag bin].include?(place.kind) }.key
      end

      def machine
        @machine ||= Models::Due.running.exclude(machine_id: Models::Job.in_shop.select(:machine_id))
          .order(Sequel.desc(:due_on)).first.machine
      end

      # A sheet that has something to wash.
      def drawn
        @drawn ||= Models::Sheet.order(:id).all.find { |sheet| sheet.to_core.positions.any?(&:washable?) }
      end

      # Begun for the picture, and dropped after it unless it was there.
      def draft
        Models::Draft.first(sheet_id: drawn.id) || Services::BeginDraft.of(drawn,
          by: Models::Person.first(role: "technician"), at: Time.now).tap { |begun| @begun = begun }
      end

      # A search that was begun, with readings that decide.
      def fault_path
        number = job("taken_in")
        said = { by: Models::Person.first(role: "technician"), at: Time.now }
        Services::SearchFault.begin(number, "weak_everywhere", **said)
        job = Services::Lookup.job(number)
        read(job, said) if Models::SuctionReading.where(job_id: job.id).empty?
        "/jobs/#{number}/fault"
      end

      # At a machine in which one station lets little through.
      def read(job, said)
        machine = Core::Suction::Expected.of(job.sheet)
        broken = machine.with_stage(machine.stages[-3].key, k: 6 * machine.resistance)
        machine.stages.map(&:key).each do |point|
          value = Core::Suction::Reading.expected(broken, point, :flow).round(2).to_s
          Services::TakeReading.call(job.number, point: point, kind: "flow", text: value, **said)
        end
      end

      def estimate_path
        URI(Outbox::JobLink.of(Models::Question.order(:id).first.job)).path
      end

      def card_path
        URI(Outbox::Letters.link(Models::Card.exclude(answered_at: nil).order(:id).last)).path
      end
    end
  end
end
