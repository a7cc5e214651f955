# frozen_string_literal: true

# Group: slow (reads codes off paper at the resolution of a scanner)
# Needs: poppler-utils zbar-tools

require "open3"
require_relative "../test_helper"

# Papers are of true size, and say what they should, whatever signs a name holds. Read back with poppler's tools.
class PapersTest < AppTest
  NAME = "Šárka Þórsdóttir-Øyelaran Жук ☃"

  def read(pdf)
    text, = Open3.capture2("pdftotext", "-", "-", stdin_data: pdf, binmode: true)
    info, = Open3.capture2e("pdfinfo", "-", stdin_data: pdf, binmode: true)
    size = info[/Page size:\s+([\d.]+) x ([\d.]+)/] && [Regexp.last_match(1), Regexp.last_match(2)]
      .map { |points| (points.to_f * 25.4 / 72).round }
    [text.force_encoding("UTF-8").gsub(/\s+/, " "), size]
  end

  def test_the_tag
    text, size = read(Papers::ClaimTag.new(shop: "Shop", tags: [{
      number: 1042, code: "J1042", lines: ["Dart M", NAME, "pulses " * 40]
    }]).render)

    assert_equal [100, 62], size
    ["1042", "Dart M", "Þórsdóttir", "Жук"].each { |words| assert_includes text, words }
  end

  # ISO 216, and letter of 8.5 by 11 inches, halved across (ANSI/ASME Y14.1). Everything stays on the sheet.
  def test_on_the_sheets_of_the_shop
    rows = Array.new(60) { |n| ["Exhaust cassette #{n}", "H13, to order", "$16.50"] }
    whole = Papers::CallList.new(shop: "Shop", rows: Array.new(12) do |n|
      { name: "#{NAME} #{n}", phone: "555-0199", words: "Your machine is due.", phone_calls: 2 }
    end)
    half = Papers::Bill.new(title: "Bill 1", date: "today", shop: %w[Shop Street], tax_number: nil, customer: [NAME],
      about: [], rows: rows, sums: [["Tax", "$1.00"]], total: ["Total", "$990.00"], held: false, notes: [])
    { "a4" => [[210, 297], [148, 210]], "letter" => [[216, 279], [140, 216]] }.each do |sheets, (a, b)|
      [[whole, a], [half, b]].each do |paper, size|
        text, found = read(paper.render(sheets: sheets))

        assert_equal size, found
        ["Þórsdóttir"].each { |words| assert_includes text, words }
      end
      text, = read(half.render(sheets: sheets))

      assert_equal 60, text.scan("$16.50").size
    end
    assert_raises(KeyError) { whole.render(sheets: "folio") }
  end

  def test_the_labels_one_a_page
    label = { part: "Exhaust cassette", machine: "Loft K, BK-1", fitted_on: Date.new(2026, 3, 2),
              due_on: Date.new(2027, 2, 15), code: "M1" }
    pdf = Papers::FilterLabel.new(shop: "Shop", labels: [label, label.merge(part: "Motor filter", due_on: nil)]).render
    text, size = read(pdf)

    assert_equal [62, 29], size
    assert_equal 2, pdf.scan(%r{/Type /Page\b}).size
    ["fitted 2 Mar 2026", "next 15 Feb 2027", "Motor filter"].each { |words| assert_includes text, words }
  end

  # Tags on every roll and sheet: of its size, whole, and with a code that scans.
  def test_tags_on_what_the_shop_prints_on
    tags = Array.new(11) { |n| { number: 1040 + n, code: "J#{1040 + n}", lines: ["Dart M", NAME, "pulses " * 40] } }
    Core::Labels::Stock::TAGS.each do |key, stock|
      rendered = Papers::ClaimTag.new(shop: "Shop", tags: tags).make(tags: key)
      text, size = read(rendered.bytes)

      assert_equal stock.page_mm.map(&:round), size, key
      assert_equal 11, rendered.pages, "counted in tags"
      assert_equal (11.0 / stock.a_page).ceil, rendered.bytes.scan(%r{/Type /Page\b}).size, key
      tags.each { |tag| assert_includes text, tag[:number].to_s }
      assert_equal tags.map { |tag| "QR-Code:#{tag[:code]}" },
        scanned(rendered.bytes, stock.sheet? ? 300 : 203).sort, key
    end
  end

  # @param dots [Integer] an inch, of the printer
  def scanned(pdf, dots)
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/tags.pdf", pdf)
      system("pdftoppm", "-r", dots.to_s, "-mono", "#{folder}/tags.pdf", "#{folder}/tag")
      Dir["#{folder}/tag*.pbm"].flat_map { |page| Open3.capture2("zbarimg", "-q", "--nodbus", page).first.split }
    end
  end

  def test_the_card_is_a6_and_says_what_it_cannot_hold
    lines = Array.new(14) do |n|
      Core::Cards::Letter::Line.new(machine: "Stride 36, #{n % 5}", part: "Front brush strip",
        action: "replace", due_on: Date.new(2026, 3, 2), overdue: true)
    end
    letter = Core::Cards::Letter.new(customer: NAME, shop: "Shop", shop_phone: "555-0199", lines: lines,
      link: "http://127.0.0.1/c/#{'a' * 26}")
    text, size = read(Papers::PostCard.new(letter: letter, address: "#{NAME}\nOld Slip 1\nPell Harbor", sender: "Shop")
      .render)

    assert_equal [148, 105], size
    assert_equal 8, text.scan("front brush strip").size
    assert_includes text, "and 6 more"
    assert_includes text, "by the code"
    assert_includes text, "Old Slip 1"
  end

  def letter(customer)
    line = Core::Cards::Letter::Line.new(machine: "Loft K", part: "Exhaust cassette", action: "replace",
      due_on: Date.new(2026, 3, 2), overdue: true)
    Core::Cards::Letter.new(customer: customer, shop: "Shop", shop_phone: "555-0199", lines: [line],
      link: "http://127.0.0.1/c/#{customer[-1] * 26}")
  end

  # Four A6 cards on a sheet of A4 laid across (ISO 216: it is halved twice), each whole and once; their codes are read
  # back.
  def test_many_cards_on_sheets_with_marks_to_cut_by
    cards = %w[a b c d e].map { |name| { letter: letter("Customer #{name}"), address: "Customer #{name}\nOld Slip 1" } }
    pdf = Papers::CardSheet.new(cards: cards, sender: "Shop", style: Papers::PostCard::Style.of({}), sheet: "a4").render
    text, size = read(pdf)

    assert_equal [[297, 210], 2], [size, pdf.scan(%r{/Type /Page\b}).size]
    %w[a b c d e].each { |name| assert_equal 2, text.scan("Customer #{name}").size }
    image, = Open3.capture2("pdftoppm", "-r", "200", "-f", "1", "-l", "1", "-png", "-", stdin_data: pdf, binmode: true)
    codes, = Open3.capture2("zbarimg", "-q", "--nodbus", "--raw", "-", stdin_data: image, binmode: true)

    assert_equal %w[a b c d].map { |name| "http://127.0.0.1/c/#{name * 26}" }, codes.split.sort
  end

  def test_four_by_six_inches_and_an_address_where_the_window_is
    style = Papers::PostCard::Style.of("card_size" => "inch_4x6", "card_layout" => "window")
    pdf = Papers::PostCard.new(letter: letter("Customer a"), address: "Window Person\nOld Slip 1", sender: "Shop",
      style: style).render
    box, = Open3.capture2("pdftotext", "-bbox", "-", "-", stdin_data: pdf, binmode: true)
    left, bottom = box.match(/xMin="([\d.]+)" yMin="[\d.]+" xMax="[\d.]+" yMax="([\d.]+)">Window</)
      .captures.map { |points| points.to_f * 25.4 / 72 }

    assert_equal [152, 102], read(pdf).last
    assert_in_delta 20, left, 1 # DIN 680, from memory: the window begins 20 mm from the left
    assert_includes 15..60, 101.6 - bottom # and lies 15 to 60 mm above the edge
  end

  # What was done, what was left, what comes next by its month, and what goes home.
  def test_the_slip_that_goes_home
    text, = read(Papers::HandOverSlip.new(shop: ["Shop", "Street 1"], number: 1207, date: "27 Nov 2026",
      about: [NAME], parts: { done: [["Roll: cleaned", nil]], left: [["Seal", "as found"]],
                              next: [["Cassette: replace", "March 2027"]], back: [] }, notes: ["$58.53"]).render)

    ["Done", "Roll: cleaned", "Left as it is", "Seal", "What comes next", "March 2027", "$58.53", "1207"]
      .each { |words| assert_includes text, words }
    refute_includes text, "With the machine"
  end

  def test_what_is_said_below_a_row_of_the_slip_stands_on_its_page
    rows = Array.new(60) { |n| ["Place #{n}: clean", "yearly", "care #{n} #{'of it ' * (n % 3 * 12)}"] }
    paper = Papers::HandOverSlip.new(shop: ["Shop", "Street 1"], number: 1207, date: "27 Nov 2026", about: [NAME],
      parts: { home: rows }, notes: []).render
    pages = Open3.capture2("pdftotext", "-", "-", stdin_data: paper, binmode: true).first.split("\f")

    assert_operator pages.size, :>, 2
    60.times { |n| assert_equal [[1, 1]], pages.map { |page| counts_of(page, n) }.uniq - [[0, 0]] }
  end

  def counts_of(page, place)
    [/Place #{place}: clean/, /care #{place}\b/].map { |words| page.scan(words).size }
  end

  def test_the_list_of_calls
    text, = read(Papers::CallList.new(shop: "Shop", rows: Array.new(40) do |n|
      { name: "#{NAME} #{n}", phone: "555-01#{n}", words: "Loft K\n - a new filter", phone_calls: n % 2 }
    end).render)

    assert_equal [40, 20], [text.scan("Said:").size, text.scan("not reached 1").size]
  end

  def test_a_long_order_and_a_long_list_go_on_to_another_page
    lines = Array.new(70) { |n| { number: "HD-#{n}", name: "Filter #{n}", pieces: 2, packs: 2r, cost_cents: 110 } }
    order = Papers::SupplierOrder.new(shop: "Shop", number: 207, supplier: NAME, date: "25 Nov 2026", by: "Ines",
      lines: lines, money: ->(cents) { format("$%.2f", cents / 100.0) }).render
    rows = Array.new(90) do |n|
      { date: Date.new(2026, 3, 2) + (n * 4), machine: "Stride 36 K-#{n}",
        what: ["replace tube filter"], overdue: n.zero? }
    end
    list = Papers::DueList.new(shop: "Shop", customer: NAME, until_on: Date.new(2027, 3, 2), rows: rows).render

    [[order, ["Order 207", "HD-69", "$154.00"]], [list, ["Overdue", "March 2026", "K-89"]]].each do |pdf, said|
      text, size = read(pdf)

      assert_equal [210, 297], size
      assert_operator pdf.scan(%r{/Type /Page\b}).size, :>, 1
      said.each { |words| assert_includes text, words }
    end
  end

  # The code decodes to what was put in: the page is drawn and read by zbar.
  def test_the_code_on_the_tag_scans
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/tag.pdf", Papers::ClaimTag.new(shop: "Shop",
        tags: [{ number: 1042, code: "J1042", lines: [] }]).render)
      system("pdftoppm", "-r", "200", "-png", "#{folder}/tag.pdf", "#{folder}/tag")
      read, = Open3.capture2("zbarimg", "-q", "--nodbus", "--raw", Dir["#{folder}/tag*.png"].first)

      assert_equal "J1042", read.strip
    end
  end
end
