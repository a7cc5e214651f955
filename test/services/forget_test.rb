# frozen_string_literal: true

require_relative "../test_helper"

# Nothing in the database says any more who it was, and the machine's history stays.
class ForgetTest < DatabaseTest
  def setup
    empty_outbox
    @machine = new_machine(name: "Perpetua Vanish", email: "vanish@example.org", street: "Vanish Row 1",
      phone: "555-0177", notes: "Vanish likes tea")
    @customer = @machine.customer
    @job = settled({ "pre-filter" => { grey: 5 } }, machine: @machine)
    Services::AskAboutJob.ask(@job, "Is Vanish's filter in stock?", by: Services::Actor.customer_by_slip(@job), at: NOW)
    do_all(@job)
    @job.refresh.update(state: "handed_over", handed_over_at: NOW)
    Services::SetClocks.call(@machine, on: today)
    Services::EditCustomer.call(@customer.refresh, { notes: "Vanish likes coffee" }, version: @customer.lock_version,
      by: owner, at: NOW)
    @card = write_card(@customer)
    @card.message.update(last_error: "550 vanish@example.org is unknown")
    Services::AnswerCard.call(@card, kind: "not_now", by: behind(@card), note: "Vanish says later", at: NOW)
  end

  def forget
    Services::Forget.call(@customer.refresh, by: owner, at: NOW)
  end

  # Every text and document of every table.
  def mentions(word)
    DB.tables.select do |table|
      texts = DB.schema(table).select { |_, column| column[:db_type].match?(/text|json|character/) }
        .map { |name, _| Sequel.ilike(Sequel.cast(name, :text), "%#{word}%") }
      texts.any? && DB[table].where(Sequel.|(*texts)).any?
    end
  end

  # Health data of a household, the number from before, and what was left out of a file.
  def test_what_came_in_beside_the_forms_goes_too
    @machine.refresh.update(allergy: true)
    @customer.refresh.update(former_number: "V-7")
    import = Services::KeepCustomerList.call(StringIO.new("Name,Email\nVanish,vanish@example.org\nJo,jo@example.org\n"),
      by: owner, at: NOW)
    Services::PartCustomerList.call(import)
    forget

    refute @machine.refresh.allergy
    assert_nil @customer.refresh.former_number
    assert_equal [%w[Jo jo@example.org]], import.import_rows.select_map(:cells).map(&:to_a)
  end

  def test_nothing_says_who_it_was
    refute_empty mentions("vanish")
    forget

    assert_empty mentions("vanish")
  end

  # As tax law has it: a bill names whom it is for until the shop need not keep it.
  def test_a_bill_keeps_the_name_for_as_long_as_the_shop_must
    job = @job.refresh
    Services::KeepNote.write(@machine, text: "Vanish glued it", by: owner, at: NOW)
    line = Core::Money::Line.new(kind: :part, words: "bag", price_cents: 100)
    quote = Core::Money::Estimate.new(lines: [line], policy: Core::Money::Policy.new)
    bill = Services::MakeBill.new(owner, NOW).call(quote, customer: @customer.refresh, about: ["x"], job_id: job.id)
    Models::Parcel.create(bill_id: bill.id, customer_id: @customer.id, packed_at: NOW, packed_by: owner.id,
      address: Sequel.pg_jsonb(["Vanish, Quay 4"]))
    Services::Tell.call(job, :ready, by: owner, at: NOW)
    forget

    assert_equal [:bills], mentions("vanish")
    Services::BlankOldBills.call(on: today >> 119)

    assert_equal [:bills], mentions("vanish")
    Services::BlankOldBills.call(on: ten_years_later)

    assert_empty mentions("vanish")
    assert_equal 100, bill.refresh.total_cents
  end

  # A bill of 29 February is ten years old on 1 March, and not the day before.
  def ten_years_later
    later = today >> 120
    later.day == today.day ? later : later + 1
  end

  def test_the_machine_and_what_was_found_and_done_stay
    counts = lambda {
      [Models::Job, Models::Finding, Models::WorkItem, Models::Fitting, Models::Due, Models::Estimate]
        .map { |model| model.dataset.count }
    }
    before = counts.call
    forget

    assert_equal before, counts.call
    assert_equal [5], Models::Finding.where(job_id: @job.id).map { |finding| finding.seen[:grey] }.compact
  end

  def test_nobody_is_written_to_and_history_is_closed_again
    forget

    assert_nil @customer.refresh.address.channel
    assert_raises(Sequel::DatabaseError) { DB.transaction(savepoint: true) { Models::Answer.dataset.update(note: "x") } }
    assert_equal @customer.forgotten_on, forget.forgotten_on
  end

  def test_not_while_a_machine_is_here
    take_in(@machine)

    assert_raises(Services::Refused) { forget }
  end

  def test_who_was_not_here_for_long_is_offered
    long_ago = in_days(-11 * 366)
    old = Models::Customer.create(name: "Long Away", created_by: owner.id, created_at: long_ago)
    offered = -> { Services::Forget.long_away(today: today, years: 10).map(&:id) }

    assert_equal [old.id], offered.call
    @customer.update(created_at: long_ago)

    assert_equal [old.id], offered.call, "was here of late"
  end
end
