# frozen_string_literal: true

require_relative "../../core_helper"

# Clause by clause, at, just below and just above each limit. Common practice unless said otherwise.
class ReadTest < CoreTest
  WASHABLE = { kind: :filter, water: :cold, drying_floor_hours: 24, tap_out: true }.freeze
  DRY_ONLY = { kind: :filter, tap_out: true }.freeze

  def read(place, observed, **background)
    Findings::Read.new(position: position(**place), observed: observed,
      background: Findings::Background.new(**background)).call
  end

  def assert_reads(mark, clause, place, observed, **background)
    verdict = read(place, observed, **background)

    assert_equal [mark, clause], [verdict.kind, verdict.clause]
  end

  def test_filter_as_dark_as_its_reference
    assert_reads :wash, :dark_washable, WASHABLE, { grey: 5 }
    assert_reads :replace, :dark, DRY_ONLY, { grey: 5 }
    assert_reads :clean, :grey_tap_out, DRY_ONLY, { grey: 4 }
  end

  def test_filter_grey_by_grey
    assert_reads :leave, :light, WASHABLE, { grey: 0 }
    assert_reads :clean, :tap_out, WASHABLE, { grey: 2 }
    assert_reads :wash, :grey_washable, WASHABLE, { grey: 3 }
  end

  def test_filter_after_a_wash
    assert_reads :clean, :tap_out, WASHABLE, { grey: 2, after_wash: true }
    assert_reads :replace, :grey_after_wash, WASHABLE, { grey: 4, after_wash: true }
    assert_reads :replace, :smells_after_wash, WASHABLE, { grey: 1, smell: true, after_wash: true }
  end

  def test_filter_torn_wins_over_all
    assert_reads :replace, :torn, WASHABLE, { grey: 0, torn: true }
  end

  def test_filter_smell
    assert_reads :wash, :smell_washable, WASHABLE, { grey: 1, smell: true }
    assert_reads :replace, :smell, DRY_ONLY, { smell: true }
  end

  def test_filter_indicator
    assert_reads :leave, :indicator_left, DRY_ONLY, { indicator_percent: 99 }
    assert_reads :replace, :indicator_full, DRY_ONLY, { indicator_percent: 100 }
  end

  # House rule: twelve washes in a foam's life.
  def test_filter_at_its_last_wash
    assert_reads :wash, :dark_washable, WASHABLE, { grey: 5 }, wash_count: 11
    assert_reads :replace, :washed_out, WASHABLE, { grey: 5 }, wash_count: 12
  end

  BRUSH = { kind: :brush, measures: { "new_standout_mm" => 8, "dial_settings" => 4 } }.freeze

  def test_brush_flush_with_the_bars_is_worn_out
    assert_reads :replace, :flush, BRUSH, { standout_mm: 0 }
    assert_reads :replace, :flush, BRUSH, { standout_mm: -0.5 }
    assert_reads :leave, :proud, BRUSH, { standout_mm: 0.5 }
  end

  # The dial is highest when new and stepped down in equal parts of the remaining wear.
  def test_brush_dial
    { 8 => 4, 6.5 => 4, 6 => 3, 4 => 2, 2 => 1, 0.1 => 1, 9 => 4 }.each do |left, dial|
      assert_equal dial, Findings::ReadBrush.dial(standout_mm: left, new_standout_mm: 8, settings: 4), "#{left} mm"
    end
  end

  # 8 mm new, 4 mm after 300 days: 300 more days, inside a year; after 400 days: 400 more, outside.
  def test_brush_flush_before_the_next_service
    assert_reads :replace, :flush_before_next_service, BRUSH, { standout_mm: 4 }, fitted_on: MONDAY - 300, today: MONDAY
    assert_reads :leave, :proud, BRUSH, { standout_mm: 4 }, fitted_on: MONDAY - 400, today: MONDAY
    assert_reads :leave, :proud, BRUSH, { standout_mm: 4 }, fitted_on: MONDAY - 365, today: MONDAY
    assert_reads :leave, :proud, BRUSH, { standout_mm: 4 }, today: MONDAY
    early = read(BRUSH, { standout_mm: 3 }, fitted_on: MONDAY - 101, today: MONDAY)

    assert_equal MONDAY + 60, early.reason.figures[:flush_on], "3 mm of which 5 wore off in 101 days: 60.6 days more"
  end

  def test_bag_at_half_full_and_by_age
    assert_reads :leave, :bag_room_left, { kind: :bag }, { fill_percent: 49 }
    assert_reads :replace, :bag_full, { kind: :bag }, { fill_percent: 50 }
    assert_reads :leave, :bag_room_left, { kind: :bag }, { fill_percent: 10 }, fitted_on: MONDAY - 62, today: MONDAY
    assert_reads :replace, :bag_stale, { kind: :bag }, { fill_percent: 10 }, fitted_on: MONDAY - 63, today: MONDAY
    assert_reads :replace, :burst, { kind: :bag }, { burst: true }
  end

  def test_bag_says_how_long_it_lasts
    verdict = read({ kind: :bag, measures: { "hours_a_bag" => 10 } }, { fill_percent: 25 }, hours_per_week: 5)

    assert_equal 7, verdict.reason.figures[:left_days] # half of ten hours at five a week
  end

  def test_bin_at_two_thirds
    assert_reads :leave, :bin_room_left, { kind: :bin }, { fill_percent: 65 }
    assert_reads :clean, :bin_full, { kind: :bin }, { fill_percent: 66 }
    assert_reads :replace, :bin_cracked, { kind: :bin }, { cracked: true }
  end

  # House rule: three percent.
  def test_belt_stretch
    belt = { kind: :belt, measures: { "length_mm" => 400 } }

    assert_reads :leave, :belt_within, belt, { length_mm: 411.9 }
    assert_reads :replace, :belt_stretched, belt, { length_mm: 412 }
    assert_reads :replace, :belt_too_short, belt, { length_mm: 390 }
    assert_reads :leave, :belt_within, belt, { length_mm: 394 }
    assert_reads :replace, :belt_cracked, belt, { length_mm: 400, cracked: true }
  end

  def test_states
    assert_reads :leave, :seal_clean, { kind: :seal }, { state: "clean" }
    assert_reads :clean, :seal_dirty, { kind: :seal }, { state: "dirty" }
    assert_reads :clean, :seal_lifted, { kind: :seal }, { state: "lifted" }
    assert_reads :replace, :seal_torn, { kind: :seal }, { state: "torn" }
  end

  def test_filter_damp_and_loose
    assert_reads :wash, :damp_washable, WASHABLE, { grey: 1, damp: true }
    assert_reads :replace, :damp, DRY_ONLY, { grey: 1, damp: true }
    assert_reads :clean, :loose, { kind: :filter }, { loose: true }
  end

  # Grey and loose in its seat: a wash and a seat check. Cracked and full: a new bin, and a coin out of it.
  def test_several_at_a_place_each_with_its_verdict
    both = read(WASHABLE, { grey: 4, loose: true })

    assert_equal [:wash, [:clean], :several_found], [both.kind, both.also, both.clause]
    assert_equal %i[grey_washable loose], both.reason.figures.values.map(&:key)
    assert_equal [:replace, [:clean]], read({ kind: :bin }, { fill_percent: 90, cracked: true, foreign: "a coin" })
      .then { |verdict| [verdict.kind, verdict.also] }
    assert_equal [:replace, []], read({ kind: :roll }, { turns: "drags", bristles: "worn", dirty: true })
      .then { |verdict| [verdict.kind, verdict.also] }
  end

  def test_what_may_be_seen_anywhere
    hose = { kind: :path, water: :cold, drying_floor_hours: 12 }

    assert_reads :replace, :cracked, { kind: :path }, { state: "clear", cracked: true }
    assert_reads :refer, :motor_cracked, { kind: :motor }, { cracked: true }
    assert_reads :clean, :wet, { kind: :path }, { wet: true }
    assert_reads :clean, :foreign, { kind: :path }, { foreign: "a coin" }
    assert_reads :clean, :dirty_here, { kind: :lead }, { state: "sound", dirty: true }
    assert_reads :wash, :dirty_here_washable, hose, { dirty: true }
    assert_reads :wash, :smells_here_washable, hose, { smell: true }
    assert_reads :clean, :smells_here, { kind: :path }, { smell: true }
    assert_reads :leave, :noted, { kind: :path }, { note: "scratched before" }
    assert_reads :leave, :path_clear, { kind: :path }, { state: "clear", note: "scratched before" }
  end

  # A fault there can hurt somebody, or kill the machine: everything else waits.
  def test_what_is_live_and_wet_or_cracked_is_a_stop
    { battery: :wet, lead: :wet, contacts: :wet, motor: :wet }.each do |kind, seen|
      verdict = read({ kind: kind }, { seen => true })

      assert_equal [:refer, true, :wet_stop], [verdict.kind, verdict.stop, verdict.clause], kind
    end
    assert_equal [true, true], %i[battery lead].map { |kind| read({ kind: kind }, { cracked: true }).stop }
    assert_equal [:battery_swollen, true, []], read({ kind: :battery }, { state: "swollen", foreign: "hair" })
      .then { |verdict| [verdict.clause, verdict.stop, verdict.also] }
  end

  # A sheet that does not say is no sheet that forbids: the bench judges, and the rule says so.
  def test_what_a_sheet_does_not_say_is_not_forbidden
    unknown = { kind: :filter, water: :unknown }

    assert_reads :replace, :dark_unknown, unknown, { grey: 5 }
    assert_reads :replace, :smell_unknown, unknown, { smell: true }
    assert_equal [true, false, true], position(**unknown).then { |place|
      [place.may_be_wetted?, place.washable?, place.water_unknown?]
    }
    assert_raises(ArgumentError) { position(kind: :motor, water: :unknown) }
  end

  # House rule of the trade: contacts and filter first; only what is swollen, hot, leaking or wetted is a stop.
  def test_a_weak_pack_is_offered_a_new_one
    assert_reads :replace, :battery_weak, { kind: :battery }, { state: "weak" }
    refute read({ kind: :battery }, { state: "weak" }).stop
  end

  # A high pitch is a blockage somewhere: nothing is done to the motor, and nothing charged for it.
  def test_a_high_pitch_is_no_work_on_the_motor
    assert_reads :leave, :motor_high_pitched, { kind: :motor }, { state: "high-pitched" }
  end

  def test_brush_with_gaps
    assert_reads :replace, :gaps, BRUSH, { standout_mm: 6, gaps: true }
  end

  def test_roll_worn_stalled_or_faulty
    assert_reads :replace, :roll_worn, { kind: :roll }, { turns: "free", bristles: "worn" }
    assert_reads :clean, :roll_drags, { kind: :roll }, { turns: "drags", bristles: "full", light: "shows a fault" }
    assert_reads :refer, :roll_light, { kind: :roll }, { turns: "free", light: "shows a fault" }
    assert_reads :clean, :roll_light_first, { kind: :roll }, { light: "shows a fault" }
    assert_reads :leave, :roll_full, { kind: :roll }, { bristles: "full" }
  end

  # A dock presses its bag together: the sheet's own line wins over the school's.
  def test_a_bag_with_a_line_of_its_own
    dock = { kind: :bag, measures: { "change_at_percent" => 90, "hygiene_days" => 120 } }

    assert_reads :leave, :bag_room_left, dock, { fill_percent: 89 }, fitted_on: MONDAY - 120, today: MONDAY
    assert_reads :replace, :bag_full, dock, { fill_percent: 90 }
    assert_equal %i[sheet shop], [dock, { kind: :bag }]
      .map { |place| read(place, { fill_percent: 95 }).reason.figures[:whose] }
    assert_reads :replace, :bag_stale, dock, { fill_percent: 10 }, fitted_on: MONDAY - 121, today: MONDAY
  end

  def test_haze_is_wear_and_is_left
    assert_reads :leave, :bin_hazed, { kind: :bin }, { haze: true, fill_percent: 65 }
    assert_reads :clean, :bin_full, { kind: :bin }, { haze: true, fill_percent: 66 }
  end

  PACK = { kind: :battery, measures: { "run_minutes" => 20, "run_minutes_full" => 7 } }.freeze

  # House rule: sixty percent. About 20 minutes and 6 to 7 at full power when new is common practice for small sticks.
  def test_battery_by_its_run_time
    assert_reads :leave, :pack_holds, PACK, { run_minutes: 12 }
    assert_reads :replace, :pack_tired, PACK, { run_minutes: 11.9 }
    assert_reads :leave, :pack_holds, PACK, { run_minutes: 12.1 }
    assert_reads :replace, :pack_tired, PACK, { run_minutes: 19, run_minutes_full: 4 }
    assert_equal({ share: 57, ran: 4, rated: 7, setting: :run_minutes_full, limit: 60 },
      read(PACK, { run_minutes: 19, run_minutes_full: 4 }).reason.figures)
    assert_reads :leave, :pack_holds, PACK, { run_minutes: 10 }, policy: Findings::Policy.new(battery_limit_percent: 50)
    assert_reads :refer, :battery_swollen, PACK, { run_minutes: 20, state: "swollen" }
    assert_reads :clean, :charges_badly, PACK, { state: "sound", charging: "flashes red" }
  end

  # House rule: what is full within two weeks does not last until anybody looks again.
  def test_a_bag_that_will_soon_be_full_is_changed_now
    bag = { kind: :bag, measures: { "hours_a_bag" => 10 } }
    reads = ->(fill) { read(bag, { fill_percent: fill }, hours_per_week: 2) }

    assert_equal [:replace, :bag_soon_full, 3],
      reads.call(45).then { |verdict| [verdict.kind, verdict.clause, verdict.reason.figures[:left_days]] }
    assert_equal 0, reads.call(49.9).reason.figures[:left_days]
    assert_equal :bag_room_left, reads.call(30).clause # (50 - 30) / 50 of ten hours at two a week: 14 days
    assert_equal :bag_room_left, read({ kind: :bag }, { fill_percent: 49 }).clause # nobody knows how fast it fills
  end

  CARBON = { kind: :carbon, measures: { "new_length_mm" => 30 } }.freeze

  # A third of the length when new, where the sheet gives no least length (house rule).
  def test_carbon_at_its_least
    assert_reads :replace, :carbon_short, CARBON, { length_mm: 10 }
    assert read(CARBON, { sparks: true }).stop
    refute read(CARBON, { length_mm: 10 }).stop
    assert_reads :replace, :carbon_short, CARBON, { length_mm: 9.9 }
    assert_reads :leave, :carbon_left, CARBON, { length_mm: 10.1 }
    assert_reads :replace, :carbon_short, { kind: :carbon, measures: { "least_length_mm" => 12 } }, { length_mm: 12 }
    assert_reads :leave, :carbon_unknown, { kind: :carbon }, { length_mm: 3 }
  end

  def test_a_seal_that_binds_by_school
    assert_reads :clean, :seal_binds, { kind: :seal }, { state: "binds" }
    assert_reads :clean, :seal_binds_silicone, { kind: :seal }, { state: "binds" },
      policy: Findings::Policy.new(seal_care: :silicone)
  end

  def test_a_pad_is_washed_where_it_may_be
    assert_reads :wash, :dirty_washable, { kind: :pad, water: :cold, drying_floor_hours: 12 }, { state: "dirty" }
    assert_reads :clean, :pad_dirty, { kind: :pad }, { state: "dirty" }
  end

  # The good word stands first, leaves the part alone, and is what "all the rest is fine" records.
  def test_the_first_word_of_every_list_is_the_good_one
    Kinds.all.each { |kind| assert_equal Kind::State::GOOD, kind.states.values.first, kind.key if kind.states_in }
    Kinds::ALL.each_key do |kind|
      fine = Findings.fine(position(kind: kind))

      unless fine.empty?
        assert_equal :leave, Findings::Read.new(position: position(kind: kind), observed: fine).call.kind, kind
      end
    end
  end

  def test_fields_are_asked_where_the_sheet_has_what_they_need
    refute_includes Findings.fields(position(kind: :roll)), :light
    assert_includes Findings.fields(position(kind: :roll, features: ["status_light"])), :light
    assert_includes Findings.fields(position(**PACK)), :run_minutes_full
    refute_includes Findings.fields(position(kind: :filter)), :indicator_percent
    assert_includes Findings.fields(position(tasks: [task(clock(:indicator, 100))])), :indicator_percent
  end

  def test_what_may_hurt_is_referred_and_stops
    [[:lead, "damaged"], [:battery, "swollen"], [:contacts, "burnt"], [:motor, "burnt smell"]].each do |kind, state|
      verdict = read({ kind: kind }, { state: state })

      assert_equal :refer, verdict.kind
      assert verdict.stop
    end
    refute read({ kind: :battery }, { state: "weak" }).stop
  end

  def test_every_word_of_every_choice_is_read
    Kinds::ALL.transform_values(&:fields).each do |kind, fields|
      fields.select { |_, field| field.type == :choice }.each do |name, field|
        field.options.each { |word| refute_nil read({ kind: kind }, { name => word }), "#{kind} #{word}" }
      end
    end
  end

  def test_a_run_time_without_a_rated_one_says_nothing
    assert_nil read({ kind: :battery }, { run_minutes: 20 })
    assert_reads :leave, :charges, { kind: :battery }, { charging: "steady" }
  end

  # No wear yet: nobody can say when it will be flush.
  def test_bristles_as_long_as_new_after_a_year
    assert_reads :leave, :proud, { kind: :brush, measures: { "new_standout_mm" => 8 } }, { standout_mm: 8 },
      fitted_on: MONDAY - 365, today: MONDAY
  end

  # A belt of NaN was "left, stretched NaN %".
  def test_what_cannot_be_is_refused
    [[:belt, :length_mm, Float::NAN], [:belt, :length_mm, Float::INFINITY], [:battery, :run_minutes, -40],
     [:bin, :fill_percent, -40], [:bag, :fill_percent, 101], [:brush, :standout_mm, 41], [:carbon, :length_mm, -1],
     [:bag, :fill_percent, "half"]].each do |kind, name, value|
      error = assert_raises(ArgumentError, "#{kind} #{value}") { read({ kind: kind }, { name => value }) }

      assert_match(/is a number from/, error.message)
    end
  end

  # By its fill it would last twenty weeks; after two months it smells.
  def test_a_bag_lasts_no_longer_than_hygiene_lets_it
    place = { kind: :bag, measures: { "hours_a_bag" => 20, "hygiene_days" => 120 } }
    left = ->(age) { read(place, { fill_percent: 0 }, hours_per_week: 1, today: MONDAY, fitted_on: MONDAY - age) }

    assert_equal [120, 20], [0, 100].map { |age| left.call(age).reason.figures[:left_days] }
    assert_equal 140, read(place, { fill_percent: 0 }, hours_per_week: 1).reason.figures[:left_days]
  end

  def test_what_may_be_recorded_of_a_field
    assert_equal [[true], [0, 1, 2, 3, 4, 5], %w[full worn missing]],
      [%i[filter torn], %i[filter grey], %i[roll bristles]]
        .map { |kind, name| Kinds.fetch(kind).fields.fetch(name).sample_values }
  end

  def test_types_of_fields_and_minutes_of_verdicts
    assert_equal %i[choice flag measure scale text],
      Kinds.all.flat_map { |kind| kind.fields.values }.map(&:type).uniq.sort
    assert_equal({ leave: 0, clean: 5, wash: 8, replace: 3, refer: 5 },
      Findings::VerdictKind::ALL.to_h { |kind| [kind.key, kind.minutes] })
    assert_equal %w[cleaned washed replaced referred] + (["looked at"] * 2),
      %w[clean wash replace refer leave inspect].map { |action| Findings::VerdictKind.past_of(action) }
  end

  def test_nothing_recorded_says_nothing
    assert_nil read(WASHABLE, {})
    assert_nil read(WASHABLE, { grey: nil, torn: false })
    assert_raises(ArgumentError) { read({ kind: :seal }, { grey: 1 }) }
  end
end
