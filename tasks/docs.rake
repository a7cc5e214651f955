# frozen_string_literal: true

namespace :docs do
  desc "Write docs/data-model.md anew from the schema of the database that DATABASE_URL names"
  task data_model: "db:migrate" do
    require_relative "../measure/data_model"
    UprightBench::Measure::DataModel.new(UprightBench::DB).write
  end
end
