# frozen_string_literal: true

namespace :docs do
  desc "Write docs/data-model.md anew from the schema of the database that DATABASE_URL names"
  task data_model: "db:migrate" do
    require_relative "../measure/data_model"
    UprightBench::Measure::DataModel.new(UprightBench::DB).write
  end

  demo_sheet = lambda do |name|
    data = JSON.parse(File.read(File.expand_path("../demo/sheets/#{name}.json", __dir__)))
    UprightBench::Core::Sheets::Parse.new(data).call
  end

  desc "Write the tables of docs/finding-the-fault.md anew from simulated machines (MACHINES=2000 for each complaint)"
  task :faults do
    require "json"
    require_relative "../config/boot"
    require_relative "../measure/fault_report"
    sheets = %w[hallmoor-dart-m corvane-drum-30 ostrel-stride-36].map(&demo_sheet)
    UprightBench::Measure::FaultReport.new(sheets, machines: Integer(ENV.fetch("MACHINES", "2000"))).write
  end

  desc "Write the table of readings in docs/finding-the-fault.md anew from simulated machines (MACHINES=2000 of each)"
  task :readings do
    require "json"
    require_relative "../config/boot"
    require_relative "../measure/suction_report"
    cases = { "hallmoor-dart-m" => :weak_everywhere, "corvane-drum-30" => :no_suction }
      .map { |name, complaint| [demo_sheet.call(name), complaint] }
    UprightBench::Measure::SuctionReport.new(cases, machines: Integer(ENV.fetch("MACHINES", "2000"))).write
  end
end
