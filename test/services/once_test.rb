# frozen_string_literal: true

# Group: slow (workers that are killed, and leases that run out)

require_relative "../test_helper"
require_relative "../support/database_door"

# Things that must happen once on the real database, with several connections and several processes.
class OnceTest < CommittedTest
  POSTED = 20

  def setup
    super
    Models::Due.running.update(snoozed_until: today + 1000)
    POSTED.times do |n|
      machine = new_machine("Brackwater Loft K", name: "Postal #{n}", street: "Old Slip #{n}", email_agreed: false,
        post_agreed: true)
      Services::SetClocks.call(machine, on: today)
    end
    DB[:que_jobs].delete
  end

  def teardown
    (@workers || []).each { |pid| stop(pid, "KILL") }
  end

  def test_pressing_send_twice_at_once_writes_each_card_once
    sent = Array.new(2) { Thread.new { send_cards.size } }.sum(&:value)

    assert_equal POSTED, sent
    assert_each_carded_once
  end

  def test_two_workers_at_once_hand_each_card_over_once
    write_batch
    2.times { start_worker }
    wait_until { handed_over == POSTED }

    assert_each_carded_once
    assert_equal POSTED, outbox("post").size
  end

  def test_a_worker_killed_in_the_middle_of_a_batch_loses_and_repeats_nothing
    write_batch
    pid = start_worker
    wait_until { outbox("post").size >= 2 }
    stop(pid, "KILL")
    in_the_middle = outbox("post").size
    start_worker
    wait_until { handed_over == POSTED }

    assert_operator in_the_middle, :<, POSTED, "the batch was over before the worker was killed"
    assert_each_carded_once
    assert_equal POSTED, outbox("post").size
  end

  # As when the database is restarted: every connection is gone, in the middle of a batch.
  def test_a_worker_that_loses_the_database_waits_for_it_and_goes_on
    pid = start_worker(err: File::NULL) # its threads complain one by one
    wait_until { DB[:que_lockers].any? }
    write_batch
    wait_until { handed_over >= 1 || outbox("post").any? }
    cut_off
    wait_until { handed_over == POSTED }

    assert_each_carded_once
    assert_equal POSTED, outbox("post").size
    assert_equal pid, Process.getpgid(pid), "it is still the same process"
    Process.kill("TERM", -pid)
    wait_until { Process.wait(pid, Process::WNOHANG) }
    @workers.delete(pid)
  end

  # As when both are started after a power cut, and the worker is the quicker one.
  def test_a_worker_that_is_started_before_the_database_waits_for_it
    door = DatabaseDoor.new(TestDatabase.url)
    door.shut
    write_batch
    says, words = IO.pipe
    @waiting = start_worker({ "DATABASE_URL" => door.url }, out: words, err: File::NULL)
    words.close

    assert_equal "Waiting for the database.\n", says.gets
    assert_nil Process.wait(@waiting, Process::WNOHANG), "it did not give up"
    door.open
    wait_until { handed_over == POSTED }

    assert_each_carded_once
  ensure
    stop(@waiting, "KILL") if @waiting
    door.shut
  end

  def cut_off
    Sequel.connect(ENV.fetch("DATABASE_URL"), test: false, keep_reference: false) do |other|
      other.run("SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = current_database() AND pid " \
                "<> pg_backend_pid()")
    end
    DB.disconnect
  end

  def test_two_jobs_cannot_take_the_last_one
    gasket = part("HD-2041")
    Services::CountStock.call(gasket, pieces: 2, reason: "count", by: owner, at: NOW)
    jobs = Array.new(2) { settled({ "cyclone-gasket" => { state: "torn" } }) }
    Services::CountStock.call(gasket, pieces: 1, reason: "one was broken", by: owner, at: NOW)
    results = jobs.map { |job| Thread.new { use(job) } }.map(&:value)

    assert_equal %i[refused used], results.sort
    assert_equal 0, gasket.refresh.stock
    assert_equal 0, Models::StockMove.where(part_id: gasket.id).sum(:pieces)
  end

  def test_a_job_closed_twice_at_once_sets_its_clocks_once
    job = settled({ "post-filter" => { torn: true } })
    do_all(job)
    Demo::Prove.call(job.refresh, by: technician, at: NOW)
    Array.new(2) { Thread.new { Services::CloseUp.call(job.number, by: technician, at: NOW) } }.each(&:join)

    assert_equal 1, Models::Due.where(machine_id: job.machine_id, position: "post-filter", task: "replace").count
    assert_equal 2, Models::Fitting.where(machine_id: job.machine_id, position: "post-filter").count
  end

  # A list changes prices while the count writes its corrections and a job takes pieces: all three end, and the level
  # is the sum of its moves.
  def test_a_list_is_taken_over_while_a_count_runs
    parts = Models::Part.order(:number).limit(40).all
    Services::ScanCount.begin(by: owner, at: NOW)
    parts.each { |part| Services::ScanCount.scan(part.number, pieces: 50, by: owner, at: NOW) }
    list = "number,price\n#{parts.map { |part| "#{part.number},77.70" }.join("\n")}"
    import = Services::KeepPartList.call(StringIO.new(list), by: owner, at: NOW)
    digest = import.reading["digest"]
    at_once = [-> { Services::ScanCount.close(written: true, by: owner, at: NOW) },
               -> { Services::ImportParts.call(import, digest: digest, by: owner, at: NOW) },
               lambda {
                 parts.reverse_each do |part|
                   Services::MoveStock.call(part, pieces: 3, kind: "received", by: technician, at: NOW)
                 end
               }]
    at_once.map { |what| Thread.new(&what) }.each(&:join)

    assert_equal [7770], Models::Part.where(id: parts.map(&:id)).select_map(:price_cents).uniq
    assert_equal [53], Models::StockLevel.where(part_id: parts.map(&:id)).select_map(:pieces).uniq
    assert_levels_are_their_moves
  end

  # Two lists at once, with the same parts: one is taken over; the other is told to look again, as what it would change
  # changed.
  # The second hears that the number is taken, and changes nothing of the first.
  def test_one_number_put_on_file_by_two_at_once
    ends = %w[One Two].map { |name| Thread.new { put_on_file(name) } }.map(&:value)

    assert_equal [part("ZZ-7").name, "taken"].sort, ends.sort
  end

  # @return [String] its name, or that the number is taken
  def put_on_file(name)
    fields = { name: name, kind: "seal", price_cents: 500, pack_pieces: 1, pattern: false, discontinued: false }
    Services::KeepPart.call("ZZ-7", fields, measures: {}, by: owner, at: NOW).name
  rescue Services::Invalid
    "taken"
  end

  def test_two_lists_at_once
    said = %w[5.00 6.00].map do |price|
      Services::KeepPartList.call(StringIO.new("number,price\nHD-2010,#{price}\nHD-2020,#{price}"), by: owner, at: NOW)
    end
    ends = said.map { |import| Thread.new { taken_over(import) } }.map(&:value)

    assert_equal %i[refused taken], ends.sort
    assert_equal 1, Models::Part.where(number: %w[HD-2010 HD-2020]).select_map(:price_cents).uniq.size
  end

  # Whatever several people do at once with the same few parts, in whatever order it happens to come.
  def test_stock_is_the_sum_of_its_moves_after_any_interleaving
    parts = Models::Part.order(:number).limit(3).all
    Array.new(6) { |n| Thread.new { 25.times { anything(parts, Random.new((n * 100) + 7)) } } }.each(&:join)

    assert_levels_are_their_moves
    assert(Models::StockLevel.select_map(:pieces).none?(&:negative?))
  end

  private

  def anything(parts, random)
    one = parts.sample(random: random)
    case random.rand(4)
    when 0 then Services::MoveStock.call(one, pieces: random.rand(1..3), kind: "received", by: owner, at: NOW)
    when 1 then Services::MoveStock.call(one, pieces: -random.rand(1..4), kind: "used", by: owner, at: NOW)
    when 2 then Services::CountStock.call(one, pieces: random.rand(0..9), reason: "count", by: owner, at: NOW)
    else count(one, random)
    end
  rescue Services::Refused
    nil # none left, or somebody else closed the count
  end

  def count(one, random)
    Services::ScanCount.begin(by: owner, at: NOW)
    Services::ScanCount.scan(one.number, by: owner, at: NOW)
    Services::ScanCount.close(written: random.rand < 0.7, by: owner, at: NOW) if random.rand < 0.5
  end

  def taken_over(import)
    Services::ImportParts.call(import, digest: import.reading["digest"], by: owner, at: NOW)
    :taken
  rescue Services::Refused
    :refused
  end

  def assert_levels_are_their_moves
    sums = Models::StockMove.group(:part_id).select_hash(:part_id, Sequel.function(:sum, :pieces).as(:sum))
      .transform_values(&:to_i)

    assert_equal sums, Models::StockLevel.select_hash(:part_id, :pieces)
  end

  def use(job)
    Services::DoWorkItem.call(job.number, item(job, "cyclone-gasket").id, by: technician, at: NOW)
    :used
  rescue Services::Refused
    :refused
  end

  def assert_each_carded_once
    lines = Models::CardLine.join(:cards, id: :card_id).where(Sequel[:cards][:created_at] >= NOW - 1)

    assert_equal POSTED, lines.distinct.select_map(:customer_id).uniq.size
    assert_equal lines.count, lines.select_map(:due_id).uniq.size
  end

  def handed_over
    Models::Message.where(channel: "post", state: "handed_over").where(Sequel[:handed_over_at] >= NOW - 1).count
  end

  def start_worker(env = {}, **more)
    pid = Process.spawn(env, File.join(TestDatabase::ROOT, "bin/worker"), pgroup: true, **more)
    (@workers ||= []) << pid
    pid
  end

  def stop(pid, signal)
    Process.kill(signal, -pid)
    Process.wait(pid)
  rescue Errno::ESRCH, Errno::ECHILD
    nil
  end

  def wait_until(seconds: 40)
    deadline = seconds_by_clock + seconds
    until yield
      flunk "waited #{seconds} s in vain; #{handed_over} of #{POSTED} handed over" if seconds_by_clock > deadline
      sleep 0.05
    end
  end
end
