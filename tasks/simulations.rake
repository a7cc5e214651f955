# frozen_string_literal: true

desc "Run the simulations whole; the tests run a seeded sample of them (MACHINES=2000)"
task :simulations do
  files = Dir["test/simulations/*_test.rb"].map { |file| "require #{File.expand_path(file).inspect}" }
  sh({ "MACHINES" => ENV.fetch("MACHINES", "2000") }, "ruby", "-Itest", "-e", files.join(";"))
end
