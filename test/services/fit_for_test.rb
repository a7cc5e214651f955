# frozen_string_literal: true

require_relative "../test_helper"

# The traps of the demo's shelf, asked of the database.
class FitForTest < DatabaseTest
  def fit(title, position, machine: nil)
    Services::FitFor.new(sheet(title).to_core, machine, today: today).call([position]).fetch(position)
  end

  def numbers(list)
    list.map { |one| one.part.number }
  end

  def miss(answer, number)
    answer.near_misses.find { |miss| miss.part.number == number }&.then { |found| words(found.reasons) }
  end

  def words(reasons)
    English::Sentences.row_of(reasons)
  end

  def test_a_successor_two_steps_on
    answer = fit("Hallmoor Dart S", "pre-filter")

    assert_includes numbers(answer.candidates), "HD-1011"
    assert_match(/HD-1008\), 2 steps on/,
      words(answer.candidates.find { |candidate| candidate.part.number == "HD-1011" }.reasons))
    assert_match(/no longer made.*HD-1011/, miss(answer, "HD-1008"))
  end

  def test_with_and_without_the_clip_and_a_sheet_that_needs_a_frame
    answer = fit("Brackwater Loft K", "exhaust-filter")

    assert_match(/body style C; this machine is a K.*no clip/, miss(answer, "BW-5031"))
    assert_match(/needs a frame, which this machine lacks/, miss(answer, "BW-5021"))
    assert_equal ["plain sheet", "frame"], answer.candidates.find { |candidate| candidate.part.number == "BW-5030" }
      .goes_back
    assert_empty answer.candidates.find { |candidate| candidate.part.number == "BW-5020" }.goes_back
  end

  def test_nothing_comes_out_where_a_cassette_sits_already
    machine = new_machine("Brackwater Loft K")
    Models::Fitting.in_place.where(machine_id: machine.id, position: "exhaust-filter")
      .update(part_id: part("BW-5030").id)

    assert_empty fit("Brackwater Loft K", "exhaust-filter", machine: machine).candidates.flat_map(&:goes_back)
  end

  def test_belts_that_differ_by_two_millimetres
    answer = fit("Ostrel Stride 36", "belt")

    assert_equal ["OS-3620"], numbers(answer.candidates)
    assert_match(/listed for other models only/, miss(answer, "OS-4020"))
    assert_match(/width 11 mm, 1 mm more than here/, miss(answer, "PT-4022"))
  end

  def test_left_and_right
    assert_match(/drive is right; it must be left/, miss(fit("Hallmoor Dart M", "roll"), "HD-3030"))
    assert_match(/first side is left; it must be right/, miss(fit("Maristo Reed", "roll"), "MA-6031"))
  end

  def test_a_box_counts_what_it_holds_and_a_bag_comes_with_its_filter
    answer = fit("Corvane Drum 30", "bag")

    assert_match(/Never without textile filter/, words([answer.together]))
    assert_match(/holds 4 bags and 1 filter/, words(fit("Brackwater Loft K", "bag").candidates
      .find { |candidate| candidate.part.number == "BW-5010" }.reasons))
  end

  def test_a_handful_of_queries_however_many_places
    counted = []
    logger = Object.new
    %i[debug info warn error].each { |level| logger.define_singleton_method(level) { |sql| counted << sql } }
    asked = Services::FitFor.new(sheet("Tolliver Wick").to_core, new_machine("Tolliver Wick"), today: today)
    DB.loggers << logger
    asked.call(sheet("Tolliver Wick").to_core.positions.map(&:key))

    # That of what is kept names the parts too
    assert_operator counted.grep(/FROM "(parts|fit_rules|fittings|stock_levels|suppliers)"|chain/).size, :<=, 7
  ensure
    DB.loggers.delete(logger)
  end

  # Every place of every model: a candidate or a sentence, reasons for each.
  def test_never_empty_handed_silently
    Models::Sheet.all.each do |model|
      Services::FitFor.new(model.to_core, today: today).call(model.to_core.positions.map(&:key)).each_value do |answer|
        assert answer.candidates.any? || answer.nothing
        (answer.candidates + answer.near_misses).each do |candidate|
          refute_empty candidate.reasons, candidate.part.number
        end
      end
    end
  end
end
