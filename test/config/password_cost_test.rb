# frozen_string_literal: true

require "open3"
require_relative "../test_helper"

# What tests save on passwords, no shop does: a process that did not begin as they do costs what production costs.
class PasswordCostTest < AppTest
  COST = "$2a$12$" # bcrypt at 2¹² rounds: OWASP's least is 10 (Password Storage Cheat Sheet, from memory)
  PROGRAM = <<~RUBY
    require "./config/boot"
    puts UprightBench::Services::Passwords.digest("a long pass phrase"), UprightBench::Web::SignIn::Tries::NOBODYS
  RUBY

  # The last is compared with where there is no such account, so that both answers take as long.
  def test_outside_the_tests_a_digest_costs_what_it_should
    %w[production development].each do |environment|
      env = { "APP_ENV" => environment, "SESSION_SECRET" => "s" * 64 }
      digests, status = Open3.capture2(env, "bundle", "exec", "ruby", "-e", PROGRAM, chdir: TestDatabase::ROOT)

      assert_predicate status, :success?
      assert_equal [COST, COST], digests.lines.map { |digest| digest[0, COST.size] }
    end
    refute_includes Services::Passwords.digest("a long pass phrase"), COST
  end
end
