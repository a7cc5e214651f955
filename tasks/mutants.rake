# frozen_string_literal: true

desc "Change the core in small ways, one by one; what do its tests miss? (COUNT=160, SEED=1, ONLY=core/fit,core/bench)"
task :mutants do
  require_relative "../measure/mutants"
  UprightBench::Measure::Mutants.new(count: Integer(ENV.fetch("COUNT", "160")), seed: Integer(ENV.fetch("SEED", "1")),
    only: ENV.fetch("ONLY", "core/")).call
end
