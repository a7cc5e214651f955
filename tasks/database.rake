# frozen_string_literal: true

namespace :db do
  desc "Wait for the database that DATABASE_URL names"
  task :wait do
    require "bundler/setup"
    require_relative "../launch/database_wait"
    UprightBench::Launch::DatabaseWait.call(ENV.fetch("DATABASE_URL"))
  end

  task :boot do
    require_relative "../config/boot"
  end

  desc "Bring the database to the newest version"
  task migrate: :boot do
    UprightBench::Config::Database.migrate(UprightBench::DB)
  rescue UprightBench::Config::SchemaVersion::Refused => e
    abort "Not brought up to date: #{e.message}."
  end
end

namespace :demo do
  loading = -> { UprightBench::Config::Loading.new(UprightBench::SETTINGS.state_dir) }

  desc "Load the demo when the database is empty"
  task load: %w[demo:begin demo:go_on]

  desc "Load of the demo, when the database is empty, what stands on its bench today"
  task begin: "db:migrate" do
    next unless UprightBench::Models::Person.empty?

    if File.exist?(UprightBench::SETTINGS.keys_file)
      abort "There is a shop of your own here, and the demo would be loaded into it. bin/start --own goes on with it."
    end
    $stdout.sync = true
    now = Time.at(Time.now.to_i)
    UprightBench::Demo::Load.new(now: now, say: ->(text) { puts text }).first
    UprightBench::Demo::BenchGauge.read_until_now
    UprightBench::Demo::Tour.write(UprightBench::SETTINGS.state_dir)
    loading.call.begin(now)
  end

  desc "Load the rest of the demo's past, from where it was broken off; a shop may be open beside it"
  task go_on: "db:boot" do
    require_relative "../launch/leash"
    UprightBench::Launch::Leash.hold
    $stdout.sync = true
    place = loading.call
    next unless place.under_way?

    UprightBench::Demo::Load.new(now: place.now, say: ->(text) { puts text }).rest { |*jobs| place.keep(*jobs) }
    place.end
    puts "The demo is loaded."
  end

  desc "Load a shop of ten years when the database is empty (for measuring; CUSTOMERS=1000 for a smaller one)"
  task ten_years: "db:migrate" do
    next unless UprightBench::Models::Person.empty?

    $stdout.sync = true
    customers = Integer(ENV.fetch("CUSTOMERS", UprightBench::Demo::TenYears::CUSTOMERS))
    UprightBench::Demo::TenYears.new(customers: customers, say: ->(text) { puts text }).call
  end
end

namespace :shop do
  desc "Make a shop of one's own ready: its keys, and the address for its first owner while there is none"
  task open: "db:boot" do
    require "date"
    settings = UprightBench::SETTINGS
    if UprightBench::Demo::Load.accounts?
      abort "This shop cannot be opened: this database holds the demo's accounts, whose password everybody knows. " \
            "bin/start --fresh --own deletes the demo and begins a shop."
    end
    UprightBench::Config::Keys.make(settings.keys_file, today: Date.today, secret: settings.own_secret)
    begin
      UprightBench::Config::Production.check(settings)
    rescue UprightBench::Config::Production::Refused => e
      abort "This shop cannot be opened: #{e.message}."
    end
    key = UprightBench::Services::FirstOwner.invite(at: Time.now)
    if key
      puts "", "Nobody can sign in yet. Make the owner's account, once, within a day, at",
        "  #{settings.public_url}/first/#{key}", ""
    end
  end
end

namespace :keys do
  desc "A new key for one purpose (session, sign_in, cards, slips or registrations); what the old one signed stays " \
       "good until it has run out"
  task :renew, [:purpose] => "db:boot" do |_, arguments|
    settings = UprightBench::SETTINGS
    raise ArgumentError, "the demo has no keys of its own" if UprightBench::Demo::Load.accounts?

    UprightBench::Config::Keys.make(settings.keys_file, today: Date.today, secret: settings.own_secret)
    UprightBench::Config::Keys.renew(settings.keys_file, arguments[:purpose].to_s.to_sym, today: Date.today)
    puts "There is a new key for #{arguments[:purpose]} in #{settings.keys_file}. Start web and worker again."
  rescue ArgumentError => e
    abort "No new key: #{e.message}."
  end
end
