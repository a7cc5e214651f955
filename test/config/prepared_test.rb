# frozen_string_literal: true

require_relative "../test_helper"

# Reads are prepared, and say the same as if they were not.
class PreparedTest < DatabaseTest
  def setup
    @prepared = DB.synchronize(&:prepared_statements)
  end

  def on_server
    DB.synchronize { |connection| connection.async_exec("SELECT statement FROM pg_prepared_statements").values.flatten }
  end

  def test_a_read_that_comes_again_is_prepared_and_answers_what_is_asked
    ids = Models::Machine.order(:id).limit(4).select_map(:id)
    read = ->(id) { DB[:machines].where(id: id).select(:id, Sequel[37].as(:mark)).all }

    assert_equal(ids.map { |id| [{ id: id, mark: 37 }] }, ids.map(&read))
    text = 'SELECT "id", $1::int4 AS "mark" FROM "machines" WHERE ("id" = $2::int4)'

    assert_equal 1, @prepared.values.count(text)
    assert_includes on_server, text
  end

  def test_several_numbers_are_one_parameter_and_words_stay_in_the_text
    ids = Models::Due.order(:id).limit(3).select_map(:id)
    read = DB[:dues].where(id: ids, state: "open")

    assert_equal ids & Models::Due.where(state: "open").select_map(:id), read.order(:id).select_map(:id)
    assert_includes read.sql, "= ANY(CAST($1 AS int8[]))"
    assert_includes read.sql, "\"state\" = 'open'"
    assert_equal ids, DB[:dues].where(id: ids).exclude(id: [-1, -2]).order(:id).select_map(:id)
  end

  def test_a_time_means_the_same_wherever_the_server_stands
    job = Models::Job.exclude(handed_over_at: nil).first
    DB.run("SET LOCAL TIME ZONE 'Pacific/Auckland'")
    read = ->(time) { DB[:jobs].where(handed_over_at: time, id: job.id).count }

    assert_equal([1, 0, 1, 0], [0, 1, 0, 1].map { |seconds| read.call(job.handed_over_at + seconds) })
  end

  def test_writes_are_sent_as_they_are
    refute_includes DB[:dues].insert_sql(state: "open", attempts: 2), "$1"
    refute_includes DB[:dues].where(id: 3).update_sql(attempts: 2), "$1"
    refute_includes DB[:dues].where(id: 3).delete_sql, "$1"
    refute_includes DB[:dues].multi_insert_sql(%i[attempts], [[1], [2]]).join, "$1"
  end

  def test_what_was_not_asked_for_longest_gives_way
    most = Config::Prepared::MOST
    (most + 3).times { |place| 2.times { DB[:shops].select(Sequel[place].as("read_#{place}")).all } }

    assert_equal most, @prepared.size
    assert_equal @prepared.values.sort, on_server.sort
    refute(@prepared.values.any? { |text| text.include?('"read_2"') })
    assert(@prepared.values.any? { |text| text.include?('"read_3"') })
  end
end

# As a table is changed while the shop is open.
class PreparedOfChangedTableTest < AppTest
  def test_a_read_of_a_changed_table_is_sent_anew
    DB.synchronize do
      DB.run("CREATE TEMP TABLE changing (id integer); INSERT INTO changing VALUES (1)")
      read = -> { DB.fetch("SELECT * FROM changing WHERE id = ?", 1).all }

      3.times { assert_equal [{ id: 1 }], read.call }
      DB.run("ALTER TABLE changing ADD COLUMN words text DEFAULT 'new'")

      assert_equal [[{ id: 1, words: "new" }]] * 2, Array.new(2) { read.call }
      3.times { read.call }
      DB.run("ALTER TABLE changing DROP COLUMN words")

      assert_raises(Sequel::DatabaseError) { DB.transaction(rollback: :reraise) { read.call } }

      assert_equal [{ id: 1 }], read.call
    ensure
      DB.run("DROP TABLE changing")
    end
  end
end
