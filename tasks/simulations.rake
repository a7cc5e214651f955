# frozen_string_literal: true

desc "Run the core's simulations whole; the tests run a seeded sample of them (MACHINES=2000). Visits through the " \
     "whole product: VISITS=500 bin/test test/simulations/visits_test.rb"
task :simulations do
  files = (Dir["test/simulations/*_test.rb"] - ["test/simulations/visits_test.rb"])
    .map { |file| "require #{File.expand_path(file).inspect}" }
  sh({ "MACHINES" => ENV.fetch("MACHINES", "2000") }, "ruby", "-Itest", "-e", files.join(";"))
end
