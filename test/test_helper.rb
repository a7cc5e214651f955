# frozen_string_literal: true

ENV["APP_ENV"] = "test"
require_relative "support/database"
require "bcrypt"
BCrypt::Engine.cost = BCrypt::Engine::MIN_COST # half a second for each password otherwise; production_test has the cost
TestDatabase.prepare
require_relative "../app"
require "minitest/autorun"
require "minitest/mock"
require "fileutils"
require "zlib"

TestDatabase.fill
require_relative "support/worded"
require_relative "support/watch"

# Everything the application offers, and the small demo to try it on.
class AppTest < Minitest::Test
  include UprightBench

  NOW = TestClock.moment # when each test begins

  # Time and chance are the same again for each test, whatever ran before it.
  def before_setup
    TestClock.begin
    srand(Zlib.crc32("#{Minitest.seed} #{self.class}##{name}"))
    super
  end

  def today
    Config::Zone.date(NOW)
  end

  # A day on which the clocks change has no 24 hours: late in the evening a sum of seconds ends on another day.
  # @return [Time] the same time of the shop's clock, so many days later
  def in_days(days)
    clock = Config::Zone.local(NOW)
    Config::Zone.at(today + days, clock.hour, clock.min)
  end

  # What a loaded machine takes its time for; the longer, the rarer it is waited for in vain.
  def wait_until(seconds: 60)
    deadline = seconds_by_clock + seconds
    until yield
      flunk "waited #{seconds} s in vain" if seconds_by_clock > deadline
      sleep 0.05
    end
    pass
  end

  def seconds_by_clock
    Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end

  def owner
    @owner ||= Models::Person.first(role: "owner")
  end

  def technician
    @technician ||= Models::Person.first(role: "technician")
  end

  # @return [Services::Actor] behind the code of a card
  def behind(card)
    Services::Actor.customer_by_card(card)
  end

  def sheet(title)
    Models::Sheet.all.find { |one| one.title == title }
  end

  def part(number)
    Models::Part.first(number: number)
  end

  def outbox(kind)
    Dir[SETTINGS.state_dir.join("outbox", kind, "*").to_s]
  end

  def empty_outbox
    FileUtils.rm_rf(SETTINGS.state_dir.join("outbox"))
  end

  # @return [Models::Machine] of a customer who agreed to everything
  def new_machine(title = "Hallmoor Dart M", bought_on: today - 400, **customer)
    owned_by = Models::Customer.create(name: "Wendel Testrup", email: "wendel@example.org", street: "Old Slip 1",
      town: "Pell Harbor",
      email_agreed: true, created_by: owner.id, **customer)
    Services::AddMachine.call(owned_by, sheet_id: sheet(title).id, serial_number: "T-#{SecureRandom.hex(4)}",
      bought_on: bought_on, by: owner, at: NOW)
  end

  # @return [Models::Card] of a batch of its own, handed over, without lines
  def write_card(customer, at: NOW, channel: "email", attempt: 1, **more)
    batch = Models::Batch.create(until_on: today, created_by: owner.id, created_at: at)
    card = Models::Card.create(customer_id: customer.id, channel: channel, attempt: attempt,
      code_expires_on: today + 90, batch_id: batch.id, created_by: owner.id,
      created_at: at, **more)
    Models::Message.create(card_id: card.id, batch_id: batch.id, channel: channel,
      recipient: customer.recipient(channel, Models::Shop.the), leaves_on: Config::Zone.date(at),
      state: "handed_over", handed_over_at: at)
    card
  end

  # So that what leaves today leaves on whatever day the tests run.
  def always_open
    Services::SavePolicies.call({ "open_hours" => Core::Policies::Week::DAYS.keys.to_h do |day|
      [day, { "00:00" => "24:00" }]
    end, "closed_days" => [] }, by: owner, at: NOW)
  end

  # @return [Models::Batch] written, not yet handed over
  def write_batch(at: NOW, **more)
    always_open
    Services::WriteBatch.call(Services::SendCards.call(by: owner, at: at, **more), at: at)
  end

  # @return [Array<Models::Card>]
  def send_cards(**more)
    write_batch(**more).cards_dataset.all
  end

  # @return [Models::Message] as it stands after what may leave of its batch was handed over
  def hand_over(message, at: NOW, **more)
    Outbox::Round.new(message.batch_id, at: at, **more).call
    message.refresh
  end

  # @return [Models::Job]
  def take_in(machine = new_machine, at: NOW, **more)
    Services::TakeIn.call({ machine_id: machine.id, use: { hours_per_week: 1 }, complaint: "weak",
      request_key: SecureRandom.uuid, **more },
      by: technician, at: at)
  end

  def record(job, position, observed, version: 0, at: NOW, **more)
    Services::RecordFinding.call(job.number, position, observed: observed, version: version, by: technician, at: at,
      **more)
  end

  # @return [Models::Job] settled, with these findings
  def settled(findings, machine: new_machine, at: NOW)
    job = take_in(machine, at: at)
    findings.each { |position, observed| record(job, position, observed, at: at) }
    Services::FinishLookOver.call(job.number, by: technician, at: at)
    Services::Settle.call(job.number, agreed_name: "Wendel", agreed_how: "phone", warranty_name: "Wendel",
      by: technician, at: at)
    job.refresh
  end

  def item(job, position)
    Models::WorkItem.first(job_id: job.id, position: position)
  end

  # With everything back and proven: the complaint is gone. What is wet is taken off the rack for the reason given.
  # @return [Models::Job]
  def close_job(job, at: NOW, **more)
    job = job.refresh
    take_off_wet(job, more[:wet_reason], at) if more[:wet_reason]
    Demo::PutBack.call(job, by: technician, at: at)
    Demo::Prove.call(job, by: technician, at: at)
    Services::CloseUp.call(job.number, by: technician, at: at, **more)
  end

  def take_off_wet(job, reason, at)
    stays = job.work_items_dataset.exclude(rotates: true).eager(:rack_stays).all.filter_map(&:on_rack)
    stays.each { |stay| Services::TakeOffRack.call(stay.id, by: technician, at: at, early_reason: reason) }
  end

  def do_all(job, at: NOW)
    job.work_items_dataset.where(state: "to_do").each do |one|
      Services::DoWorkItem.call(job.number, one.id, by: technician, at: at)
    end
  end
end

# Rolled back after each test.
class DatabaseTest < AppTest
  def run
    TestDatabase.clean
    result = nil
    DB.transaction(rollback: :always, auto_savepoint: true) { result = super }
    result
  end
end

# Begins with a fresh copy of the small demo and may commit: several connections, processes, a browser.
class CommittedTest < AppTest
  def setup
    TestDatabase.renew
    TestDatabase.dirty = true
    empty_outbox
  end
end
