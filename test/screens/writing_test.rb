# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# How the shop writes days, times and figures, on its pages, papers and cards.
class ShopWritingTest < DatabaseTest
  include AsStaff

  def keep(**rules)
    Services::SavePolicies.call(rules.transform_keys(&:to_s), by: owner, at: NOW)
  end

  def due
    @due ||= Models::Due.exclude(due_on: nil).where(due_on: (today + 400)..).first
  end

  def test_pages_follow_the_settings
    sign_in
    { "dmy" => "%-d %b %Y", "mdy" => "%b %-d, %Y", "ymd" => "%Y-%m-%d" }.each do |order, pattern|
      keep(date_order: order)
      get "/machines/#{due.machine_id}"

      assert_includes page, due.due_on.strftime(pattern), order
    end
    keep(clock: "12")
    get "/"

    assert_match(/\d:\d\d\u00A0[ap]m/, page)
    refute_match(/today \d\d:\d\d(?!\u00A0)/, page)
    assert_equal "24", Core::Units::Writing.now.clock, "and nothing of it is left when the request is over"
  end

  def test_sums_and_figures
    sign_in
    part = Models::Part.exclude(price_cents: 0).first
    keep(decimal_mark: "comma")
    get "/shelf/#{part.id}"

    assert_includes page, Services::Policies.now.currency.words(part.price_cents)
    assert_includes Services::Policies.now.currency.words(part.price_cents), ","
    get "/sheets/#{part.id && Models::Sheet.first.id}"

    assert_equal 200, status
    keep(decimal_mark: "point", currency: "EUR")

    assert_equal "€12.50", Services::Policies.now.currency.words(1250)
  end

  def test_the_week_of_the_settings
    sign_in
    { "mon" => %w[Monday Sunday], "sun" => %w[Sunday Saturday], "sat" => %w[Saturday Friday] }.each do |start, ends|
      keep(week_start: start)
      get "/settings"

      assert_equal ends, page.scan(%r{<th scope="row">(\w+day)</th>}).flatten.values_at(0, 6)
    end
  end

  def test_english_cards_have_the_month_first
    words = Services::Words.new.of("en")
    day = Date.new(2027, 4, 5)

    assert_equal ["Monday, 5 April", "5 April 2027"], [words.date(day), words.full_date(day)]
    Core::Units::Writing::HELD.during(-> { Core::Units::Writing.new(date_order: "mdy", clock: "12") }) do
      assert_equal ["Monday, April 5", "April 5, 2027"], [words.date(day), words.full_date(day)]
      assert_equal "Monday 8:30\u00A0am–12:00\u00A0pm", words.hours("mon" => { "08:30" => "12:00" })
      assert_equal "5. April 2027", Services::Words.new.of("de").full_date(day), "as the owner words it"
    end
  end

  # The same moment is another day in another zone, and opens at another hour.
  def test_the_zone_of_the_shop
    sign_in
    job = Models::Job.exclude(promise_at: nil).first
    %w[Pacific/Auckland America/Vancouver].each do |zone|
      submit "/settings/shop", shop_typed.merge("time_zone" => zone), from: "/settings/shop"

      assert_equal 303, status
      get "/jobs/#{job.number}/history"
      local = TZInfo::Timezone.get(zone).to_local(job.taken_in_at)

      assert_includes page, local.strftime("%H:%M"), zone
      Services::WaysOfTheShop.during do
        assert_equal zone, Config::Zone.name
        assert_equal zone, Services::Policies.now.schedule.open_from(NOW).then { Config::Zone.zone.name }
      end
    end
    submit "/settings/shop", shop_typed.merge("time_zone" => "Moon/Tycho"), from: "/settings/shop"

    assert_equal 422, status
  end

  def shop_typed
    Screens::Settings::ShopForm.typed_from(Models::Shop.the).transform_values(&:to_s)
  end

  # Whatever the shop writes, both marks are understood; what is no number is still none.
  def test_decimals_are_typed_with_either_mark
    form = Class.new(Screens::Form) { takes { params { required(:share).filled(:float, lteq?: 50) } } }

    { "2,5" => 2.5, "2.5" => 2.5, "3" => 3.0 }.each do |typed, value|
      assert_in_delta value, form.new("share" => typed).values[:share]
    end
    ["1,2,3", "x", "99,5"].each { |typed| assert_equal [:share], form.new("share" => typed).errors.keys, typed }
    sign_in
    typed = Screens::Settings::SettingsForm.typed_from(Services::Policies.now)
    submit "/settings", typed.merge("part_tax_percent" => "19,5"), from: "/settings"

    assert_in_delta 19.5, Services::Policies.now["part_tax_percent"]
  end

  # A sheet of labels that was begun: each of its labels can be the first.
  def test_labels_on_sheets
    sign_in
    part = Models::Part.first
    get "/shelf/#{part.id}"

    refute_match(/Part-used sheet/, page)
    keep(labels: "a4_3x7", tags: "letter_2x5")
    get "/shelf/#{part.id}"

    assert_equal 21, page.scan(/aria-label="Begin at label \d+"/).size
    get "/shelf/labels.pdf?part=#{part.id}&first=21"

    assert_equal [1, [595, 842]],
      [page.scan(%r{/Type /Page\b}).size, page[/MediaBox \[0 0 ([\d. ]+)\]/, 1].split.map { |side| side.to_f.round }]
    %w[0 -3 99999 x].each do |first|
      get "/shelf/labels.pdf?part=#{part.id}&first=#{first}"

      assert_equal 200, status, first
    end
  end
end
