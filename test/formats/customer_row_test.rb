# frozen_string_literal: true

require_relative "../test_helper"

class CustomerRowTest < AppTest
  TODAY = Date.new(2026, 11, 27)

  def read(order: "dmy", country: "CA", **cells)
    Formats::CustomerRow.new(country: country, today: TODAY,
      dates: Formats::DatesInOrder.new(order, today: TODAY)).read(cells.transform_keys(&:to_s))
  end

  def test_names_whole_and_split
    assert_equal "Ané Kell", read(first_name: "Ané", last_name: "Kell").customer[:name]
    assert_equal "Quay Laundry, Ané Kell", read(company: "Quay Laundry", name: "Ané Kell").customer[:name]
    assert_equal "Quay Laundry", read(company: "Quay Laundry", name: "Quay Laundry").customer[:name]
    assert_match(/neither a name/, read(phone: "902 425 0142").problems.join)
  end

  def test_consent_as_it_was_given_else_none
    none = read(name: "Jo").customer.values_at(:email_agreed, :text_agreed, :post_agreed, :phone_agreed)

    assert_equal [false] * 4, none
    assert read(name: "Jo", email_agreed: "Yes").customer[:email_agreed]
    assert_match(/cannot be “perhaps”/, read(name: "Jo", email_agreed: "perhaps").problems.join)
  end

  def test_a_phone_that_no_plan_knows_is_kept_to_be_read
    customer = read(name: "Jo", phone: "555-0142, evenings", notes: "Two dogs").customer

    assert_nil customer[:phone]
    assert_equal "Two dogs\nPhone: 555-0142, evenings", customer[:notes]
    assert_equal "+442079460958", read(name: "Jo", phone: "020 7946 0958", country: "CA", **{}).customer[:phone] ||
                                  read(name: "Jo", phone: "+44 20 7946 0958").customer[:phone]
  end

  def test_a_phone_is_of_the_plan_of_their_country
    customer = Formats::CustomerRow.new(country: "CA", today: TODAY, dates: Formats::DatesInOrder.new("dmy",
      today: TODAY)).read({ "name" => "Jo", "phone" => "020 7946 0958", "country" => "United Kingdom" }).customer

    assert_equal ["+442079460958", "GB"], customer.values_at(:phone, :country)
  end

  def test_days_in_the_order_that_was_said
    machine = { name: "Jo", maker: "Ostrel", model: "Stride 36" }

    assert_equal Date.new(2026, 4, 3), read(last_service_on: "3/4/2026", **machine).machine[:last_service_on]
    assert_equal Date.new(2026, 3, 4),
      read(order: "mdy", last_service_on: "3/4/26", **machine).machine[:last_service_on]
    assert_equal Date.new(2026, 3, 4), read(order: "mdy", last_service_on: "2026-03-04 00:00:00", **machine)
      .machine[:last_service_on]
    assert_equal Date.new(1998, 3, 4), read(bought_on: "04.03.98", **machine).machine[:bought_on]
    assert_match(/no day in the order/, read(last_service_on: "14/31/2025", **machine).problems.join)
    assert_match(/has not come yet/, read(last_service_on: "28.11.2026", **machine).problems.join)
  end

  def test_a_machine_in_one_column_and_without_a_maker
    assert_equal ["Ostrel", "Stride 36"], read(name: "Jo", model: "Ostrel Stride 36").machine.values_at(:maker, :model)
    assert_match(/no maker/, read(name: "Jo", model: "Stride").problems.join)
    assert_nil read(name: "Jo").machine
  end

  def test_everything_that_is_wrong_with_a_row_is_said_at_once
    problems = read(name: "x" * 121, email: "none", hours_per_week: "lots", maker: "Ostrel").problems

    assert_equal 4, problems.size, problems
  end
end
