# frozen_string_literal: true

require_relative "../test_helper"

class PreparedTest < DatabaseTest
  PARTS = Models::Prepared.new(:test_parts) do
    Models::Part.where(Sequel.lit("number = ANY(?)", :$numbers)).order(:number)
  end
  NUMBER = Models::Prepared.new(:test_number) { Models::Part.where(number: :$number).naked.select(:number) }

  def test_models_of_a_list
    found = PARTS.all(numbers: Sequel.pg_array(%w[HD-2010 HD-1011 none], :text))

    assert_equal %w[HD-1011 HD-2010], found.map(&:number)
    assert_instance_of Models::Part, found.first
    assert_empty PARTS.all(numbers: Sequel.pg_array([], :text))
  end

  def test_what_is_filled_in_is_no_sql
    assert_nil NUMBER.first(number: "' OR '1' = '1")
    assert_nil NUMBER.first(number: nil)
    assert_equal({ number: "HD-2010" }, NUMBER.first(number: "HD-2010"))
  end

  def test_two_of_one_name_are_refused
    error = assert_raises(ArgumentError) { Models::Prepared.new(:test_parts) { Models::Part } }

    assert_equal "test_parts is prepared already", error.message
  end

  def test_it_is_prepared_anew_on_a_new_connection
    assert NUMBER.first(number: "HD-2010")
    DB.synchronize { |connection| connection.exec("DEALLOCATE ALL") && connection.prepared_statements.clear }

    assert NUMBER.first(number: "HD-2010")
  end

  # Prepared where nothing may be changed and in what is taken back: it stays.
  def test_a_transaction_that_is_taken_back_leaves_it
    DB.synchronize { |connection| connection.exec("DEALLOCATE ALL") && connection.prepared_statements.clear }
    DB.transaction(savepoint: true, rollback: :always) { NUMBER.first(number: "HD-2010") }

    assert NUMBER.first(number: "HD-2010")
  end
end
