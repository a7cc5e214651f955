# frozen_string_literal: true

require_relative "../test_helper"

# Counting by scans, while the shelf goes on moving.
class ScanCountTest < DatabaseTest
  def setup
    @part = part("HD-2010")
    Services::CountStock.call(@part, pieces: 5, reason: "test", by: owner, at: NOW)
    Services::ScanCount.begin(by: owner, at: NOW)
  end

  def scan(code = "HD-2010", **more)
    Services::ScanCount.scan(code, by: owner, at: NOW, **more)
  end

  def close(written: true)
    Services::ScanCount.close(written: written, by: owner, at: NOW)
  end

  def move(pieces, kind)
    Services::MoveStock.call(@part, pieces: pieces, kind: kind, by: owner, at: NOW)
  end

  def stock
    Models::StockLevel[@part.id].pieces
  end

  def test_each_scan_is_a_piece_by_number_or_barcode
    [@part.number, @part.number.downcase, @part.barcode].each { |code| scan(code) }
    close

    assert_equal 3, stock
    assert_match(/3 lay there, 5 should/, Models::StockMove.order(:id).last.reason)
  end

  def test_a_number_typed_is_all_that_lie_there
    scan
    scan(pieces: 7)
    close

    assert_equal 7, stock
  end

  # Counted 4 of 5; then 2 come and 1 goes: 5 lie there, and 5 there are.
  def test_what_moves_after_it_was_counted_stays_moved
    4.times { scan }
    move(2, "received")
    move(-1, "used")
    close

    assert_equal 5, stock
  end

  # Two scanned, one of them is taken, two more scanned: three lie there.
  def test_what_moves_between_two_scans_moves_with_the_count
    2.times { scan }
    move(-1, "used")
    2.times { scan }

    assert_equal [3, -1], [Models::CountLine.first.pieces, Models::CountLine.first.difference]
    close

    assert_equal 3, stock
  end

  def test_never_below_none
    scan(pieces: 0)
    move(-3, "used")
    close

    assert_equal 0, stock
  end

  def test_what_was_not_scanned_and_what_is_dropped_stays
    before = Models::StockMove.count
    scan(pieces: 9)
    close(written: false)

    assert_equal [before, 5], [Models::StockMove.count, stock]
    assert_nil close
  end

  def test_one_count_at_a_time_for_the_whole_shop
    assert_equal Models::Count.under_way.id, Services::ScanCount.begin(by: technician, at: NOW).id
    close

    assert_raises(Services::Refused) { scan }
  end

  def test_codes_that_are_none
    wrong = @part.barcode.dup.tap { |code| code[12] = ((code[12].to_i + 1) % 10).to_s }

    assert_match(/check digit/, assert_raises(Services::Invalid) { scan(wrong) }.message)
    assert_match(/No part on file/, assert_raises(Services::Invalid) { scan("J1042") }.message)
    assert_raises(Services::Invalid) { scan(pieces: -1) }
  end
end
