# frozen_string_literal: true

require_relative "../../core_helper"

# What is found ages one action. (Common practice; shares are house rules.)
class LoadsTest < CoreTest
  def loads(place, observed, **policy)
    Findings::Loads.new(position(**place), observed, policy: Findings::Policy.new(**policy)).by_action
      .transform_values { |load| [load.share, load.step, load.at_least] }
  end

  WASHABLE = { kind: :filter, water: :cold, drying_floor_hours: 24 }.freeze

  def test_grey_ages_the_wash_where_there_is_one
    assert_equal({ wash: [0.4, 0.2, false] }, loads(WASHABLE, { grey: 2 }))
    assert_equal({ replace: [0.4, 0.2, false] }, loads({ kind: :filter }, { grey: 2 }))
    assert_equal({ wash: [1.0, 0.2, true] }, loads(WASHABLE, { grey: 5 }))
    assert_equal({ clean: [0.4, 0.2, false] },
      loads({ kind: :filter, tasks: [task(clock(:months, 2), action: :clean)] }, { grey: 2 }))
    assert_equal({ wash: [0.2, 0.2, false], replace: [0.9, 0, false] },
      loads(WASHABLE, { grey: 1, indicator_percent: 90 }))
    assert_equal({ replace: [1.0, 0, true] }, loads({ kind: :filter }, { grey: 1, indicator_percent: 100 }))
  end

  def test_what_is_full
    assert_equal({ replace: [0.5, 0, false] }, loads({ kind: :bag }, { fill_percent: 25 }))
    assert_equal({ replace: [0.5, 0, false] },
      loads({ kind: :bag, measures: { "change_at_percent" => 90 } }, { fill_percent: 45 }))
    assert_equal({ clean: [1.5, 0, true] }, loads({ kind: :bin }, { fill_percent: 100 }))
  end

  def test_what_is_worn
    assert_equal({ replace: [0.5, 0, false] },
      loads({ kind: :brush, measures: { "new_standout_mm" => 8 } }, { standout_mm: 4 }))
    assert_equal({ replace: [1.0, 0, true] },
      loads({ kind: :brush, measures: { "new_standout_mm" => 8 } }, { standout_mm: 0 }))
    assert_equal({ replace: [0.5, 0, false] },
      loads({ kind: :belt, measures: { "length_mm" => 300 } }, { length_mm: 303 }, belt_stretch_percent: 2))
    assert_equal({ replace: [0.5, 0, false] },
      loads({ kind: :carbon, measures: { "new_length_mm" => 30 } }, { length_mm: 20 })) # a third is the least
    assert_equal({ replace: [0.5, 0, false] },
      loads({ kind: :battery, measures: { "run_minutes" => 20 } }, { run_minutes: 16 })) # 60 % is tired
    both = { kind: :battery, measures: { "run_minutes" => 20, "run_minutes_full" => 10 } }

    assert_equal [0.5, 0.75], [{ run_minutes: 16, run_minutes_full: 9 }, { run_minutes: 18, run_minutes_full: 7 }]
      .map { |observed| loads(both, observed).values.first.first.round(2) }, "the worse of two settings"
  end

  def test_a_roll_is_cleaned_by_how_it_turns_and_replaced_by_its_bristles
    assert_equal({ clean: [1.0, 0.5, false], replace: [0.25, 0.5, false] },
      loads({ kind: :roll }, { turns: "drags", bristles: "full" }))
    assert_equal({ clean: [1.5, 0.5, true], replace: [1.5, 0.5, true] },
      loads({ kind: :roll }, { turns: "stuck", bristles: "missing" }))
  end

  def test_a_state_that_is_good_is_hardly_gone
    assert_equal({ clean: [0.25, 0.5, false] }, loads({ kind: :wheels }, { state: "turn" }))
    assert_equal({ clean: [1.0, 0.5, false] }, loads({ kind: :wheels }, { state: "drag" }))
    assert_equal({ replace: [1.0, 0.5, false] }, loads({ kind: :wheels }, { state: "broken" }))
  end

  def telling(observed, **place)
    action, load = Findings::Loads.new(position(**place), observed).telling
    [action, load&.share, load&.at_least]
  end

  # As the trade grades it: 0.25 hardly, 1.0 just right, 1.5 far gone. A strip knows better than the eye.
  def test_a_household_is_told_by_what_says_most
    assert_equal [:wash, 0.4, false], telling({ grey: 2 }, **WASHABLE)
    assert_equal [:replace, 0.9, false], telling({ grey: 2, indicator_percent: 90 }, **WASHABLE)
    assert_equal [:replace, 1.0, true],
      telling({ fill_percent: 100 }, kind: :bag, measures: { "change_at_percent" => 100 })
    assert_equal [:clean, 0.5, false], telling({ fill_percent: 33 }, kind: :bin)
    assert_equal [:clean, 1.5, true], telling({ turns: "stuck", bristles: "full" }, kind: :roll)
    assert_equal [:replace, 0.5, false], telling({ standout_mm: 4 }, kind: :brush, measures: { "new_standout_mm" => 8 })
  end

  def test_what_tells_too_little_is_not_learned_from
    [[{ torn: true }, { kind: :filter }], [{ bristles: "missing" }, { kind: :roll }],
     [{ standout_mm: 4 }, { kind: :brush }], [{ state: "torn" }, { kind: :seal }],
     [{ length_mm: 303 }, { kind: :belt, measures: { "length_mm" => 300 } }]].each do |observed, place|
      assert_nil telling(observed, **place).first, observed.to_s
    end
  end

  def of(place, observed, action, verdict, judged: false)
    Findings::Loads.new(position(**place), observed).of(action, verdict: verdict, judged: judged)&.share
  end

  def test_what_is_judged_good_is_hardly_gone_and_what_is_not_is_due
    assert_in_delta 0.25, of({ kind: :lead }, {}, :inspect, :leave)
    assert_in_delta 1.0, of({ kind: :filter }, { torn: true }, :replace, :replace)
    assert_nil of({ kind: :filter }, { torn: true }, :wash, :replace)
    assert_in_delta 0.4, of({ kind: :filter }, { grey: 2 }, :replace, :leave)
    assert_in_delta 0.5, of({ kind: :filter }, { grey: 5 }, :replace, :leave, judged: true)
    assert_in_delta 1.0, of({ kind: :filter }, { grey: 5 }, :replace, :replace, judged: true)
  end

  # Looked at, and something else was done with it: half gone, and only where nothing better is known.
  def test_what_was_cared_for_and_not_replaced_is_presumed_to_be_half_gone
    roll = Findings::Loads.new(position(kind: :roll), { turns: "drags" })
    presumed = %i[clean wash].map { |verdict| roll.of(:replace, verdict: verdict) }

    assert_equal [[0.5, 0.5, true]] * 2, presumed.map { |load| [load.share, load.step, load.presumed] }
    assert_nil roll.of(:replace, verdict: :refer)
    refute roll.of(:replace, verdict: :leave).presumed
    assert_nil roll.of(:inspect, verdict: :clean)
  end

  def test_what_a_load_is_unless_it_is_said
    load = Findings::Load.new(share: 0.4)

    assert_equal [0, false], [load.step, load.at_least]
    assert_raises(ArgumentError) { Findings::Load.new(share: 1.6) }
    dark = Findings::Loads.new(position(kind: :filter), { grey: 5 })

    assert_in_delta 1.0, dark.of(:replace, verdict: :leave).share # by the rule, and by nobody's judgement
    assert_equal [0.5, false], dark.of(:replace, verdict: :leave, judged: true).then { |one| [one.share, one.at_least] }
  end

  def test_a_load_has_two_decimals
    assert_in_delta 0.33, loads({ kind: :bag, measures: { "change_at_percent" => 90 } }, { fill_percent: 30 })
      .fetch(:replace).first, 1e-9
  end

  def test_what_was_not_measured_tells_nothing
    assert_empty loads({ kind: :filter }, { torn: true })
    assert_empty loads({ kind: :brush }, { standout_mm: 4 })
    assert_empty loads({ kind: :belt }, { cracked: true })
    assert_empty loads({ kind: :belt, measures: { "length_mm" => 300 } }, { cracked: true })
    assert_empty loads({ kind: :brush, measures: { "new_standout_mm" => 8 } }, { gaps: true })
    assert_empty loads({ kind: :carbon, measures: { "new_length_mm" => 30 } }, { sparks: true })
    assert_empty loads({ kind: :carbon }, { length_mm: 20 })
    assert_empty loads({ kind: :battery }, { run_minutes: 10 })
    assert_empty loads({ kind: :seal }, {})
    assert_empty loads({ kind: :seal }, { state: "swollen" })
  end

  # Whatever may be recorded anywhere is a share within bounds.
  def test_every_finding_is_a_share_within_bounds
    for_all do |random|
      kind = Kinds::ALL.keys.sample(random: random)
      observed = Kinds.fetch(kind).fields.transform_values { |field| field.sample_values.sample(random: random) }
      measures = { "new_standout_mm" => 8, "length_mm" => 332, "new_length_mm" => 30, "run_minutes" => 30 }

      Findings::Loads.new(position(kind: kind, measures: measures), observed).by_action.each do |action, load|
        assert_includes Clocks::Task::ACTIONS, action
        assert_includes 0..1.5, load.share
      end
    end
  end
end
