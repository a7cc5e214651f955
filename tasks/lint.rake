# frozen_string_literal: true

desc "Look through the Ruby and the scripts, as what lands has to pass"
task lint: ["lint:ruby", "lint:scripts"]

namespace :lint do
  task :ruby do
    sh "rubocop", "--format", "simple"
  end

  task :scripts do
    require_relative "../launch/packages"
    UprightBench::Launch::Packages.ensure(%w[nodejs npm]) unless system("which", "npm", out: File::NULL)
    sh "npm", "ci", "--ignore-scripts", "--no-audit", "--no-fund", "--silent"
    sh "npm", "run", "--silent", "lint"
  end
end
