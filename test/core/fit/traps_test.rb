# frozen_string_literal: true

require_relative "../../core_helper"

# More parts that would be sold wrongly: successors, belts that nearly fit, frames, what must come out, what is gone.
class FitTrapsTest < CoreTest
  STRIDE = Fit::Machine.new(model: "Ostrel Stride 36", family: "Stride", body_style: "36")

  def belt(id, length, width: 10, **more)
    Fit::Part.new(id: id, number: "B-#{id}", name: "Belt #{length}", kind: :belt,
      measures: { "length_mm" => length, "width_mm" => width }, stock: 1, **more)
  end

  def listed(id)
    Fit::Rule.new(part_id: id, position: "place", model: "Ostrel Stride 36")
  end

  def find(parts, rules, place: { kind: :belt, measures: { "length_mm" => 332, "width_mm" => 10 } }, **more)
    Fit::Find.new(position: position(**place), machine: STRIDE, parts: parts, rules: rules, **more).call
  end

  def fitting(answer)
    answer.candidates.to_h { |candidate| [candidate.part.id, candidate.evidence] }
  end

  def test_a_successor_two_steps_on_fits_and_says_through_what
    parts = [belt(1, 332, successor_id: 2, discontinued: true, stock: 0),
             belt(2, 332, successor_id: 3, discontinued: true, stock: 0), belt(3, 332)]
    answer = find(parts, [listed(1)])

    assert_equal({ 3 => :successor }, fitting(answer))
    assert_equal Reason.of(:successor, part: "Belt 332", number: "B-1", steps: 2,
      listed: Reason.of(:listed, model: "Ostrel Stride 36", place: "place")), answer.candidates.first.reasons.first
    assert_equal Reason.of(:gone, part: "Belt 332", number: "B-3"), answer.near_misses.first.reasons.first
  end

  # What is listed for the model is the stronger, though only what took its place is on the shelf.
  def test_what_is_listed_comes_before_its_successor
    answer = find([belt(2, 332), belt(1, 332, successor_id: 2, stock: 0)], [listed(1)])

    assert_equal [1, 2], answer.candidates.map { |candidate| candidate.part.id }
    assert_nil answer.candidates.last.reasons.first.figures[:steps], "one step is not counted"
  end

  def test_a_successor_names_the_strongest_of_what_is_listed
    family = Fit::Rule.new(part_id: 1, position: "place", family: "Stride")
    parts = [belt(1, 332, successor_id: 2, discontinued: true, stock: 0), belt(2, 332)]
    named = [[family, listed(1)], [listed(1), family], [family]].map do |rules|
      find(parts, rules).candidates.first.reasons.first.figures[:listed].figures.keys.first
    end

    assert_equal %i[model model family], named
  end

  def test_the_last_pieces_of_an_old_part_are_used_first_and_say_so
    answer = find([belt(1, 332, successor_id: 2, discontinued: true), belt(2, 332)], [listed(1)])

    assert_equal({ 1 => :model, 2 => :successor }, fitting(answer))
    assert_includes answer.candidates.first.reasons, Reason.of(:last_of_its_kind, part: "Belt 332", number: "B-2")
  end

  def test_successors_that_run_in_a_circle_end
    parts = [belt(1, 332, successor_id: 2), belt(2, 332, successor_id: 1)]

    assert_equal({ 1 => :model, 2 => :successor }, fitting(find(parts, [listed(1)])))
    lineage = Fit::Lineage.new(parts)

    assert_equal [[2, 1]], lineage.before(parts.first).map { |part, steps| [part.id, steps] }
    assert_equal 2, lineage.newest(parts.first).id
  end

  def test_a_successor_with_the_wrong_attribute_is_stopped_all_the_same
    parts = [belt(1, 332, successor_id: 2, attributes: { "toothed" => false }),
             belt(2, 332, attributes: { "toothed" => true })]
    answer = find(parts, [listed(1)], place: { kind: :belt, attributes: { "toothed" => false } })

    assert_equal({ 1 => :model }, fitting(answer))
    assert_equal Reason.of(:in_the_way, attribute: "toothed"), answer.near_misses.first.reasons.first
  end

  # House rule: length within 1 %, width within half a millimetre.
  def test_a_belt_by_measure_at_just_inside_and_just_outside
    [[335.32, true], [335.33, false], [328.68, true], [328.67, false]].each do |length, fits|
      assert_equal fits, find([belt(1, length)], []).candidates.any?, length
    end
    [[10.5, true], [10.6, false], [9.5, true], [9.4, false]].each do |width, fits|
      assert_equal fits, find([belt(1, 332, width: width)], []).candidates.any?, width
    end
  end

  def test_filters_by_measure_within_a_millimetre_and_never_by_one_side_alone
    place = { kind: :filter, measures: { "length_mm" => 182, "diameter_mm" => 58 } }
    tube = lambda { |length, diameter|
      Fit::Part.new(id: 1, number: "T", name: "Tube", kind: :filter,
        measures: { "length_mm" => length, "diameter_mm" => diameter }.compact)
    }

    assert_equal([true, false, false], [[183, 57], [183.1, 58], [182, nil]]
      .map { |sides| find([tube.call(*sides)], [], place: place).candidates.any? })
    assert_empty find([Fit::Part.new(id: 1, number: "D", name: "Disc", kind: :filter,
      measures: { "diameter_mm" => 88 })], [],
      place: { kind: :filter, measures: { "diameter_mm" => 88 } }).candidates
  end

  def test_a_belt_two_millimetres_longer_is_a_near_miss_while_the_right_one_is_on_file
    answer = find([belt(1, 332), belt(2, 334)], [listed(1)])

    assert_equal [1], fitting(answer).keys
    assert_equal [2], answer.near_misses.map { |miss| miss.part.id }
    answer = find([belt(1, 332), belt(2, 338)], [listed(1)])

    assert_equal Reason.of(:too_large, side: "length", had: 338, off: 6, allowed: 3.32),
      answer.near_misses.first.reasons.first
    odd = find([belt(2, 340)], [], place: { kind: :belt, measures: { "length_mm" => 333.3, "width_mm" => 10 } })

    assert_in_delta 3.33, odd.near_misses.first.reasons.first.figures[:allowed], 1e-9
  end

  def test_a_part_that_needs_a_frame_the_machine_lacks
    sheet = Fit::Part.new(id: 1, number: "S", name: "Sheet", kind: :filter, needs: { "frame" => "wide" },
      attributes: { "frame" => "wide" })

    assert_equal [1], fitting(find([sheet], [listed(1)], place: { kind: :filter, attributes: { "frame" => "wide" } }))
      .keys
    lacking = [sheet, sheet.with(needs: { "frame" => true })].map do |part|
      find([part], [listed(1)], place: { kind: :filter }).near_misses.first.reasons
    end

    assert_includes lacking.first, Reason.of(:needs, attribute: "frame", wanted: "wide")
    assert_includes lacking.last, Reason.of(:needs_one, attribute: "frame")
  end

  def test_a_cassette_takes_the_sheet_and_its_frame_out_once
    cassette = Fit::Part.new(id: 1, number: "C", name: "Cassette", kind: :filter, takes_out: ["plain sheet", "frame"],
      stock: 1)
    first = find([cassette], [listed(1)], place: { kind: :filter }).candidates.first
    second = find([cassette], [listed(1)], place: { kind: :filter }, fitted: cassette).candidates.first

    assert_equal ["plain sheet", "frame"], first.goes_back
    assert_includes first.reasons, Reason.of(:takes_out, parts: "plain sheet and the frame")
    assert_empty second.goes_back
  end

  def test_a_box_says_what_it_holds
    box = Fit::Part.new(id: 1, number: "B", name: "Bags", kind: :bag, contents: { "bag" => 4, "filter" => 1 }, stock: 2)

    assert_includes find([box], [listed(1)], place: { kind: :bag }).candidates.first.reasons,
      Reason.of(:holds, contents: [Reason.of(:box_piece, pieces: 4, kind: "bags"),
                                   Reason.of(:box_piece, pieces: 1, kind: "filter")])
    pair = box.with(contents: { "side_brush" => 2 })

    assert_includes find([pair], [listed(1)], place: { kind: :bag }).candidates.first.reasons,
      Reason.of(:holds, contents: [Reason.of(:box_piece, pieces: 2, kind: "side brushes")])
  end

  def test_what_is_never_without_another_says_so
    answer = find([belt(1, 332)], [listed(1)], partner: position(key: "textile", name: "Textile filter"))

    assert_equal Reason.of(:together, place: "textile filter"), answer.together
  end

  def test_what_is_on_order_says_how_long
    assert_includes find([belt(1, 332, stock: 0, lead_days: 9)], [listed(1)]).candidates.first.reasons,
      Reason.of(:none_on_shelf, lead_days: 9)
  end

  # Whatever the parts: a candidate or a sentence; every part that looks alike has its reasons; none is both.
  def test_never_empty_handed_silently_with_chains_and_measures
    for_all do |random|
      parts = Array.new(random.rand(0..8)) do |id|
        belt(id, 332 + random.rand(-8..8), width: [10, 10, 12].sample(random: random),
          successor_id: [nil, nil, random.rand(0..8)].sample(random: random),
          discontinued: random.rand < 0.3, stock: random.rand(0..1))
      end
      rules = parts.select { random.rand < 0.4 }.map do |part|
        if random.rand < 0.5
          listed(part.id)
        else
          Fit::Rule.new(part_id: part.id, position: "place",
            family: "Stride", body_style: [nil, "40"].sample(random: random))
        end
      end
      answer = find(parts, rules)

      assert answer.candidates.any? || answer.nothing
      assert_empty [answer.candidates, answer.near_misses].map { |list| list.map { |row| row.part.id } }.reduce(:&)
      (answer.candidates + answer.near_misses).each { |candidate| refute_empty candidate.reasons }
    end
  end

  # A box of four bags with one motor filter: five bags are two boxes, a bag and the filter are one.
  def test_a_box_is_counted_by_what_it_holds
    box = Fit::Box.new(contents: { "bag" => 4, "filter" => 1 })

    assert_equal [1, 1, 1, 2, 2, 2, 3, 0], [%i[bag], %i[bag filter], %i[bag] * 4, %i[bag] * 5, %i[filter] * 2,
                                            [:filter, *%i[bag] * 5], %i[seal] * 3, []]
      .map { |kinds| box.for_places(kinds) }
    assert_equal 2, Fit::Box.new.for_places(%i[bag filter])
  end

  def test_what_is_left_of_the_boxes
    box = Fit::Box.new(contents: { "bag" => 4, "filter" => 1 })

    assert_equal({ "bag" => 3, "filter" => 1 }, box.left_of(%i[bag]))
    assert_equal({ "bag" => 3 }, box.left_of(%i[filter bag]))
    assert_equal({ "bag" => 2, "filter" => 2 }, box.left_of([*%i[bag] * 6]))
    assert_empty box.left_of([])
    assert_empty Fit::Box.new.left_of(%i[bag filter])
  end
end
