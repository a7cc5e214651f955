# frozen_string_literal: true

# Group: slow (every route as every role)

require_relative "../test_helper"
require_relative "../support/as_staff"

# Every closed route, as every role, against the table of permissions; and the table as the owner changes it.
class RolesTest < DatabaseTest
  include AsStaff

  ROLES = Core::Access::Roles::ALL
  # Routes behind which the service asks for more than the door: of a full sheet, and of what a step of a job is.
  DEEPER = %r{\A/(?:drafts|sheets|jobs/[^/]+/[^/]+)}
  PHRASE = "seven grey gulls at noon"

  def self.doors
    Screens::App.doors.reject(&:open)
  end

  def setup
    Models::Person.create(name: "Only Looks", email: "looks@example.org", role: "look_only", created_at: NOW,
      password_hash: owner.password_hash)
    @people = ROLES.to_h { |role| [role, Models::Person.may_sign_in.first(role: role)] }
  end

  def real
    { "number" => Models::Job.in_shop.get(:number), "id" => 1, "stay" => 1, "position" => "pre-filter",
      "task" => "wash", "station" => "pre", "key" => "pre-filter", "size" => "small", "supplier" => 1, "customer" => 1,
      "step" => "end", "move" => "receive", "code" => "x", "part" => 1, "paper" => "bill", "how" => "sent",
      "what" => "password" }
  end

  def ask(door)
    path = door.path.gsub(/:(\w+)/) { real.fetch(Regexp.last_match(1)).to_s }
    DB.transaction(savepoint: true, rollback: :always) do
      door.verb == "GET" ? get(path) : submit(path, { "sure" => "0" }, from: "/legend")
    end
  end

  def test_every_route_as_every_role
    refused = Hash.new(0)
    @people.each do |role, person|
      clear_cookies
      sign_in(person.email)
      self.class.doors.each do |door|
        next if door.verb == "HEAD"

        ask(door)
        may = door.may.nil? || Services::Permissions.allow?(door.may, person)
        refused[role] += 1 unless may
        check(door, role, may)
      end
    end

    assert_operator refused["look_only"], :>, 80
    assert_operator refused["counter"], :>, 20
    assert_equal 0, refused["owner"]
  end

  def check(door, role, may)
    words = "#{door.verb} #{door.path} as #{role}"
    return assert_equal(403, status, words) unless may
    return if door.verb == "POST" && door.path.match?(DEEPER)

    refute_equal 403, status, words
  end

  # A sum is written nowhere that somebody gets who may not see prices.
  def test_no_page_has_a_sum_for_who_may_not_see_prices
    may = Services::SetRole.now
    Services::SetRole.call(may.merge("technician" => may["technician"] - %i[see_prices see_costs]), by: owner, at: NOW)
    jobs = Core::Jobs::States::WORDS.keys.filter_map { |state| Models::Job.where(state: state.to_s).get(:number) }
    sign_in(@people.fetch("technician").email)
    paths = self.class.doors.select { |door| door.verb == "GET" }.flat_map do |door|
      jobs.map { |number| door.path.gsub(/:(\w+)/) { real.merge("number" => number).fetch(Regexp.last_match(1)).to_s } }
    end.uniq
    seen = paths.count do |path|
      get path
      next unless status == 200 && last_response.content_type.to_s.include?("html")

      refute_match(/\$\d/, page, path)
      true
    end

    assert_operator seen, :>, 60, "pages were looked at"
    get "/bills"

    assert_equal 403, status
    get "/shelf"

    assert_includes page, Screens::Helpers::Words::HIDDEN_SUM
  end

  # Whoever does not see a price leaves it as it is.
  def test_a_part_is_changed_without_its_price
    may = Services::SetRole.now
    Services::SetRole.call(may.merge("technician" => may["technician"] - %i[see_prices see_costs]), by: owner, at: NOW)
    sign_in(@people.fetch("technician").email)
    part = Models::Part.exclude(price_cents: 0).exclude(cost_cents: nil).order(:id).first
    typed = Screens::Shelf::PartForm.typed_from(part).except("price", "cost")
    submit "/shelf/#{part.id}/change", { **typed, "name" => "Another name" }, from: "/shelf/#{part.id}/change"

    assert_equal [303, "Another name"], [status, part.refresh.name], page[/field-error.*/]
    assert_equal part.values.values_at(:price_cents, :cost_cents), Models::Part[part.id].values
      .values_at(:price_cents, :cost_cents)
    submit "/shelf/#{part.id}/change", { **typed, "price" => "0.01", "name" => "A third" },
      from: "/shelf/#{part.id}/change"

    refute_equal 1, Models::Part[part.id].price_cents
  end

  def test_a_route_that_does_not_say_who_may_is_not_taken
    other = Class.new(Sinatra::Base) { extend Screens::Doors }

    assert_raises(ArgumentError) { other.post("/forgotten") { "done" } }
    assert_raises(KeyError) { other.post("/wrong", may: :nothing) { "done" } }
    assert other.post("/known", may: :work) { "done" }
  end

  # The door alone would not do: whatever else calls a service is asked as well.
  def test_each_row_is_asked_for_by_a_service_or_hides_what_is_read
    code = Dir.glob("services/**/*.rb", base: TestDatabase::ROOT)
      .map { |file| File.read(File.join(TestDatabase::ROOT, file)) }.join
    reading = Core::Access::Permissions::ALL.select(&:reading).map(&:key)
    asked = code.scan(/Permissions\.(?:check!|allow\?)\(:(\w+)/).flatten.map(&:to_sym) + %i[rough_sheets sheets]

    assert_empty Core::Access::Permissions::ALL.map(&:key) - asked - reading
  end

  def test_the_owner_says_what_a_role_may
    counter = @people.fetch("counter")

    assert Services::Permissions.allow?(:send_cards, counter)
    sign_in
    now = Services::SetRole.now
    submit "/people/roles", { "may" => now.merge("counter" => %w[settings]).transform_values do |may|
      may.map(&:to_s)
    end },
      from: "/people/roles"

    assert_equal 303, status
    counter = Models::Person[counter.id]

    refute Services::Permissions.allow?(:send_cards, counter)
    assert Services::Permissions.allow?(:settings, counter)
    assert Services::Permissions.allow?(:work, counter)
    assert_raises(Services::Forbidden) { Services::SendCards.call(by: counter, at: NOW) }
    clear_cookies
    sign_in(counter.email)
    submit "/cards/send"

    assert_equal 403, status
  end

  def test_nobody_ticks_what_is_not_there
    sign_in
    [{ "may" => { "counter" => %w[people work nothing] } }, { "may" => { "owner" => [] } }, { "may" => "x" },
     { "may" => { "look_only" => { "a" => "b" } } }].each do |fields|
      submit "/people/roles", fields, from: "/people/roles"

      assert_equal 303, status
    end
    refute Services::Permissions.allow?(:people, Models::Person.first(role: "counter"))
    assert_raises(Services::Invalid) { Services::SetRole.call({ "look_only" => %i[send_cards] }, by: owner, at: NOW) }
    assert_raises(Services::Forbidden) { Services::SetRole.call({}, by: technician, at: NOW) }
  end

  def test_more_off_than_the_limit_is_for_who_may
    job = Models::Job.in_shop.order(:id).first.update(state: "looked_over")
    off = lambda { |percent, by|
      Services::SetDiscount.call(job.number, percent: percent, reason: "a regular", by: by, at: NOW)
    }
    limit = Services::Policies.now["discount_limit_percent"]

    off.call(limit, technician)

    assert_match(/more than/, assert_raises(Services::Invalid) { off.call(limit + 1, technician) }.message)
    off.call(100, owner)
  end

  def test_costs_are_seen_by_who_may
    sign_in(technician.email)
    get "/shelf/short"
    with = page.scan(/\$\d/).size
    sign_in
    Services::SetRole.call(Services::SetRole.now.merge("technician" => %i[parts orders see_prices]), by: owner, at: NOW)
    clear_cookies
    sign_in(technician.email)
    get "/shelf/short"

    assert_equal 200, status
    assert_operator page.scan(/\$\d/).size, :<, with
    part = part("HD-2010")
    cost = part.cost_cents
    Services::KeepPart.call(part.number, { price_cents: 1, cost_cents: 1 }, measures: {}, by: Models::Person[technician.id],
      at: NOW, part: part)

    assert_equal [1, cost], [part.refresh.price_cents, part.cost_cents]
  end
end
