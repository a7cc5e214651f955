# frozen_string_literal: true

require_relative "../../core_helper"

# What ASVS 4.0 (2.1) and NIST SP 800-63B (5.1.1.2) ask of passwords, both from memory: long enough, no rules of
# composition, not among the common ones, nothing repeated, nothing that anybody knows of the person.
class PasswordTest < CoreTest
  def problem(password, **more)
    Access::Password.problem(password, **more)
  end

  def test_length_and_nothing_else_of_form
    assert_match(/at least 12/, problem("elevenlette"))
    assert_nil problem("twelvelettrs")
    assert_nil problem("a long pass phrase with blanks")
    assert_nil problem("ünïcödé søppel")
    assert_match(/at most 72/, problem("#{'ø' * 20}abcdefghijklmnopqrstuvwxyz1234567"))
  end

  def test_what_everybody_tries
    assert_match(/everybody tries/, problem("Password1234", common: ["password1234"]))
    %w[aaaaaaaaaaaa abababababab abcabcabcabcab 1234123412341].each do |repeated|
      assert_match(/everybody tries/, problem(repeated), repeated)
    end
    assert_nil problem("abcdeabcdeabcde")
  end

  def test_what_others_know
    about = ["Ines Varga", "ines@ropewalk.example.org", "Ropewalk Vacuum Repair"]

    assert_match(/others know/, problem("ines.varga.2026", about: about))
    assert_match(/others know/, problem("RopewalkVacuum1", about: about))
    assert_nil problem("ines drinks tea at four", about: about)
  end
end
