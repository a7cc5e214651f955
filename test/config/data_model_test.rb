# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../../measure/data_model"

class DataModelTest < DatabaseTest
  Model = UprightBench::Measure::DataModel

  def test_the_page_is_as_the_schema_is
    assert_equal Model.new(DB).text, Model::FILE.read, "stale: run bin/rake docs:data_model"
  end

  def test_every_table_has_its_sentence
    silent = (DB.tables - Model::NOT_OURS).reject do |table|
      DB.get(Sequel.function(:obj_description, Sequel.cast(table.to_s, :regclass), "pg_class"))
    end

    assert_empty silent
  end
end
