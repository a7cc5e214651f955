# frozen_string_literal: true

require "json"

# Findings at places of every kind, drawn from a seed: the same whatever the tables of the kinds say, since what may be
# drawn stands in a file of its own.
class RandomFindings
  VOCABULARY = JSON.parse(File.read(File.expand_path("../kinds/drawn_from.json", __dir__)))
  ANYWHERE = %w[dirty smell wet cracked foreign note].freeze
  # Draws a kind the more often, the more fields of its own it has: its readers combine them.
  KINDS = VOCABULARY.flat_map { |kind, drawn| [kind] * ((drawn.fetch("fields").keys - ANYWHERE).size**2) }.freeze
  TODAY = Date.new(2026, 10, 15)
  Core = UprightBench::Core

  def initialize(seed)
    @random = Random.new(seed)
  end

  # @return [Hash] place, observed and background of a finding
  def one
    kind = KINDS.sample(random: @random)
    place = place(kind)
    { place: place, observed: observed(VOCABULARY.fetch(kind).fetch("fields"), place.measures),
      background: background }
  end

  private

  def place(kind)
    drawn = VOCABULARY.fetch(kind)
    water = drawn.fetch("never_wetted") ? :never : %i[never cold lukewarm unknown].sample(random: @random)
    Core::Sheets::Position.new(key: "place", name: "The #{kind.tr('_', ' ')}", station: "head", kind: kind.to_sym,
      water: water, drying_floor_hours: (rand(4..48) if %i[cold lukewarm].include?(water)),
      tap_out: chance(0.4), blow_out: chance(0.2), features: chance(0.4) ? %w[status_light] : [],
      measures: measures(drawn.fetch("measures")), tasks: tasks, minutes: rand(1..12))
  end

  def measures(known)
    sides = { "diameter_mm" => 20..400, "height_mm" => 10..400 }.select { chance(0.15) }
      .transform_values { |range| @random.rand(range) }
    sides.merge(known.select { chance(0.6) }.transform_values { |least, most| rand(least..most) })
  end

  def tasks
    %i[clean wash replace inspect].select { chance(0.4) }.map do |action|
      clock = Core::Clocks::Clock.of(kind: chance(0.3) ? :indicator : :months, limit: rand(1..24))
      Core::Clocks::Task.new(key: action.to_s, action: action, clocks: [clock])
    end
  end

  # Most findings say one or two things, some say many and some nothing.
  def observed(fields, measures)
    share = [0.0, 0.2, 0.2, 0.4, 0.8].sample(random: @random)
    own, anywhere = fields.partition { |name, _| !ANYWHERE.include?(name) }
    chosen = [*(own.sample(1, random: @random) if chance(0.8)), *own.select { chance(share) },
              *anywhere.select { chance(share / 4) }]
    chosen.to_h { |name, values| [name.to_sym, value(values, measures.values_at(name, "new_#{name}").compact.first)] }
  end

  def value(values, nominal)
    return values.sample(random: @random) if values.is_a?(Array)

    least, most = values.values_at("least", "most")
    return [least, most].sample(random: @random) if chance(0.1)

    number = @random.rand(nominal && chance(0.7) ? (nominal * 0.4)..(nominal * 1.1) : least.to_f..most)
    (chance(0.5) ? number.round : number.round(1)).clamp(least, most)
  end

  def background
    Core::Findings::Background.new(policy: policy, wash_count: rand(0..12), today: TODAY,
      fitted_on: (TODAY - rand(0..1500) if chance(0.6)),
      hours_per_week: ([0.5, 2, 7.5].sample(random: @random) if chance(0.6)))
  end

  def policy
    Core::Findings::Policy.new(belt_stretch_percent: [2.0, 3.0, 5.0].sample(random: @random),
      service_interval_days: [180, 365].sample(random: @random), seal_care: %i[dry silicone].sample(random: @random),
      length_unit: %i[mm inch].sample(random: @random), bag_limit_percent: [70, 80, 90].sample(random: @random),
      bin_limit_percent: [50, 80].sample(random: @random), washes_in_a_life: [4, 10].sample(random: @random),
      battery_limit_percent: [50, 60, 70].sample(random: @random))
  end

  def rand(range)
    @random.rand(range)
  end

  def chance(share)
    @random.rand < share
  end
end
