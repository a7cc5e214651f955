# frozen_string_literal: true

require_relative "../../core_helper"

class WritingTest < CoreTest
  include Units

  DAY = Date.new(2027, 4, 5) # a Monday
  AFTERNOON = Time.utc(2027, 4, 5, 14, 5)

  def written(**how, &)
    Writing::HELD.during(-> { Writing.new(**how) }, &)
  end

  # With the sign that keeps "pm" on the line of its hour.
  def together(text)
    text.sub(/ (?=[ap]m)/, "\u00A0")
  end

  def test_days_in_each_order
    { "dmy" => ["5 Apr 2027", "Mon 5 Apr", "5 Apr", "Monday 5 April"],
      "mdy" => ["Apr 5, 2027", "Mon, Apr 5", "Apr 5", "Monday, April 5"],
      "ymd" => ["2027-04-05", "Mon Apr 5", "Apr 5", "Monday, April 5"] }.each do |order, expected|
      written(date_order: order) do
        assert_equal expected, %i[whole weekday short long].map { |length| Writing.now.day(DAY, length) }
        assert_equal expected.first, Day.words(DAY)
        assert_equal expected[1], Day.near(DAY, today: DAY - 3)
        assert_equal expected[2], Day.near(DAY, today: DAY - 60)
      end
    end
  end

  # Noon is 12 pm and midnight 12 am (common practice in countries that count so).
  def test_twelve_hours
    written(clock: "12") do
      assert_equal ["2:05 pm", "12:00 pm", "12:00 am", "8:30 am"].map { |text| together(text) },
        [Moment.clock(AFTERNOON), *%w[12:00 24:00 08:30].map { |text| Moment.typed_clock(text) }]
      assert_equal together("today 2:05 pm"), Moment.words(AFTERNOON, today: DAY)
    end
    assert_equal "today 14:05", Moment.words(AFTERNOON, today: DAY)
  end

  def test_figures
    written(decimal_mark: "comma") do
      assert_equal ["2,5", "2,50", "1000000", "0,375 in"],
        [Figure.words(2.5), Figure.words(2.5, decimals: 2), Figure.words(1_000_000),
         Length.words(9.525, unit: :inch)]
    end
    assert_equal "2.5", Figure.words(2.5)
  end

  # What holds is forgotten with the block, also when it fails, and is nobody else's.
  def test_it_holds_for_the_block_and_the_thread
    assert_raises(RuntimeError) do
      written(clock: "12") do
        assert_equal "24", Thread.new { Writing.now.clock }.value
        written(clock: "24") { assert_equal "24", Writing.now.clock }

        assert_equal "12", Writing.now.clock
        raise "gone wrong"
      end
    end
    assert_equal "24", Writing.now.clock
  end

  # It is asked for once, and only when somebody wants to know.
  def test_it_is_read_when_it_is_needed
    asked = 0
    source = -> { (asked += 1) && Writing.new }
    Writing::HELD.during(source) { DAY.to_s }

    assert_equal 0, asked
    Writing::HELD.during(source) { 3.times { Writing.now } }

    assert_equal 1, asked
  end
end
