# frozen_string_literal: true

require_relative "../../core_helper"

# Each trap is a part that would be sold wrongly without its rule.
class FindTest < CoreTest
  K = Fit::Machine.new(model: "Brackwater Loft K", family: "Loft", body_style: "K", serial_number: "BK-20500")
  SIZE = { "length_mm" => 168, "width_mm" => 128 }.freeze

  def cassette(id, clip: true, **more)
    Fit::Part.new(id: id, number: "P-#{id}", name: "Cassette #{id}", kind: :filter, attributes: { "clip" => clip },
      measures: SIZE,
      price_cents: 4000, stock: 3, **more)
  end

  def rule(id, **where)
    Fit::Rule.new(part_id: id, position: "place", **where)
  end

  def listed(id)
    rule(id, model: "Brackwater Loft K")
  end

  def find(parts, rules, wants: {}, machine: K, attributes: { "clip" => true }, fitted: nil)
    Fit::Find.new(position: position(attributes: attributes, measures: SIZE), machine: machine, parts: parts,
      rules: rules, fitted: fitted, wants: Fit::Wants.new(**wants)).call
  end

  def test_a_listed_part_fits_and_says_why
    answer = find([cassette(1)], [listed(1)])

    assert_equal [1], answer.candidates.map { |candidate| candidate.part.id }
    assert_equal [Reason.of(:listed, model: "Brackwater Loft K", place: "place"), Reason.of(:has, attributes: ["clip"]),
                  Reason.of(:on_shelf, stock: 3)], answer.candidates.first.reasons
  end

  def test_same_size_without_the_clip_is_a_near_miss
    answer = find([cassette(1, clip: false)], [listed(1)])

    assert_empty answer.candidates
    assert_equal [Reason.of(:has_none, attribute: "clip")], answer.near_misses.first.reasons
    assert_equal Reason.of(:nothing_fits, place: "place", model: "Brackwater Loft K"), answer.nothing
  end

  def test_a_clip_that_is_in_the_way
    answer = find([cassette(1)], [listed(1)], attributes: { "clip" => false })

    assert_equal Reason.of(:in_the_way, attribute: "clip"), answer.near_misses.first.reasons.first
  end

  def test_the_other_body_style_of_the_family
    answer = find([cassette(1)], [rule(1, family: "Loft", body_style: "C")])

    assert_empty answer.candidates
    assert_equal Reason.of(:other_body_style, styles: ["C"], body_style: "K"), answer.near_misses.first.reasons.first
  end

  def test_what_it_has_is_said_where_there_is_something_to_say
    assert_equal [true, false], [{ "clip" => true }, {}].map { |attributes|
      find([cassette(1)], [listed(1)], attributes: attributes).candidates.first.reasons.any? { |one| one.key == :has }
    }
  end

  def test_one_of_several_rules_suffices
    others = [rule(1, family: "Loft", body_style: "C"), rule(1, family: "Loft", serial_from: "BK-30000")]

    assert_equal [[], [1]], [others, [*others, listed(1)]]
      .map { |rules| find([cassette(1)], rules).candidates.map { |candidate| candidate.part.id } }
  end

  def test_what_nobody_lists_is_not_said_to_be_listed_elsewhere
    reasons = find([cassette(1), cassette(2)], [listed(2)]).near_misses.first.reasons

    assert_equal %i[listed_nowhere], reasons.map(&:key)
  end

  def test_nothing_is_on_the_shelf_or_asked_for_unless_it_is_said
    part = Fit::Part.new(id: 1, number: "N", name: "N", kind: :filter)

    refute_predicate part, :on_shelf?
    refute_predicate part, :gone?
    wants = %i[allergy smell in_warranty makers_first]

    assert_equal [false] * 4, wants.map { |name| Fit::Wants.new.public_send(name) }
  end

  def test_same_size_listed_for_another_machine_altogether
    answer = find([cassette(1), cassette(2)], [rule(1, model: "Hallmoor Dart M"), listed(2)])

    assert_equal [2], answer.candidates.map { |candidate| candidate.part.id }
    assert_equal :listed_elsewhere, answer.near_misses.first.reasons.first.key
  end

  def test_where_nothing_is_listed_the_size_is_offered_as_a_guess
    answer = find([cassette(1)], [rule(1, model: "Hallmoor Dart M")])

    assert_equal [:measure], answer.candidates.map(&:evidence)
    assert_equal :by_measure, answer.candidates.first.reasons.first.key
    assert_empty find([cassette(1, clip: false)], []).candidates, "the right size without the clip is no guess"
  end

  def test_another_size_and_never_named_is_not_even_a_near_miss
    stranger = cassette(1).with(measures: { "length_mm" => 100, "width_mm" => 128 })

    assert_empty find([stranger], []).near_misses
  end

  def test_plates
    early = rule(1, model: "Brackwater Loft K", serial_to: "BK-20000")
    late = rule(1, model: "Brackwater Loft K", serial_from: "BK-20000")

    assert_empty find([cassette(1)], [early]).candidates
    assert_equal Reason.of(:other_serial_number, serial_to: "BK-20000", serial_number: "BK-20500"),
      find([cassette(1)], [early]).near_misses.first.reasons.first
    assert_equal 1, find([cassette(1)], [late]).candidates.size
    assert_equal :serial_number_unknown, find([cassette(1)], [late], machine: K.with(serial_number: nil))
      .near_misses.first.reasons.first.key
  end

  def test_a_handed_part_of_the_wrong_side
    roll = cassette(1).with(attributes: { "drive" => "right" })
    answer = find([roll], [rule(1, family: "Loft")], attributes: { "drive" => "left" })

    assert_equal Reason.of(:other_attribute, attribute: "drive", had: "right", wanted: "left"),
      answer.near_misses.first.reasons.first
  end

  def test_order_listed_before_family_then_shelf_then_price_a_year
    parts = [cassette(1), cassette(2, stock: 0), cassette(3, price_cents: 3000),
             cassette(4, price_cents: 3500, life_months: 24)]
    rules = [rule(1, family: "Loft"), listed(2), listed(3), listed(4)]

    assert_equal [4, 3, 2, 1], find(parts, rules).candidates.map { |candidate| candidate.part.id }
  end

  # For an allergy the HEPA cassette comes first, however it is listed; then the shelf, then the price.
  def test_the_order_among_those_that_fit
    hepa = cassette(1, filter_class: "H13", stock: 0, price_cents: 9000)
    parts = [hepa, cassette(2), cassette(3, stock: 0, price_cents: 10), cassette(4, price_cents: nil)]
    rules = parts.map { |part| listed(part.id) }
    order = ->(**wants) { find(parts, rules, wants: wants).candidates.map { |candidate| candidate.part.id } }

    assert_equal [2, 4, 3, 1], order.call
    assert_equal [1, 2, 4, 3], order.call(allergy: true)
    assert_equal [1, 2], find([hepa, cassette(2)], [rule(1, family: "Loft"), listed(2)], wants: { allergy: true })
      .candidates.map { |candidate| candidate.part.id }
  end

  def test_what_is_not_stated_of_a_part_it_has_not
    plain = cassette(1).with(attributes: {})

    assert_equal [Reason.of(:has_none, attribute: "clip")], find([plain], [listed(1)]).near_misses.first.reasons
    assert_equal 1, find([plain], [listed(1)], attributes: { "clip" => false }).candidates.size
    assert_equal [Reason.of(:attribute_not_stated, attribute: "drive", wanted: "left")],
      find([plain], [listed(1)], attributes: { "drive" => "left" }).near_misses.first.reasons
  end

  def test_where_the_sheet_has_no_measures_nothing_is_about_as_large
    place = position(attributes: {}, measures: {})
    answer = Fit::Find.new(position: place, machine: K, parts: [cassette(1)], rules: []).call

    assert_empty answer.near_misses + answer.candidates
  end

  def test_a_pattern_part_is_no_worse_out_of_warranty
    parts = [cassette(1, pattern: true, price_cents: 100), cassette(2)]

    assert_equal [1, 2], find(parts, [listed(1), listed(2)]).candidates.map { |candidate| candidate.part.id }
    assert_includes find(parts, [listed(1), listed(2)]).candidates.first.reasons, Reason.of(:pattern)
  end

  def test_wants
    plain = cassette(1, price_cents: 1000)
    hepa = cassette(2, filter_class: "H13")
    charcoal = cassette(3).with(attributes: { "clip" => true, "charcoal" => true })
    rules = [listed(1), listed(2), listed(3)]

    assert_equal 2, find([plain, hepa, charcoal], rules, wants: { allergy: true }).candidates.first.part.id
    assert_equal 3, find([plain, hepa, charcoal], rules, wants: { smell: true }).candidates.first.part.id
  end

  def test_in_warranty_the_makers_part_comes_first_and_the_pattern_part_warns
    answer = find([cassette(1, pattern: true, price_cents: 100), cassette(2)], [listed(1), listed(2)],
      wants: { in_warranty: true })

    assert_equal [2, 1], answer.candidates.map { |candidate| candidate.part.id }
    assert_includes answer.candidates.last.reasons, Reason.of(:pattern_in_warranty)
  end

  # The owner's rule: the maker's own before a pattern, whatever it costs.
  def test_the_makers_parts_first_where_the_shop_has_it_so
    parts = [cassette(1, pattern: true, price_cents: 100), cassette(2, price_cents: 3000)]
    first = ->(**wants) { find(parts, [listed(1), listed(2)], wants: wants).candidates.first.part.id }

    assert_equal [1, 2], [first.call, first.call(makers_first: true)]
  end

  # What sits there was HEPA: a plain sheet comes after another cassette, however cheap.
  def test_like_for_like_before_the_price
    plain = cassette(1, price_cents: 100)
    hepa = cassette(2, filter_class: "H13", price_cents: 3000)
    order = lambda { |fitted|
      find([plain, hepa], [listed(1), listed(2)], fitted: fitted).candidates.map { |candidate| candidate.part.id }
    }

    assert_equal [[1, 2], [2, 1]], [order.call(plain), order.call(hepa)]
  end

  def test_never_empty_handed_silently
    for_all do |random|
      parts = Array.new(random.rand(0..5)) { |id| cassette(id, clip: random.rand < 0.5, stock: random.rand(0..2)) }
      rules = parts.map do |part|
        [listed(part.id), rule(part.id, family: "Loft",
          body_style: %w[K C].sample(random: random))].sample(random: random)
      end
      answer = find(parts, rules)

      assert answer.candidates.any? || answer.nothing
      assert_equal parts.size, answer.candidates.size + answer.near_misses.size
      (answer.candidates + answer.near_misses).each { |candidate| refute_empty candidate.reasons }
    end
  end

  # Common practice: what was fitted and sat right is a fact; what a list says of its clip is not.
  def test_what_was_tried_and_fitted_needs_nothing_written_of_it
    answer = find([cassette(1, clip: false)], [rule(1, model: "Brackwater Loft K", tried: true)])

    assert_equal [:tried, { model: "Brackwater Loft K", place: "place" }],
      answer.candidates.first.reasons.first.then { |reason| [reason.key, reason.figures.compact.slice(:model, :place)] }
  end

  def test_it_is_tried_though_a_list_names_it_too
    tried = rule(1, model: "Brackwater Loft K", tried: true)

    part = cassette(1, clip: false, needs: { "frame" => true })

    assert_equal [[1]] * 2, [[tried, listed(1)], [listed(1), tried]]
      .map { |rules| find([part], rules).candidates.map { |candidate| candidate.part.id } }
  end

  # House rule: what nobody said of its life is taken to last a year.
  def test_what_a_month_costs
    assert_in_delta 4000 / 12.0, cassette(1).cents_a_month
    assert_in_delta 4000 / 6.0, cassette(1, life_months: 6).cents_a_month
  end

  def test_what_was_tried_in_vain_is_a_look_alike_however_it_is_listed
    answer = Fit::Find.new(position: position(attributes: { "clip" => true }, measures: SIZE), machine: K,
      parts: [cassette(1), cassette(2)], rules: [listed(1), listed(2)], in_vain: { 1 => "sits proud by 2 mm" }).call

    assert_equal [2], answer.candidates.map { |candidate| candidate.part.id }
    assert_equal [Reason.of(:tried_in_vain, why: "sits proud by 2 mm")], answer.near_misses.first.reasons
  end
end
