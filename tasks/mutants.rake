# frozen_string_literal: true

desc "Change the core in small ways, one at a time, and say what its tests do not notice (COUNT=160, SEED=1, ONLY=fit/)"
task :mutants do
  require_relative "../measure/mutants"
  UprightBench::Measure::Mutants.new(count: Integer(ENV.fetch("COUNT", "160")), seed: Integer(ENV.fetch("SEED", "1")),
    only: ENV.fetch("ONLY", "core/")).call
end
