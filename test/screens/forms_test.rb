# frozen_string_literal: true

require_relative "../test_helper"

# Forms at the edge: what is typed becomes a value or a sentence beside its field.
class FormsTest < AppTest
  def take_in_form(**fields)
    known = { "request_key" => SecureRandom.uuid, "machine_id" => "1", "complaint" => "weak", "made_safe" => "1",
              "no_condition" => "1" }
    Screens::TakeIn::TakeInForm.new(known.merge(fields.transform_keys(&:to_s)))
  end

  def finding(title, position, typed)
    core = Core::Sheets::Parse.new(JSON.parse(File.read(File.join(TestDatabase::ROOT, "demo/sheets/#{title}.json"))))
      .call
    Screens::LookOver::FindingForm.new({ "version" => "0" }.merge(typed), core.position(position),
      Core::Findings::Policy.new)
  end

  def test_a_known_machine_needs_no_customer
    assert_predicate take_in_form, :ok?
    assert_equal [{ hours_per_week: nil, traits: [], allergy: false }],
      [take_in_form.input[:use].transform_values { |value| value.is_a?(Array) ? value.to_a : value }]
  end

  def test_what_was_typed_is_kept_as_typed
    form = take_in_form(hours_per_week: " 3x ")

    assert_equal [" 3x ", ["must be a number"]], [form.value(:hours_per_week), form.errors_at(:hours_per_week)]
    assert_nil form.value(:customer, :name)
    assert_empty form.errors_at(:customer, :name)
  end

  def test_a_blank_form_complains_of_nothing
    assert_empty Screens::TakeIn::TakeInForm.blank.errors
  end

  def test_unreadable_signs_are_pointed_at_however_deep
    form = Screens::TakeIn::TakeInForm.new({ "customer" => { "name" => "caf\uFFFD" } })

    assert_match(/could not be read/, form.errors_at(:customer, :name).first)
  end

  def test_email_addresses
    { "a@example.org" => true, "a b@example.org" => false, "a@b" => false, "<a@example.org>" => false,
      "a@example.org\nbcc: b@example.org" => false }.each do |address, good|
      form = Screens::Customers::CustomerForm.new({ "lock_version" => "0", "name" => "A", "email" => address })

      assert_equal good, form.ok?, address
    end
  end

  def test_findings_by_the_cores_own_table
    assert_equal({ grey: 4, torn: true }, finding("hallmoor-dart-m", "pre-filter",
      { "grey" => "4", "torn" => "true", "smell" => "" }).finding[:observed])
    assert_equal({ standout_mm: 3.5 }, finding("ostrel-stride-36", "brush-front", { "standout_mm" => "3,5" })
      .finding[:observed])
    assert_equal({ standout_mm: 4 }, finding("ostrel-stride-36", "brush-front", { "standout_mm" => "4.0" })
      .finding[:observed])
    assert_equal [nil, :wash],
      [finding("hallmoor-dart-m", "roll", { "turns" => "" }).finding[:observed][:turns],
       finding("hallmoor-dart-m", "pre-filter", { "verdict" => "wash" }).finding[:verdict]]
  end

  def test_findings_that_cannot_be
    { "grey" => "6", "verdict" => "burn", "version" => "-1", "indicator_percent" => "101" }.each do |name, typed|
      refute_predicate finding("hallmoor-dart-m", "pre-filter", { name => typed }), :ok?, name
    end
    refute_predicate finding("hallmoor-dart-m", "bin-seal", { "state" => "melted" }), :ok?
  end

  # Every field of every kind of part comes through the form as the core's readers take it.
  def test_every_field_of_every_kind
    Core::Kinds::ALL.transform_values(&:fields).each do |kind, fields|
      place = Core::Sheets::Position.new(key: "p", name: "P", station: "s", kind: kind)
      typed = fields.to_h { |name, field| [name.to_s, sample(field)] }
      form = Screens::LookOver::FindingForm.new(typed.merge("version" => "0"), place, Core::Findings::Policy.new)

      assert_predicate form, :ok?, "#{kind}: #{form.errors}"
      refute_nil Core::Findings::Read.new(position: place, observed: form.finding[:observed]).call, kind
    end
  end

  def test_opening_hours_are_read_from_their_fields
    day = lambda { |*pairs|
      { "mon" => pairs.each_with_index.to_h { |(from, to), index| [index.to_s, { "from" => from, "to" => to }] } }
    }
    fields = Screens::Settings::HoursFields

    assert_equal({ "mon" => { "08:30" => "12:30", "13:00" => "24:00" } },
      fields.read(day.call(["8:30", "12:30"], ["13:00", "00:00"], ["", ""])))
    assert_empty fields.problems(day.call(["08:30", "12:30"], ["12:30", "17:00"]))
    [[["late", "12:00"]], [["08:30", ""]], [["12:00", "08:00"]], [["25:00", "26:00"]],
     [["08:00", "12:00"], ["11:00", "13:00"]]].each do |pairs|
      assert_equal [:hours_mon], fields.problems(day.call(*pairs)).keys, pairs.inspect
    end
    ["x", nil, { "mon" => "x" }, { "mon" => { "0" => "x" } }].each { |typed| assert_empty fields.read(typed) }
  end

  def test_closed_days_are_read_from_their_fields
    fields = Screens::Settings::ClosedDayFields

    assert_equal %w[2026-12-24 2027-01-01], fields.read({ "0" => { "on" => "2027-01-01" },
      "1" => { "on" => "2026-12-24" }, "2" => { "on" => "" } }).map { |day| day.on.iso8601 }
    assert_equal [:closed_days], fields.problems({ "0" => { "on" => "2026-02-30" } }).keys
    assert_equal [:closed_days], fields.problems({ "0" => { "on" => "2026-02-03", "name" => "x" * 61 } }).keys
  end

  def test_every_policy_survives_the_form
    stored = { "closed_days" => [{ "on" => "2026-12-24", "name" => "Lantern Eve", "yearly" => true }],
               "drying_temperature_c" => 19.5 }
    typed = Screens::Settings::SettingsForm.typed_from(Services::Policies.new(stored))
    policies = Services::Policies.new(Screens::Settings::SettingsForm.new(typed).policies)

    Core::Policies::Table.numbers.each do |rule|
      assert_equal typed.fetch(rule.key).to_s,
        policies[rule.key]&.then { |number| format("%g", number) }.to_s, rule.key
    end
    assert_equal [stored["closed_days"], Core::Policies::Week::OPEN_HOURS],
      [policies.closed_days.map(&:to_stored), policies.open_hours]
  end

  private

  def sample(field)
    field.sample_values.last.to_s
  end
end
