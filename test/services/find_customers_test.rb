# frozen_string_literal: true

require_relative "../test_helper"

class FindCustomersTest < DatabaseTest
  def setup
    @machine = new_machine(name: "Søren Kjærgård", phone: "+1 (902) 555-0188")
    @machine.update(serial_number: "HM-98765")
  end

  def names(text)
    Services::FindCustomers.call(text).map(&:name)
  end

  def test_by_a_part_of_the_name_without_its_accents
    %w[soren KJAERGARD Søren gård].each { |text| assert_includes names(text), "Søren Kjærgård", text }
  end

  def test_by_the_last_digits_of_the_phone_and_by_plate
    assert_includes names("0188"), "Søren Kjærgård"
    assert_equal @machine.id, Services::FindCustomers.call("98765").first.machine_id
  end

  def test_signs_that_mean_something_to_the_database_mean_nothing
    ["%%", "__", "\\", "'; drop"].each { |text| assert_empty names(text), text }
    assert_empty names("a")
  end

  def test_tells_where_it_stands
    job = take_in(@machine)

    assert_equal job.number, Services::FindCustomers.call("98765").first.job_number
  end
end
