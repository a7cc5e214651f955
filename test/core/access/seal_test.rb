# frozen_string_literal: true

require "digest"
require_relative "../../core_helper"

class SealTest < CoreTest
  FACTS = { id: 7, at_microseconds: 1, person_id: 3, actor: "Jo", verb: "forgot", subject: "customers", subject_id: 9,
            job_id: nil, address: nil }.freeze

  # FIPS 180-4, worked out by hand: lengths before values, "-" for none.
  def test_it_is_the_digest_of_what_was_before_what_happened_and_the_detail
    detail = Access::Seal.detail("salt", "{}")
    plain = "1:7,1:1,1:3,2:Jo,6:forgot,9:customers,1:9,-,-"

    assert_equal Digest::SHA256.digest("salt{}"), detail
    assert_equal Digest::SHA256.digest(Access::Seal::FIRST + plain + detail),
      Access::Seal.next(Access::Seal::FIRST, FACTS, detail)
  end

  def test_whatever_is_changed_changes_it
    detail = Access::Seal.detail("s", "{}")
    seal = Access::Seal.next(Access::Seal::FIRST, FACTS, detail)
    others = FACTS.keys.map { |name| Access::Seal.next(Access::Seal::FIRST, FACTS.merge(name => "other"), detail) }
    others << Access::Seal.next(seal, FACTS, detail)
    others << Access::Seal.next(Access::Seal::FIRST, FACTS, Access::Seal.detail("t", "{}"))
    others << Access::Seal.next(Access::Seal::FIRST, FACTS.merge(actor: "Jo,6:forgot", verb: "x"), detail)

    assert_equal others.size, others.uniq.size
    refute_includes others, seal
  end
end
