# frozen_string_literal: true

namespace :tests do
  desc "Name the assertions that cannot fail, as far as that can be seen by reading; fails when there is one"
  task :assertions do
    require_relative "../measure/assertions"
    found = UprightBench::Measure::Assertions.of_all(File.expand_path("..", __dir__))
    abort found.join("\n") if found.any?

    puts "There is none."
  end

  desc "Run the quick tests at forty moments (FROM=12 to go on with the twelfth); fails when one of them does"
  task :moments do
    require_relative "../measure/moments"
    UprightBench::Measure::Moments.new(from: Integer(ENV.fetch("FROM", "1"))).call || abort("not all of them passed")
  end
end
