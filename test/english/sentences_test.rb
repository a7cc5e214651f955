# frozen_string_literal: true

require "json"
require_relative "../core_helper"

class SentencesTest < CoreTest
  Sentences = UprightBench::English::Sentences

  def say(key, unit: :mm, **figures)
    Sentences.of(Reason.of(key, **figures), unit: unit)
  end

  CLOCK = { from_on: MONDAY, until_on: MONDAY + 350 }.freeze

  def test_why_a_date_is_as_it_is
    { say(:after_hours, hours: 50, rate: 1.5, **CLOCK) => "50 h of use from 2 Mar 2026 at 1.5 h a week: 15 Feb 2027",
      say(:after_months, months: 1, household: 0.75, traits: %i[pets dust], **CLOCK) =>
        "1 month × 0.75 (pets that shed, building dust) from 2 Mar 2026: 15 Feb 2027",
      say(:after_bags, bags: 4, counted: 1, personal: 1.34, gone: :further, jobs: 2, **CLOCK) =>
        "4 bags (1 so far) ÷ 1.34 (found further gone than expected in 2 jobs) from 2 Mar 2026: 15 Feb 2027",
      say(:at_full_indicator, percent: 50, read_on: MONDAY, **CLOCK) =>
        "the indicator full from 2 Mar 2026, 50 % on 2 Mar 2026: 15 Feb 2027" }
      .each { |sentence, words| assert_equal words, sentence }
  end

  def test_lengths_are_said_in_the_shops_unit
    assert_equal "Bristles stand 4 mm proud of the guide bars; set the height dial to 3.",
      say(:proud, proud_mm: 4, dial: 3)
    assert_equal "Bristles stand 0.157 in proud of the guide bars.", say(:proud, unit: :inch, proud_mm: 4)
  end

  def test_when_a_job_is_ready_is_said_in_hours_where_it_takes_hours
    assert_equal "44 min of work, 3 days until the parts are there, 15 min to refit and test, 11 h in case something " \
                 "takes longer (holds 90 times in 100)",
      say(:ready_by, work_minutes: 44, lead_days: 3, refit_minutes: 15, spare_minutes: 660, share: 90)
  end

  def test_why_a_part_fits_or_does_not
    listed = Reason.of(:listed, family: "Loft", body_style: "K", place: "cassette")

    assert_equal "takes the place of Belt 332 (B-1), 2 steps on, listed for the Loft family, body style K, cassette",
      say(:successor, part: "Belt 332", number: "B-1", steps: 2, listed: listed)
    assert_equal "holds 4 bags and 1 filter", say(:holds, contents: [Reason.of(:box_piece, pieces: 4, kind: "bags"),
                                                                     Reason.of(:box_piece, pieces: 1, kind: "filter")])
    assert_equal "width 11 mm, 1 mm more than here (0.5 mm allowed)",
      say(:too_large, side: "width", had: 11.0, off: 1.0, allowed: 0.5)
    assert_equal "fits serial numbers up to BK-20000; this one is BK-20500",
      say(:other_serial_number, serial_to: "BK-20000", serial_number: "BK-20500")
    assert_equal "none free on the shelf (1 reserved for others), 9 days to come",
      say(:none_free_on_shelf, reserved: 1, lead_days: 9)
  end

  def test_a_judgement_keeps_what_the_rule_says
    rule = Reason.of(:tap_out, grey: 2)

    assert_equal "Marked by Ines. The rule says clean: Grey 2 of 5: tap it out, no water needed.",
      say(:own_verdict, name: "Ines", kind: :clean, rule: rule)
    assert_equal "Marked by Ines.", say(:own_verdict, name: "Ines")
  end

  def test_a_whole_text_that_lacks_a_figure_is_refused
    assert_raises(KeyError) { say(:bin_full, fill: 90) }
    assert_raises(KeyError) { say(:no_such_reason) }
  end

  # What was kept as JSON is the same reason afterwards, and says the same.
  def test_a_kept_reason_says_the_same
    reason = Reason.of(:own_verdict, name: "Ines", kind: :replace,
      rule: Reason.of(:flush_before_next_service, left_mm: 2.5, flush_on: MONDAY))
    kept = Reason.stored(JSON.parse(JSON.generate(reason.to_stored)))

    assert_equal Sentences.of(reason), Sentences.of(kept)
    assert_equal MONDAY, kept.figures[:rule].figures[:flush_on]
  end

  # Every reason that the core can give has its sentence, and no sentence is for a reason that it never gives.
  def test_every_reason_has_a_sentence
    given = Dir[File.join(CoreAlone::ROOT, "core/**/*.rb"), File.join(CoreAlone::ROOT, "services/**/*.rb")]
      .flat_map { |file| keys_in(File.read(file)) }
    states = Kinds.all.flat_map { |kind| kind.states.keys.map { |state| :"#{kind.key}_#{state.tr(' -', '_')}" } }

    assert_empty (given + states).uniq - Sentences::TEXTS.keys
    assert_empty Sentences::TEXTS.keys - given - states - %i[written]
  end

  # A customer is not told what the technician should do about it.
  def test_what_a_customer_reads_says_what_was_found
    to_customers = UprightBench::English::ToCustomers

    assert_equal "Very dark: little air gets through.", to_customers.of(Reason.of(:dark_unknown))
    assert_equal "1 mm left, 3 mm is the least.", to_customers.of(Reason.of(:carbon_short, left_mm: 1, least_mm: 3))
    assert_equal "90 % full; we change it at 50 %: suction falls as it fills. Smells.",
      to_customers.of(Reason.of(:several_found, second: Reason.of(:smells_here),
        first: Reason.of(:bag_full, fill: 90, limit: 50, whose: "shop")))
  end

  def test_what_a_customer_reads_is_of_reasons_that_there_are_with_their_figures
    UprightBench::English::ToCustomers::TEXTS.each do |key, text|
      assert_empty Sentences.names(text) - Sentences.names(Array(Sentences::TEXTS.fetch(key)).join), key
    end
  end

  # Whatever is found at whatever place, it is said whole.
  def test_whatever_is_found_is_said_whole
    for_all(times: 300) do |random|
      kind = Kinds::ALL.keys.sample(random: random)
      place = position(kind: kind, measures: MEASURES, tap_out: random.rand < 0.5, **water(kind, random))
      verdict = Findings::Read.new(position: place, observed: seen(kind, random), background: BACKGROUND).call
      sentence = verdict ? Sentences.of(verdict.reason) : "Nothing."

      assert_match(/\A[A-Z0-9-].*\.\z/, sentence)
      refute_match(/[{}]|\d\.\d{4}/, sentence)
    end
  end

  MEASURES = { "new_standout_mm" => 8, "length_mm" => 332, "hours_a_bag" => 13, "new_length_mm" => 30,
               "run_minutes" => 40, "dial_settings" => 4 }.freeze
  BACKGROUND = Findings::Background.new(wash_count: 1, fitted_on: MONDAY - 100, today: MONDAY, hours_per_week: 2)

  private

  # Reasons are named where they are made: `Reason.of(:key`, `Reason.of(this ? :key : :other`, `say(:verdict, :key`;
  # those of clocks by their `reason_key`.
  def keys_in(code)
    named = code.scan(/Reason\.of\(([^,\n]*)/).flatten.flat_map { |text| text.scan(/:(\w+)/) }
    said = code.scan(/say\(:\w+, :(\w+)/)
    clocks = code.scan(/def reason_key\n\s+:(\w+)/)
    [*named, *said, *clocks].flatten.map(&:to_sym) + counted(code)
  end

  def counted(code)
    code.include?("after_\#{of}") ? Clocks::Kinds::Count::COUNTED.map { |of| :"after_#{of}" } : []
  end

  def water(kind, random)
    kind == :filter && random.rand < 0.5 ? { water: :cold, drying_floor_hours: 24 } : {}
  end

  def seen(kind, random)
    Kinds.fetch(kind).fields.transform_values { |field| field.sample_values.sample(random: random) }
      .select { random.rand < 0.5 }
  end
end
