# frozen_string_literal: true

# Each in an instance of its own, with the demo; nothing else is touched.
namespace :hostile do
  task :instance do
    require_relative "../hostile/instance"
    $stdout.sync = true
    @instance = Hostile::Instance.new
    at_exit { @instance.stop }
    @instance.load
    ENV.update(@instance.settings)
    require_relative "../app"
    UprightBench::LOADER.eager_load
    @instance.start_web
    @instance.start_worker
    @instance.wait_until_up
  end

  desc "20,000 hostile requests to an instance of its own (COUNT, SEED); says what came back, and fails when " \
       "something must not have"
  task attack: :instance do
    require_relative "../hostile/attack"
    well = Hostile::Attack.new(@instance, count: Integer(ENV.fetch("COUNT", "20000")),
      seed: Integer(ENV.fetch("SEED", "4610"))).call
    abort "the attack found something" unless well
  end

  desc "Kill web, worker and database at random (KILLS=60, CARDS=3000, SEED) while work goes on; fails when " \
       "something was lost or doubled"
  task kill: :instance do
    require_relative "../hostile/kills"
    well = Hostile::Kills.new(@instance, times: Integer(ENV.fetch("KILLS", "60")),
      cards: Integer(ENV.fetch("CARDS", "3000")), seed: Integer(ENV.fetch("SEED", "4610"))).call
    abort "something was lost or doubled" unless well
  end

  desc "Eight lists of 30 MB at once: how large the web process grows"
  task uploads: :instance do
    require_relative "../hostile/uploads"
    Hostile::Uploads.new(@instance).call
  end
end
