# frozen_string_literal: true

require "open3"
require_relative "../test_helper"
require_relative "../../launch/jit"

class JitTest < AppTest
  def test_what_is_set_switches_the_compiler_on
    skip "this Ruby has no compiler" unless Launch::Jit.at_hand?
    out, = Open3.capture2(Launch::Jit.settings({}), RbConfig.ruby, "-e", "print RubyVM::YJIT.enabled?")

    assert_equal "true", out
  end

  def test_options_of_ones_own_stand
    assert_empty Launch::Jit.settings({ "RUBYOPT" => "" })
  end
end
