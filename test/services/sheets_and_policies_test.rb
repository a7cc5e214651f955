# frozen_string_literal: true

require_relative "../test_helper"

class SheetsAndPoliciesTest < DatabaseTest
  def content
    Models::SheetVersion.with_pk!(sheet("Hallmoor Dart M").current_version_id).content.to_hash
  end

  def test_the_same_sheet_is_kept_once_and_a_changed_one_as_a_new_version
    dart = Services::AddSheet.call(content, by: owner, at: NOW)
    changed = content.merge("warranty_months" => 36)
    job = take_in
    Services::AddSheet.call(changed, by: owner, at: NOW, note: "longer warranty")

    assert_equal [24, 36], [job.sheet.warranty_months, dart.refresh.to_core.warranty_months]
    assert_equal [1, 2], dart.versions.map(&:version)
  end

  def test_a_broken_sheet_changes_nothing
    before = Models::SheetVersion.count

    assert_raises(Core::Sheets::Invalid) do
      Services::AddSheet.call(content.merge("kind" => "broom"), by: owner, at: NOW)
    end
    assert_equal before, Models::SheetVersion.count
  end

  def test_a_changed_policy_changes_what_is_computed
    Services::SavePolicies.call({ "bag_limit_percent" => 80 }, by: owner, at: NOW)
    finding = record(take_in(new_machine("Brackwater Loft K", bought_on: today - 30)), "bag", { fill_percent: 55 })

    assert_equal "leave", finding.verdict
  end

  def test_a_damp_room_dries_longer_and_a_soaked_one_refuses
    Services::SavePolicies.call({ "drying_temperature_c" => 21, "drying_humidity_percent" => 75 }, by: owner, at: NOW)
    job = settled({ "pre-filter" => { grey: 5 } })
    do_all(job)

    assert_in_delta 48 * 3600, item(job, "pre-filter").on_rack.dry_at - NOW, 60
    Services::SavePolicies.call({ "drying_humidity_percent" => 97 }, by: owner, at: NOW)

    assert_match(/will not dry here/,
      assert_raises(Services::Refused) { do_all(settled({ "pre-filter" => { grey: 5 } })) }.message)
  end
end
