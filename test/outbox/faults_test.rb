# frozen_string_literal: true

# Group: slow (dies at each of a hundred steps)

require_relative "../test_helper"

# What goes wrong on the way out, on the real database: killed at every step, the database gone in the middle, a
# stand-in that answers late, twice or never. Nobody gets two and nobody is forgotten.
class FaultsTest < CommittedTest
  CARDS = 500
  SLICE = 20
  STEPS_MORE = 3 # by which each child lives longer than the one before

  # Kills its process with SIGKILL at a step: a statement of the database, before or after it, or a file that appears.
  module Killer
    class << self
      attr_accessor :steps
    end

    def self.step
      Killer.steps -= 1
      Process.kill("KILL", Process.pid) if Killer.steps.zero?
    end

    # On a connection's own statements.
    module Statements
      def log_connection_yield(*)
        Killer.step
        super.tap { Killer.step }
      end
    end

    # On the stand-in's folder.
    module Files
      def lay(*)
        Killer.step
        super.tap { Killer.step }
      end
    end
  end

  def setup
    super
    always_open
    Models::Due.running.update(snoozed_until: today + 1000)
  end

  # Made past the services, for there are many.
  def customers(count, **fields)
    sheet = sheet("Brackwater Loft K")
    ids = DB[:customers].import(%i[name email street phone email_agreed post_agreed text_agreed created_by],
      Array.new(count) do |n|
        ["Customer #{n}", "c#{n}@example.org", "Old Slip #{n}", format("0001-%04d", n), false, false, false, owner.id]
      end, return: :primary_key)
    Models::Customer.where(id: ids).update({ email_agreed: true }.merge(fields))
    machines = DB[:machines].import(%i[customer_id sheet_id created_by], ids.map { |id| [id, sheet.id, owner.id] },
      return: :primary_key)
    DB[:dues].import(%i[machine_id position position_name task action started_on due_on early_on late_on deciding
                        reasons may_card computed_on],
      machines.map do |id|
        [id, "exhaust-filter", "Exhaust cassette", "replace", "replace", today - 365, today, today,
         today, "months", Sequel.pg_jsonb([]), true, today]
      end)
  end

  # @return [Process::Status] of a process that hands over a batch and dies at a step, unless it comes to the end before
  def round_that_dies(batch_id, steps)
    DB.disconnect
    pid = fork do
      Killer.steps = steps
      DB.extend(Killer::Statements)
      Outbox::Devices::Tray.prepend(Killer::Files)
      Outbox::Round.new(batch_id, slice: SLICE).call
      exit!(0)
    end
    Process.wait2(pid).last
  end

  def states(batch)
    batch.refresh.counts
  end

  def assert_each_got_one(batch, folder, count = CARDS)
    assert_equal({ "handed_over" => count }, states(batch))
    assert_equal count, outbox(folder).size
    assert_equal batch.messages_dataset.select_map(:key).sort,
      outbox(folder).map { |file| File.basename(file, ".*") }.sort
    assert_equal "done", batch.state
  end

  # The n-th process dies at its n-th step, and so on until one comes to the end: each kind of step is the last one of
  # some process.
  def test_killed_at_every_step_of_a_batch
    customers(CARDS)
    batch = write_batch
    deaths = 0
    until round_that_dies(batch.id, 1 + (deaths * STEPS_MORE)).success?
      deaths += 1
      counted = states(batch)

      assert_equal CARDS, counted.values.sum
      assert_operator counted.fetch("handed_over", 0), :<=, outbox("mail").size,
        "the page says of a card that it was handed over, and it was not"
    end

    assert_operator deaths, :>, 20
    assert_each_got_one(batch, "mail")
  end

  # As the owner: the application deletes no cards.
  def begin_again
    TestDatabase.as_owner do |db|
      db.transaction do
        [Models::CardLine, Models::Message, Models::Card]
          .each { |model| db[model.table_name].where(card_of_ours(model)).delete }
      end
    end
  end

  # As the queue does: while the server has not noticed yet that the other one is dead, its lock stands.
  def come_again(batch)
    wait_until { Outbox::Round.new(batch.id, slice: SLICE).call.nil? }
  end

  # Every single step of a small batch, from its first statement to its last.
  def test_killed_at_each_single_step
    customers(6, email_agreed: false, text_agreed: true)
    step = 0
    loop do
      step += 1
      begin_again if step > 1
      empty_outbox
      batch = write_batch
      died = !round_that_dies(batch.id, step).success?
      come_again(batch)

      assert_each_got_one(batch, "text", 6)
      break unless died
    end

    assert_operator step, :>, 40
  end

  def test_the_database_restarts_in_the_middle
    customers(60)
    batch = write_batch
    killed = 0
    Outbox::Devices::Tray.class_eval do
      alias_method :lay_as_it_was, :lay
      define_method(:lay) { |*all| lay_as_it_was(*all).tap { FaultsTest.cut_off if (killed += 1) == 30 } }
    end

    assert_raises(Sequel::DatabaseError) { Outbox::Round.new(batch.id, slice: SLICE).call }
    Outbox::Round.new(batch.id, slice: SLICE).call

    assert_each_got_one(batch, "mail", 60)
  ensure
    Outbox::Devices::Tray.class_eval { alias_method :lay, :lay_as_it_was }
  end

  # As a restart does it to every connection.
  def self.cut_off
    Sequel.connect(ENV.fetch("DATABASE_URL"), test: false, keep_reference: false) do |other|
      other.run("SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = current_database() AND pid " \
                "<> pg_backend_pid()")
    end
  end

  # A third of the hand-overs fails or is never answered, some are taken twice, some are refused for good.
  def test_a_stand_in_that_is_late_twice_or_never_there
    customers(200)
    batch = write_batch
    trouble = "email: fail 20, unanswered 15, twice 20, refuse 5, late 1"
    settings = Config::Settings.new(ENV.to_h.merge("DEVICE_TROUBLE" => trouble))
    at = NOW
    20.times { at = Outbox::Round.new(batch.id, at: at, settings: settings).call || break }
    counted = states(batch)

    assert_equal 200, counted.values_at("handed_over", "rejected").sum, counted.inspect
    assert_includes 2..20, counted.fetch("rejected")
    assert_equal counted["handed_over"], outbox("mail").size
    assert_equal batch.messages_dataset.where(state: "handed_over").select_map(:key).sort,
      outbox("mail").map { |file| File.basename(file, ".*") }.sort
    assert_equal counted["rejected"], Models::ChannelFault.where(channel: "email").count
  end

  # An answer that never comes from a server that cannot tell: nothing is sent twice, and a person is asked.
  def test_a_mail_server_that_takes_it_and_does_not_answer
    server = TCPServer.new("127.0.0.1", 0)
    thread = Thread.new { silent_smtp(server.accept) }
    customers(1)
    batch = write_batch
    Outbox::Round.new(batch.id,
      settings: Config::Settings.new(ENV.to_h.merge("SMTP_URL" => "smtp://127.0.0.1:#{server.addr[1]}"))).call

    assert_equal({ "unsure" => 1 }, states(batch))
    assert_match(/RCPT TO:<c0@example.org>/, thread.value)
  ensure
    server&.close
  end

  private

  # Takes the message, and hangs up instead of saying so.
  def silent_smtp(client)
    said = +""
    client.write("220 ready\r\n")
    until (line = client.gets).start_with?("DATA")
      said << line
      client.write("250 ok\r\n")
    end
    client.write("354 go on\r\n")
    nil until client.gets == ".\r\n"
    said
  ensure
    client.close
  end

  def card_of_ours(model)
    ours = Models::Card.join(:customers, id: :customer_id).where(Sequel.like(Sequel[:customers][:name], "Customer %"))
      .select(Sequel[:cards][:id])
    { (model == Models::Card ? :id : :card_id) => ours }
  end
end
