# frozen_string_literal: true

require_relative "../../core_helper"

# What a customer agreed to is never passed without asking: no more money, no other part.
class AgreementTest < CoreTest
  Stood = Struct.new(:total_cents, :part_keys)

  def agreed(total = 5000, parts = %w[bag], **more)
    Money::Agreement.new(total_cents: total, part_keys: parts, **more)
  end

  def stood(total, parts = %w[bag])
    Stood.new(total, parts)
  end

  def test_to_the_cent
    assert agreed.within?(stood(5000))
    assert agreed.within?(stood(4999, []))
    refute agreed.within?(stood(5001))
    refute agreed.within?(stood(4000, %w[bag belt]))
  end

  def test_up_to_where_they_need_not_be_called
    assert agreed(call_above_cents: 6000).within?(stood(6000, %w[bag belt]))
    refute agreed(call_above_cents: 6000).within?(stood(6001))
    refute agreed(call_above_cents: 0).within?(stood(1, %w[belt]))
  end

  def test_without_an_agreement_only_what_costs_nothing
    assert Money::Agreement::NONE.within?(stood(0, []))
    refute Money::Agreement::NONE.within?(stood(1, []))
    refute Money::Agreement::NONE.within?(stood(0))
  end

  def test_the_makers_warranty_ends_only_by_name
    assert agreed.covers?(stood(5000))
    refute agreed.covers?(stood(5000), ends_warranty: true)
    assert agreed(warranty_name: "Edda").covers?(stood(5000), ends_warranty: true)
    refute agreed(warranty_name: "Edda").covers?(stood(5001), ends_warranty: true)
  end
end
