# frozen_string_literal: true

# A walk through the places of a machine, in the browser.
module OnTheWalk
  def walk(job, at = nil)
    visit "#{@host}/jobs/#{job.number}/look-over#{"?at=#{at}" if at}"

    assert_css "#walk"
  end

  def finding(job, position)
    UprightBench::Models::Finding.first(job_id: job.id, position: position)
  end

  def tap_on(id)
    find("##{id}", visible: :all).trigger("click")
  end
end
