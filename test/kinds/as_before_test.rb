# frozen_string_literal: true

# Group: slow (ten thousand findings)

require_relative "../test_helper"
require_relative "../support/kinds_said"

# Moving the tables of the kinds of part changes no verdict, sentence or search: the digests in as_before.json
# were made by the code before the move.
class AsBeforeTest < AppTest
  FILE = File.expand_path("as_before.json", __dir__)
  SHEETS = Dir[File.join(TestDatabase::ROOT, "{demo/sheets,starters}/*.json")].to_h do |file|
    [File.basename(file), Core::Sheets::Parse.new(JSON.parse(File.read(file))).call]
  end.freeze

  def test_ten_thousand_findings_and_every_sheet
    before = JSON.parse(File.read(FILE))
    now = KindsSaid.digests(SHEETS)

    assert_equal before.keys, now.keys
    before.each { |aspect, digests| assert_equal digests.split, now.fetch(aspect), aspect }
  end
end
