# frozen_string_literal: true

require_relative "../test_helper"

class ZoneTest < AppTest
  # The offset is kept between two changes of the clocks: the day against the library that knows the zone.
  def test_the_shops_day_of_any_moment
    zone = TZInfo::Timezone.get(SETTINGS.time_zone)
    changes = zone.transitions_up_to(Time.utc(2032), Time.utc(2022)).map { |change| change.at.to_time }
    random = Random.new(4610)
    moments = Array.new(500) { Time.at(random.rand(Time.utc(2022).to_i..Time.utc(2032).to_i)) } +
              changes.flat_map { |change| [-86_400, -3600, -1, 0, 1, 3600, 86_400].map { |seconds| change + seconds } }

    moments.shuffle(random: random).each do |moment|
      local = zone.to_local(moment)

      assert_equal local.to_date, Config::Zone.date(moment), moment
      assert_equal local.strftime("%F %T %z"), Config::Zone.local(moment).strftime("%F %T %z")
    end
  end
end
