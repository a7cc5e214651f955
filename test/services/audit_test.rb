# frozen_string_literal: true

require_relative "../test_helper"

# The history is sealed; whatever is changed behind its back shows; who is forgotten does not break it.
class AuditTest < DatabaseTest
  def setup
    Services::SealEvents.call
  end

  def verify
    Services::VerifySeals.call(at: NOW) # what a test does is of just now, however long the tests run already
  end

  def test_every_event_is_sealed_once_in_one_chain
    assert_equal DB[:events].count, DB[:event_seals].count
    assert_equal (1..DB[:event_seals].count).to_a, DB[:event_seals].order(:number).select_map(:number)
    answer = verify

    assert_empty answer.problems
    assert_equal DB[:events].count, answer.sealed
    assert_equal 0, Services::SealEvents.call
  end

  def test_what_happens_is_sealed_after_it
    before = DB[:event_seals].max(:number)
    Services::History.note("wrote a note", Models::Customer.first, by: owner, at: NOW, data: { text: "Größe \"x\"" })

    assert_equal 1, Services::SealEvents.call
    assert_equal before + 1, DB[:event_seals].max(:number)
    assert_empty verify.problems
  end

  def test_who_is_forgotten_leaves_the_seals_whole
    customer = Models::Job.where(Sequel.~(handed_over_at: nil)).first.customer
    others = Models::Customer.exclude(id: customer.id).get(:id)
    Models::Job.where(customer_id: customer.id, handed_over_at: nil).update(customer_id: others)
    Services::EditCustomer.call(customer, { notes: "has a dog called Rex" }, version: customer.lock_version, by: owner,
      at: NOW)
    Services::SealEvents.call
    Services::Forget.call(customer, by: owner, at: NOW)
    answer = verify

    assert_empty answer.problems
    assert_operator answer.forgotten, :>, 0
    refute_includes DB[:events].select_map(Sequel.cast(:data, String)).join, "Rex"
    assert_equal answer.forgotten, DB[:event_seals].where(salt: nil).count
  end

  def test_what_was_forgotten_cannot_be_written_anew
    test_who_is_forgotten_leaves_the_seals_whole
    id = DB[:event_seals].where(salt: nil).get(:event_id)
    DB.get(Sequel.function(:set_config, "upright_bench.forgetting", "", true))

    assert_raises(Sequel::DatabaseError) do
      DB.transaction(savepoint: true) { DB[:event_seals].where(event_id: id).update(salt: Sequel.blob("x")) }
    end
  end

  def test_exports_stock_and_from_where
    Services::Whence.now = "198.51.100.7"
    Services::Exported.note("customers (CSV)", by: owner, at: NOW)
    Services::CountStock.call(part("HD-2010"), pieces: part("HD-2010").stock + 1, reason: "found one", by: technician,
      at: NOW)
    rows = Queries::AuditPage.new.rows

    assert_equal [["moved stock", "198.51.100.7"], ["exported", "198.51.100.7"]],
      rows.first(2).map { |row| [row.verb, row.address] }
    refute rows.first.sealed
    assert_equal ["exported"], Queries::AuditPage.new(group: Core::Access::Audit.of("exports")).rows.map(&:verb).uniq
    assert_raises(Services::Forbidden) { Services::Exported.note("x", by: technician, at: NOW) }
  ensure
    Services::Whence.now = nil
  end

  def test_each_group_and_each_way_to_look
    Core::Access::Audit::ALL.each do |group|
      rows = Queries::AuditPage.new(group: group).rows

      assert_empty rows.map(&:subject).uniq - group.subjects
    end
    page = Queries::AuditPage.new(person_id: technician.id, verb: "found")

    assert_equal [["found"], [technician.name]], [page.rows.map(&:verb).uniq, page.rows.map(&:actor).uniq]
    assert_operator Queries::AuditPage.new(before: page.rows.last.id).rows.first.id, :<, page.rows.last.id
    assert_empty Queries::AuditPage.new(on: Date.new(1999, 1, 1)).rows
  end
end

# The application's role may not; these go around it, as whoever has the database may.
class TamperedHistoryTest < CommittedTest
  def as_its_owner(sql)
    TestDatabase.as_owner do |owner|
      %w[events event_seals].each { |table| owner.run("ALTER TABLE #{table} DISABLE TRIGGER USER") }
      owner.run(sql)
    end
    Services::VerifySeals.call(at: Time.now).problems.join(" ")
  end

  def id
    @id ||= DB[:events].order(:id).offset(5).get(:id)
  end

  def test_a_change_shows
    assert_match(/Event #{id}, “did nothing”, is not as it was/,
      as_its_owner("UPDATE events SET verb = 'did nothing' WHERE id = #{id}"))
  end

  def test_another_detail_shows
    assert_match(/Event #{id}, .* is not as it was/,
      as_its_owner("UPDATE events SET data = '{\"a\": 1}' WHERE id = #{id}"))
  end

  def test_a_gap_shows
    number = DB[:event_seals].where(event_id: id).get(:number)

    assert_match(/Event #{id}, of seal #{number}, is gone/, as_its_owner("DELETE FROM events WHERE id = #{id}"))
  end

  def test_a_seal_that_was_taken_out_shows
    number = DB[:event_seals].where(event_id: id).get(:number)
    problems = as_its_owner("DELETE FROM event_seals WHERE event_id = #{id}")

    assert_includes problems, "Seal #{number} is missing"
    assert_includes problems, "Event #{id} has no seal"
  end
end
