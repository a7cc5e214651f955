# frozen_string_literal: true

# Sheets that nobody would draw: steps at random, places that several open, orders of refitting as far as they make no
# loop.
module RandomSheets
  Core = UprightBench::Core

  module_function

  # @param random [Random]
  # @param most [Integer] steps
  # @return [Core::Sheets::Sheet]
  def of(random, most: 12)
    places = Array.new(random.rand(2..most)) { |index| "p#{index}" }
    steps = steps(random, places, random.rand(1..most))
    built(places.map { |key| place(random, key, places) }, steps)
  rescue Core::Sheets::Invalid
    built(places.map { |key| plain(key) }, steps.map { |step| step.with(refit_before: []) })
  end

  # @return [Array<String>] places to be worked at, in an order of their own
  def wanted(random, sheet)
    sheet.positions.map(&:key).sample(random.rand(1..sheet.positions.size), random: random)
  end

  def built(places, steps)
    Core::Sheets::Sheet.new(maker: "M", model: "N", kind: :stick, family: "F", body_style: "B", power: :battery,
      warranty_months: 0, positions: places, steps: steps,
      stations: %w[head tail].map { |key| Core::Sheets::Station.new(key: key, name: key) })
  end

  def plain(key, **more)
    Core::Sheets::Position.new(key: key, name: key, station: "head", kind: :filter, **more)
  end

  def place(random, key, places)
    plain(key, refit_before: random.rand < 0.15 ? [places.sample(random: random)] - [key] : [])
  end

  # A step comes after earlier ones only, opens any place, and takes off one that it opens.
  def steps(random, places, count)
    left = places.dup
    Array.new(count) do |index|
      opens = places.sample(random.rand(0..2), random: random)
      off = random.rand < 0.5 ? opens & left : []
      left -= off.first(1)
      Core::Sheets::Step.new(key: "s#{index}", name: "step #{index}", opens: opens, takes_off: off.first(1),
        after: Array.new(index) { |before| "s#{before}" }.sample(random.rand(0..2), random: random),
        minutes: random.rand(1..6), beyond_handbook: random.rand < 0.2,
        refit_before: random.rand < 0.2 && index.positive? ? ["s#{random.rand(index)}"] : [],
        fasteners: fasteners(random))
    end
  end

  def fasteners(random)
    Array.new(random.rand(0..2)) do
      Core::Sheets::Fastener.new(count: random.rand(1..5), driver: "T8", kind: %w[screw lug].sample(random: random))
    end
  end
end
