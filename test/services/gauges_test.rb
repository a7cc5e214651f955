# frozen_string_literal: true

require_relative "../test_helper"

# Gauges on file, what their readers hand on, and readings that a gauge says itself.
class GaugesOnFileTest < DatabaseTest
  FIELDS = { name: "Bench gauge two", pattern: "{value} {unit}", unit: nil, error_percent: 1.5 }.freeze

  def setup
    @gauge, @token = Services::KeepGauge.add(FIELDS, by: owner, at: NOW)
  end

  def job
    @job ||= Models::Job.where(state: "taken_in").order(:id).first
  end

  def hear(*lines, at: NOW, token: @token)
    Services::HearGauge.call(token, lines.map { |ago, text| "#{ago} #{text}\n" }.join, at: at)
  end

  def now(at = NOW, since: nil)
    Queries::GaugeNow.of(@gauge.id, at: at, since: since)
  end

  def test_what_a_gauge_shows_and_on_what_it_comes_to_rest
    assert_predicate now, :silent?
    hear(*(0..12).map { |step| [step * 200, "-#{12.3 + (step % 2 * 0.1)} kPa"] })

    assert_in_delta 12.35, now.steady, 0.05
    assert_equal [12.3, :pressure], [now.last.value, now.last.what]
    assert_nil now(since: NOW - 1).steady, "until then it was held elsewhere"
    assert now(since: NOW - 2.3).steady
    hear([0, "OL"])

    assert_equal ["OL", false], @gauge.stream.refresh.values.values_at(:last_line, :understood)
    assert_predicate now(NOW + 10), :silent?
    assert_nil now(NOW + 10).steady, "what is long past is no rest"
  end

  # What a scale sends to a suction gauge is refused, and breaks nothing that was kept of it before.
  def test_a_quantity_that_it_is_not_for
    hear(*(0..12).map { |step| [step * 200, "182.5 g"] })

    assert_equal ["182.5 g", false], @gauge.stream.refresh.values.values_at(:last_line, :understood)
    assert_predicate now, :silent?
    kept = Array.new(13) { |step| [NOW.to_f - (step * 0.2), 182.5, "mass", false] }
    @gauge.stream.update(shown: Sequel.pg_jsonb(kept))

    assert_nil now.steady
    assert_nil now.last
  end

  def test_nobody_is_heard_without_its_token
    [nil, "", "x" * 43, @gauge.token_digest].each { |token| assert_nil hear([0, "1 kPa"], token: token.to_s) }
    Services::KeepGauge.put_away(@gauge.id, by: owner, at: NOW)

    assert_nil hear([0, "1 kPa"])
    assert_nil @gauge.stream.refresh.heard_at
  end

  def test_what_means_nothing_is_left_aside_and_nothing_grows
    Services::HearGauge.call(@token, "#{"junk\n" * 500}\xff\xfe 3\n", at: NOW)

    assert_nil @gauge.stream.refresh.heard_at
    20.times { |step| hear(*Array.new(80) { |line| [line, "#{line} kPa"] }, at: NOW + step) }

    assert_operator @gauge.stream.refresh.shown.to_a.size, :<=, 7 * Services::HearGauge::MOST_LINES
  end

  def test_it_is_told_where_it_is_held_and_forgets_it
    point = job.sheet.stations.first.key
    Services::HoldGauge.call(@gauge, job, point: point, kind: "flow", at: NOW)

    assert_equal({ job: job.number, model: job.sheet.title, point: point, kind: "flow", exhaust_off: false,
                   worked: false }, hear([0, "1 kPa"]))
    assert_empty hear([0, "1 kPa"], at: NOW + 10)
    Services::HoldGauge.call(@gauge, job, point: "moon", kind: "flow", at: NOW + 20)

    assert_empty hear([0, "1 kPa"], at: NOW + 20)
  end

  def test_a_reading_that_the_gauge_says_itself_has_its_error
    row = Services::TakeReading.call(job.number, point: job.sheet.stations.first.key, kind: "sealed", text: "12 kPa",
      gauge_id: @gauge.id, by: technician, at: NOW)

    assert_equal [@gauge.id, 1.5], [row.gauge_id, row.error_percent]
  end

  def test_kept_changed_and_put_away_by_who_may
    { { pattern: "kPa" } => :pattern, { pattern: "{value}" } => :pattern, { name: "BENCH GAUGE TWO" } => :name }
      .each do |wrong, field|
      error = assert_raises(Services::Invalid) do
        DB.transaction(savepoint: true) { Services::KeepGauge.add(FIELDS.merge(wrong), by: owner, at: NOW) }
      end

      assert_equal [field], error.errors.keys
    end
    assert_raises(Services::Forbidden) { Services::KeepGauge.add(FIELDS, by: technician, at: NOW) }
    assert_raises(Services::Forbidden) { Services::KeepGauge.put_away(@gauge.id, by: technician, at: NOW) }
    Services::KeepGauge.change(@gauge.id, FIELDS.merge(name: "Old faithful"), by: owner, at: NOW)

    assert_equal "Old faithful", @gauge.refresh.name
    Services::KeepGauge.put_away(@gauge.id, by: owner, at: NOW)
    assert_raises(Services::NotFound) { Services::KeepGauge.put_away(@gauge.id, by: owner, at: NOW) }
  end
end
