# frozen_string_literal: true

require_relative "../test_helper"
require "zip"

# All that is kept of one customer, and nothing of anybody else.
class CustomerFileTest < DatabaseTest
  def setup
    @customer = Models::Customer.where(id: Models::Bill.select(:customer_id)).where(id: Models::Card.select(:customer_id))
      .order(:id).first
  end

  def tables
    @tables ||= Services::CustomerFile.new(@customer, NOW).tables
  end

  def entries(by: owner)
    bytes = Services::CustomerFile.call(@customer, by: by, at: NOW)
    {}.tap do |files|
      Zip::File.open_buffer(StringIO.new(bytes)) do |zip|
        zip.each { |entry| files[entry.name] = entry.get_input_stream.read.force_encoding(Encoding::UTF_8) }
      end
    end
  end

  def test_everything_that_refers_to_them_is_in_it
    %i[customers machines jobs findings work_items bills payments cards card_lines messages dues fittings events]
      .each { |table| assert_includes tables.keys, table }
    assert_equal Models::Job.where(customer_id: @customer.id).count, tables[:jobs].size
    assert_equal Models::Finding.where(job_id: Models::Job.where(customer_id: @customer.id).select(:id)).count,
      tables[:findings].size
  end

  # Whatever table is made later and names a customer: it is followed.
  def test_each_table_that_names_a_customer_is_followed
    others = DB.fetch(<<~SQL).select_map(:name).map(&:to_sym)
      SELECT DISTINCT conrelid::regclass::text AS name FROM pg_constraint
      WHERE contype = 'f' AND confrelid = 'customers'::regclass
    SQL
    others.each do |table|
      mine = DB[table].where(customer_id: @customer.id).count

      assert_equal mine, tables.fetch(table, []).size, table
    end
  end

  def test_nobody_else_is_in_it
    text = Services::CustomerFile.new(@customer, NOW).data
    others = Models::Customer.exclude(id: @customer.id).select_map(%i[name phone email]).flatten.compact

    assert_empty(others.select { |word| text.include?(word) })
    assert_empty([technician, owner].map(&:name).select { |word| text.include?(word) })
  end

  # A machine that was somebody else's before: what was said at their jobs is theirs.
  def test_a_machine_that_changed_hands_brings_no_jobs_along
    other = Models::Job.exclude(customer_id: @customer.id).first
    other.update(complaint: "said by the owner before")
    Models::Machine.where(id: other.machine_id).update(customer_id: @customer.id)

    refute_includes JSON.generate(tables), "said by the owner before"
    assert_includes tables[:machines].map { |row| row[:id] }, other.machine_id
  end

  def test_a_text_to_read_their_bills_and_what_the_household_said
    @customer.machines.first.update(allergy: true)
    files = entries

    assert_includes files["about-you.txt"], @customer.name
    assert_includes files["about-you.txt"], "allergy"
    assert_equal Models::Bill.where(customer_id: @customer.id).count, files.keys.grep(/\Abills/).size
    assert_equal @customer.id, JSON.parse(files["data.json"])["customer"]
    assert Models::Event.first(subject: "customers", subject_id: @customer.id, verb: "handed out all that is kept")
  end

  def test_only_the_owner
    assert_raises(Services::Forbidden) { entries(by: technician) }
  end
end
