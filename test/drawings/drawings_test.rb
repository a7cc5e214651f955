# frozen_string_literal: true

require "nokogiri"
require_relative "../test_helper"

# Drawings are well-formed, say what they show, and carry no looks of their own.
class DrawingsTest < AppTest
  def core(file)
    Core::Sheets::Parse.new(JSON.parse(File.read(File.join(TestDatabase::ROOT, "demo/sheets/#{file}.json")))).call
  end

  def read(svg)
    Nokogiri::XML("<all>#{svg}</all>", &:strict)
  end

  def test_the_ribbon_shows_every_place_once_in_both_forms_in_walking_order
    Dir[File.join(TestDatabase::ROOT, "demo/sheets/*.json")].each do |file|
      sheet = core(File.basename(file, ".json"))
      drawn = read(Drawings::Ribbon.new(sheet: sheet, link: ->(key) { "/at/#{key}" }).render)
      forms = drawn.xpath("//svg").map { |svg| svg.xpath(".//a").map { |link| link["data-position"] } }

      assert_equal [sheet.walk.map(&:key)] * 2, forms
    end
  end

  def test_the_ribbon_marks_what_was_found_and_what_is_in_hand
    svg = Drawings::Ribbon.new(sheet: core("hallmoor-dart-m"), marks: { "roll" => :replace },
      notes: { "roll" => "worn <out>" }, current: "roll", link: ->(key) { key }).draw(Drawings::Ribbon::WIDE, "x")
    link = read(svg).at_xpath("//a[@data-position='roll']")

    assert_equal ["R Brush roll: worn <out>", "true"], [link["aria-label"], link["aria-current"]]
    assert_includes link["class"], "mark-replace"
  end

  def test_nothing_drawn_lies_outside_the_picture
    drawn = read(Drawings::Ribbon.new(sheet: core("ostrel-stride-36")).render)
    drawn.xpath("//svg").each do |svg|
      width = svg["viewBox"].split[2].to_f

      svg.xpath(".//circle").each { |circle| assert_includes 0..width, circle["cx"].to_f }
    end
  end

  def test_no_drawing_brings_a_style
    policy = Core::Findings::Policy.new
    place = core("ostrel-stride-36").position("brush-front")
    drawings = [Drawings::Mark.image(:wash), Drawings::RackClock.new(share: 0.5, label: "wet").render,
                Drawings::Horizon.new(Array.new(3) do |week|
                  { label: nil, count: week, overdue: week.zero?, href: "/cards", words: "x", chosen: week == 1 }
                end).render,
                years, Drawings::Gauge.new(position: place, observed: { standout_mm: 3 }, policy: policy).render]
    drawings.each do |svg|
      read(svg)

      refute_match(/style=|fill="#|on\w+=/, svg)
      assert_match(/<title>|aria-label/, svg)
    end
  end

  def years
    lane = Drawings::Years::Lane.new(name: "Motor filter",
      fitted: [[nil, Date.new(2024, 5, 1)], [Date.new(2024, 5, 1), nil]], done: [[Date.new(2025, 1, 2), "wash done"]],
      found: [[Date.new(2025, 1, 1), "found: grey <5>"]],
      due: [Date.new(2026, 5, 1), Date.new(2026, 4, 1), Date.new(2039, 1, 1), "replace due"])
    Drawings::Years.new(lanes: [lane, lane], jobs: [Date.new(2024, 5, 1), Date.new(2025, 1, 1)],
      today: Date.new(2026, 3, 2)).render
  end

  # From the first date to the last, and no further than the drawing is wide.
  def test_the_years_keep_their_order_and_stay_on_the_line
    wide = years.scan(%r{<svg.*?</svg>}m).first
    svg = read(wide)
    now = svg.at_xpath(".//line[@class='now-line']")["x1"].to_f
    boxes = svg.xpath(".//rect").map { |rect| [rect["x"].to_f, rect["x"].to_f + rect["width"].to_f] }

    boxes.flatten.each { |x| assert_includes 0..1200, x }
    assert_operator svg.at_xpath(".//rect[@class='due-box']")["x"].to_f, :>, now
    assert_in_delta now, svg.xpath(".//rect[@class='fitted-bar']")
      .first.then { |bar| bar["x"].to_f + bar["width"].to_f }, 0.2
  end

  # The bristles end where they were measured: 4 px a millimetre below the bars.
  def test_the_brush_gauge_is_to_scale
    place = core("ostrel-stride-36").position("brush-front")
    ends = [8, 3, 0].map do |mm|
      svg = Drawings::Gauge.new(position: place, observed: { standout_mm: mm }, policy: Core::Findings::Policy.new)
        .render
      read(svg).at_xpath("//line[@class='bristle']")["y2"].to_f
    end

    assert_equal [44 + 32, 44 + 12, 44], ends
  end

  def test_the_bench_ruler_puts_noon_in_the_middle_and_late_promises_to_the_edge
    nine = Time.utc(2026, 3, 2, 9)
    ruler = Drawings::BenchRuler.new(open: [[nine, nine + (6 * 3600)]], now: nine + 3600, zone: ->(time) { time })
    row = Core::Bench::Row.new(number: 1, stretches: [Core::Bench::Row::Stretch.new(kind: :hands_on,
      from: nine + (3 * 3600), to: nine + (4 * 3600))],
      ready_at: nine + (4 * 3600), promise_at: nine - 86_400)
    svg = ruler.row(row)

    assert_equal Drawings::BenchRuler::WIDTH / 2.0, read(svg).at_xpath("//rect[@class='hands-on']")["x"].to_f
    assert_match(/, 1 d 4 h late/, svg)
    assert_match(/would be 2 h late/, ruler.row(row.with(promise_at: nine + (2 * 3600))))
    refute_match(/late/, ruler.row(row.with(promise_at: nine + (5 * 3600))))
    assert_equal 6, read(ruler.head).xpath("//text").size - 1
  end

  # Before the work an open ring, after it a filled one, further along the line.
  def test_before_and_after
    drawn = Drawings::BeforeAfter.new(0.5, 1.4).render
    before, after = drawn.scan(/cx="([\d.]+)"/).flatten.map(&:to_f)

    assert_match(/50 % before the work, 140 % after it/, drawn)
    assert_operator before, :<, after
    assert_operator after, :<=, Drawings::BeforeAfter::WIDTH, "it stays in the picture"
  end

  def test_a_step_and_its_screws
    fastener = Core::Sheets::Fastener.new(count: 3, driver: "T8", length_mm: 8, diameter_mm: 2.5,
      at: [[10, 20], [90, 5]])
    step = Core::Sheets::Step.new(key: "lid", name: "Lift the lid", fasteners: [fastener])
    drawn = Drawings::StepPlan.new(step, edited: true).render
    side = Drawings::HeldSide.new(fastener).render

    assert_equal 2, drawn.scan("data-row=\"0\"").size
    assert_match(/T8, 2 of 3: move it with the arrow keys/, drawn)
    assert_equal 3, side.scan('height="8"').size, "each as long as it is"
    assert_match(/width="[\d.]+mm"/, side)
    assert_empty Drawings::HeldSide.new(fastener, count: 0).render
  end
end
