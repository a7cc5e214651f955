# frozen_string_literal: true

require_relative "../test_helper"

# What the core knows of a concept and what the database lets in are the same list.
class ConstraintListsTest < DatabaseTest
  include UprightBench::Core

  CHANNELS = %i[cards_channel channel_faults_channel consents_channel messages_channel offers_channel].freeze

  # @return [Array<Symbol>] the values that a constraint lists
  def listed(constraint)
    definition = Sequel.function(:pg_get_constraintdef, :oid)
    text = DB[:pg_constraint].where(conname: constraint.to_s).get(definition)
    text.scan(/'([^']*)'::text/).flatten.map(&:to_sym)
  end

  def test_channels
    CHANNELS.each { |name| assert_equal Cards::Channels::ALL.map(&:key).sort, listed(name).sort, name }
  end

  def test_verdicts
    assert_equal Findings::VerdictKind::KEYS, listed(:findings_verdict)
    assert_equal Findings::VerdictKind::KEYS - [:leave], listed(:work_items_action)
  end

  def test_states_of_a_job
    assert_equal Jobs::States::ALL.sort, listed(:jobs_state).sort
  end

  def test_what_decides_a_date
    assert_equal Clocks::Kinds::DECIDING.sort, listed(:dues_deciding).sort
  end

  # Only what lies in the drawer is rounded to coins.
  def test_ways_of_paying
    assert_equal Money::Ways::WORDS.keys.map(&:to_sym).sort, listed(:payments_way).sort
    assert_equal Money::Ways::COINS.map(&:to_sym), listed(:payments_rounded)
  end

  def test_traits_of_a_household_and_filter_classes
    assert_equal Use::Household::FACTORS.keys.sort, listed(:machines_traits).sort
    assert_equal Fit::FilterClass::PERCENT.keys.map(&:to_sym).sort, listed(:parts_filter_class).sort
  end

  def test_devices_skills_and_steps_of_the_plan
    assert_equal Gauges::Kinds::WORDS.keys.map(&:to_sym).sort, listed(:gauges_kind).sort
    assert_equal Bench::Skills::WORDS.keys.sort, listed(:people_skills).sort
    assert_equal Services::ChainOfJob::KEYS.sort, listed(:step_wishes_key).sort
  end

  # Only core/jobs knows which states there are: everybody else asks for a set by its name.
  def test_no_other_file_lists_states
    states = Jobs::States::ALL.join("|")
    in_words = /%[wi]\[[^\]]*\b(?:#{states})\b[^\]]*\b(?:#{states})\b/
    in_quotes = /["':](?:#{states})\b["']?,\s*["':](?:#{states})\b/
    list = Regexp.union(in_words, in_quotes)
    files = Dir.glob("{core,models,services,queries,screens,drawings,papers,outbox}/**/*.{rb,erb}", base: TestDatabase::ROOT)
    listing = files.reject { |file| file.start_with?("core/jobs/") }
      .select { |file| File.read(File.join(TestDatabase::ROOT, file)).match?(list) }

    assert_empty listing
  end
end
