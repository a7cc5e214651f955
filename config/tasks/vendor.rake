# frozen_string_literal: true

require_relative "../settings"
require_relative "../vendored"

desc "Copy the shipped fonts, styles and scripts anew from npm and Debian, with their manifest"
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
