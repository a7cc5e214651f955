# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

class FitScreenTest < DatabaseTest
  include AsStaff

  def setup
    sign_in
  end

  def test_from_a_model_and_a_place_to_what_fits_and_what_does_not
    loft = sheet("Brackwater Loft K")
    get "/shelf/fit", { "sheet" => loft.id.to_s, "at" => "exhaust-filter" }

    assert_says(/fits because listed for Brackwater Loft K/)
    assert_says(/does not fit: made for body style C/)
    assert_says(/goes back to the customer labelled/)
    get "/shelf/fit", { "sheet" => loft.id.to_s, "at" => "attic" }

    assert_says(/Choose a place/)
    get "/shelf/fit", { "sheet" => "99999999" }

    assert_equal 404, status
  end

  def test_while_typing
    get "/shelf/fit/find", { "q" => "332 x 10" }

    assert_says(/has the size.*OS-3620|OS-3620.*has the size/m)
    assert_says(/does not fit: width 11 mm/)
    get "/shelf/fit/find", { "q" => "hd-1009" }

    assert_says(/replaced by .*HD-1011/)
    get "/shelf/fit", { "q" => "no such thing" }

    assert_says(/Nothing on file for/)
  end

  def test_a_scan_from_anywhere_opens_the_part
    get "/find", { "q" => part("BW-5030").barcode }

    assert_equal "/shelf/#{part('BW-5030').id}", last_response["location"].delete_prefix("http://example.org")
  end

  def test_a_part_says_what_it_fits_through_whom_it_comes_and_what_takes_its_place
    get "/shelf/#{part('HD-1011').id}"

    assert_says(/Hallmoor Dart S, pre filter.*because it replaces.*HD-1008/m)
    get "/shelf/#{part('HD-1008').id}"

    assert_says(/no longer made/)
    assert_says(/Replaced by .*HD-1009/m)
    get "/shelf/#{part('BW-5030').id}"

    assert_says(/H13 \(HEPA, holds back 99.95 %/)
  end
end
