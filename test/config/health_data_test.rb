# frozen_string_literal: true

require_relative "../test_helper"

# What a household says of allergy or asthma chooses a filter, and stands on no paper and in no message.
class HealthDataTest < AppTest
  WORDS = /allerg|asthma/i

  def test_no_paper_message_or_sentence_names_it
    files = Dir.glob("{papers,outbox,core/cards,english}/**/*.rb", base: TestDatabase::ROOT) +
            Dir.glob("screens/{estimate_page,card_page,answers,bills,parcels}/**/*.erb", base: TestDatabase::ROOT)

    refute_empty files
    assert_empty(files.select { |file| File.read(File.join(TestDatabase::ROOT, file)).match?(WORDS) })
  end

  # It is asked where a filter is chosen by it, and shown there alone.
  def test_it_is_asked_in_three_forms_and_shown_nowhere_else
    asked = Dir.glob("screens/**/*.erb", base: TestDatabase::ROOT)
      .select { |file| File.read(File.join(TestDatabase::ROOT, file)).match?(WORDS) }

    assert_equal %w[screens/registrations/register.erb screens/sold_new/page.erb screens/take_in/_more.erb], asked.sort
  end
end
