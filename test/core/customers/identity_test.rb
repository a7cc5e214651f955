# frozen_string_literal: true

require_relative "../../core_helper"

class IdentityTest < CoreTest
  Identity = UprightBench::Core::Customers::Identity

  def who(name, **fields)
    Identity.new(name: name, **fields)
  end

  def test_the_same_name_and_something_else_that_is_the_same
    assert_equal :same, who("Ané Kell", phone: "+19024250142").compare(who("KELL, Ane", phone: "+19024250142"))
    assert_equal :same,
      who("Jo", email: "Jo@a.example", phone: "1").compare(who("Jo", email: "jo@A.example", phone: "2"))
    assert_equal :same, who("Jo", place: "3 Upper Quay Tweed").compare(who("Jo", place: "Upper Quay 3, Tweed"))
  end

  def test_one_name_is_no_proof
    assert_equal :other, who("Jo Kell", phone: "+19024250142").compare(who("Jo Kell", phone: "+19024250143"))
    assert_equal :unclear, who("Jo Kell", phone: "+19024250142").compare(who("Jo Kell", email: "jo@a.example"))
    assert_equal :unclear, who("Jo Kell").compare(who("Jo Kell", email: "jo@a.example"))
    assert_equal :same, who("Jo Kell").compare(who("Jo Kell"))
  end

  # Common practice: a household has one phone.
  def test_a_household_is_several_people
    assert_equal :other, who("Jo Kell", phone: "+19024250142").compare(who("Sam Kell", phone: "+19024250142"))
  end

  # Whoever is compared with whom.
  def test_it_does_not_matter_who_is_asked
    fields = [{}, { phone: "1" }, { phone: "2" }, { email: "a@b.example" }, { phone: "1", email: "c@d.example" },
              { phone: "2", email: "a@b.example", place: "here" }]

    fields.product(fields).each do |one, two|
      assert_equal who("Jo", **one).compare(who("Jo", **two)), who("Jo", **two).compare(who("Jo", **one))
    end
  end
end
