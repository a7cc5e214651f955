# frozen_string_literal: true

require_relative "../config/settings"
require_relative "../config/vendored"

desc "Copy the shipped fonts and scripts anew from npm and Debian, build Bootstrap's part of the styles, and write " \
     "the manifest"
task :vendor do
  sh "npm install --ignore-scripts --no-audit --no-fund"
  UprightBench::Config::Vendored.new(UprightBench::Config::Settings::ROOT).rebuild
end

desc "Check every shipped file against the manifest"
task :assets do
  problems = UprightBench::Config::Vendored.new(UprightBench::Config::Settings::ROOT).problems
  abort problems.join("\n") if problems.any?

  puts "All shipped files are as the manifest says."
end
