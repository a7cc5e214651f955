# frozen_string_literal: true

# Needs: poppler-utils

require "open3"
require "vips"
require_relative "../test_helper"

# The shop's logo, from the form to the paper.
class KeepLogoTest < DatabaseTest
  def setup
    @folder = Pathname(Dir.mktmpdir)
    @picture = @folder.join("logo.png")
    Vips::Image.black(300, 100).add([20, 90, 160]).cast(:uchar).copy(interpretation: :srgb).write_to_file(@picture.to_s)
  end

  def teardown
    @folder.rmtree
    super
  end

  def keep(path = @picture, by: owner)
    Services::KeepLogo.call(path && { filename: "logo.png", tempfile: File.open(path) }, by: by, at: NOW)
  end

  def images(pdf)
    Open3.capture2("pdfimages", "-list", "-", stdin_data: pdf, binmode: true).first.lines.drop(2)
  end

  def bill
    Services::PrintedBill.new(Models::Bill.first).render
  end

  def test_it_stands_on_a_bill_and_is_taken_off
    assert_empty images(bill)
    shop = keep

    assert_match(/\A\h{64}\z/, shop.logo_digest)
    assert_match(/ 300 +100 /, images(bill).join)
    keep(nil)

    assert_empty images(bill)
  end

  def test_what_is_no_picture_and_who_may_not
    File.write(@folder.join("x.png"), "<svg onload=alert(1)>")

    assert_match(/no picture/, assert_raises(Services::Invalid) { keep(@folder.join("x.png")) }.message)
    assert_raises(Services::Forbidden) { keep(by: technician) }
    assert_nil Models::Shop.the.logo_digest
  end

  # A file that is gone leaves papers without a logo, and prints them.
  def test_a_logo_that_is_gone
    keep

    Pictures::Store.stub(:ours, Pictures::Store.new(@folder.join("elsewhere"))) { assert_empty images(bill) }
  end
end
