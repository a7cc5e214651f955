# frozen_string_literal: true

# Needs: poppler-utils

require "open3"
require_relative "../test_helper"
require_relative "../support/as_staff"

# The tray on its page: what is said, what is refused, and that nothing typed is lost.
class StripScreenTest < DatabaseTest
  include AsStaff

  def setup
    super
    sign_in
    @job = settled({ "cyclone-gasket" => { state: "dirty" } })
  end

  def strip
    "/jobs/#{@job.number}/strip"
  end

  def step(key, way, **fields)
    submit "#{strip}/#{key}/#{way}", fields.transform_keys(&:to_s)
  end

  def difference
    Models::TrayDifference.first(job_id: @job.id)
  end

  def test_a_count_that_differs_is_noted_and_settled
    step("clip-ring", "out")
    step("housing", "out", counts: { "fastener-0" => "6", "fastener-1" => "" })

    assert_equal [7, 6], [difference.expected, difference.counted]
    get strip

    assert_says(/T8, 8 mm: 6 of 7/)
    submit "/jobs/#{@job.number}/differences/#{difference.id}", { "explanation" => " " }

    assert_equal 422, status
    assert_says(/Write why, or say that it was found/)
    submit "/jobs/#{@job.number}/differences/#{difference.id}", { "explanation" => "Came <without> it" }
    get strip

    assert_match "Came &lt;without&gt; it", page
  end

  def test_what_cannot_be_read_is_refused_and_kept
    step("clip-ring", "out")
    step("housing", "out", counts: { "fastener-0" => "seven" })

    assert_equal 422, status
    assert_keeps "seven"
    assert_nil Models::OpenedStep.first(job_id: @job.id, step: "housing")
  end

  def test_what_is_not_there
    step("attic", "out")

    assert_equal 404, status
    get "/jobs/999999/strip"

    assert_equal 404, status
    submit "/jobs/#{@job.number}/differences/999999", { "found" => "1" }

    assert_equal 404, status
  end

  # With nothing that could be lost there is no tray, and no sheet to lay it on.
  def test_nothing_to_open
    @job = settled({ "bin" => { fill_percent: 90 } })
    get strip

    assert_match "Nothing to open", page
    get "/jobs/#{@job.number}/tray-sheet.pdf"

    assert_equal 409, status
  end

  def test_the_paper_and_the_labels_name_what_only_comes_off
    get "/jobs/#{@job.number}/tray-sheet.pdf"

    assert_equal "application/pdf", last_response.content_type
    get "/jobs/#{@job.number}/trays.pdf"
    text, = Open3.capture2("pdftotext", "-", "-", stdin_data: page, binmode: true)

    %w[Cones Bin Screen].each { |name| assert_match(/#{name}.*?only taken off/m, text.force_encoding("UTF-8")) }
  end
end
