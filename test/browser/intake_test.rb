# frozen_string_literal: true

require "tempfile"
require "vips"
require_relative "../browser_helper"

# The counter: a repeat customer's machine in eleven keystrokes, pictures, many machines, a stop.
class IntakeBrowserTest < BrowserTest
  MOST_KEYSTROKES = 11

  # A customer with one machine that is not on the bench, whose last four digits are nobody else's.
  def known_machine
    new_machine(name: "Repeat Customer", phone: "555-8264")
  end

  # @return [Integer] how many keys were pressed
  def count_keys(*keys)
    keys.flat_map { |key| key.is_a?(String) ? key.chars : [key] }.each { |key| press key }.size
  end

  def test_a_repeat_customers_machine_by_the_last_four_digits_in_at_most_eleven_keystrokes
    machine = known_machine
    sign_in
    visit "/"
    keys = count_keys("t")
    wait_for("the search") { focused == "q" }
    keys += count_keys("8264", :Enter)

    assert_css "h1", text: "#{machine.sheet.title}, Repeat Customer"
    keys += count_keys("1", "6", "n", "m")

    assert_field "Complaint", with: "pulses, smells"
    keys += count_keys(:Enter)

    assert_css "#row-roll"
    job = Models::Job.order(:id).last

    assert_operator keys, :<=, MOST_KEYSTROKES
    assert_equal [machine.id, "pulses, smells"], [job.machine_id, job.complaint]
    refute_nil job.made_safe_at
  end

  def test_the_same_by_taps_by_name_with_a_typing_error_and_by_a_scan
    machine = known_machine
    sign_in
    visit "/take-in"
    fill_in "Customer or machine", with: "Repaet Custom"

    assert_css ".hit", text: machine.serial_number
    taps = [-> { find(".hit", text: machine.serial_number).click }, -> { click_button "pulses" },
            -> { check "None of these" }, -> { check "Made safe" }, -> { click_button "Take it in" }]
    taps.each(&:call)

    assert_css "#row-roll"
    assert_operator taps.size, :<=, MOST_KEYSTROKES
    Models::Job.order(:id).last.update(state: "handed_over")
    ["M#{machine.id}", "J#{Models::Job.order(:id).last.number}", machine.serial_number].each do |scan|
      visit "/take-in"
      fill_in "Customer or machine", with: scan
      press :Enter

      assert_css "h1", text: "Repeat Customer"
    end
  end

  # What comes with it and how it is made safe follows model and kind at once; what was ticked stays.
  def test_a_new_machine_shows_its_accessories_and_its_safety_once_its_kind_is_known
    sign_in
    visit "/take-in?new=1"

    assert_css "#safety li", text: "Unplug a mains machine"
    check "burnt smell, sparks or a shock"
    find("summary", text: "Model not on file").click
    find("label", text: "robot", exact_text: true).click

    assert_css "#safety li", text: "Take it off its dock"
    assert_checked_field "burnt smell, sparks or a shock"
    assert_no_field "lead or plug damaged"
    check "dock"
    fill_in "Model", with: "hallmoor dart m"
    find(".picker-hits button", text: "Dart M").click

    assert_css "#safety li", text: "Take the battery out"
    assert_unchecked_field "mini head"
    assert_checked_field "burnt smell, sparks or a shock"
  end

  def picture(megabytes)
    bytes = Vips::Image.gaussnoise(2400, 1600, mean: 128, sigma: 50).cast(:uchar).jpegsave_buffer(Q: 95)
    file = Tempfile.new(["close", ".jpg"]).tap(&:binmode)
    file.write(bytes + ("\0" * [(megabytes * 1024 * 1024) - bytes.bytesize, 0].max))
    file.tap(&:close)
  end

  def test_a_note_with_a_picture_stands_at_the_next_take_in
    machine = known_machine
    sign_in
    visit "/machines/#{machine.id}"
    select "roll", from: "About"
    fill_in "note-text", with: "Clip repaired, hold it when opening"
    attach_file "Pictures", picture(1).path
    click_button "Keep the note"

    assert_css "#notes img[alt^='Picture 1 of the note']"
    text = Tempfile.new(["fake", ".jpg"]).tap { |file| file.write("no picture at all") && file.close }
    fill_in "note-text", with: "Spring is weak"
    attach_file "Pictures", text.path
    click_button "Keep the note"

    assert_text(/The note is kept\. Without pictures: .*is no picture/)
    assert_css ".note", text: "Spring is weak"
    visit "/take-in?machine_id=#{machine.id}"

    assert_css ".note", text: "Clip repaired"
    assert_css ".note img"
    assert_empty axe
  end

  def test_pictures_of_twenty_megabytes_and_what_is_no_picture
    machine = known_machine
    text = Tempfile.new(["fake", ".jpg"]).tap { |file| file.write("no picture at all") && file.close }
    sign_in
    visit "/take-in?machine_id=#{machine.id}"
    click_button "smells"
    check "None of these"
    check "Made safe"
    find("summary", text: "Pictures").click
    attach_file "Camera or file", text.path
    click_button "Take it in"

    assert_css "#pictures-error", text: "is no picture"
    assert_field "Complaint", with: "smells"
    attach_file "Camera or file", picture(20).path
    click_button "Take it in"

    assert_css "#row-roll"
    job = Models::Job.order(:id).last
    visit "/jobs/#{job.number}"

    assert_css ".pictures img"
    wait_for("the thumbnail") { evaluate_script("document.querySelector('.pictures img').naturalWidth") == 320 }
    attach_file "pictures", picture(26).path
    click_button "Add"

    assert_css "[role=alert]", text: "26 MB; at most 25 MB"
  end

  def test_a_stop_at_the_counter_and_what_was_done_about_it
    machine = known_machine
    sign_in
    visit "/take-in?machine_id=#{machine.id}"
    click_button "short run time"
    check "battery swollen, hot, leaking or wet"
    click_button "Take it in"

    assert_css ".stop-box", text: "collection point"
    job = Models::Job.order(:id).last
    visit "/jobs/#{job.number}/look-over"

    assert_css "[role=alert]", text: "stays shut"
    assert_css "#row-roll .verdict-button:disabled"
    visit "/jobs/#{job.number}"
    fill_in "What was done about it", with: "Pack taken out with tongs, in the sand bucket"
    click_button "Record as Ines Varga"

    assert_text "Made safe by Ines Varga"
    visit "/jobs/#{job.number}/look-over"

    refute_css "#row-roll .verdict-button[data-verdict='1']:disabled"
  end

  def test_many_machines_from_a_list
    owner = known_machine.customer
    sign_in
    visit "/take-in/many?customer_id=#{owner.id}"
    fill_in "Or paste it here", with: "maker,model,serial_number,complaint\nOstrel,Stride 36,F-1,weak\nOstrel,Stride " \
                                      "37,F-2,\n"
    check "I looked at each"
    check "Each is unplugged"
    click_button "Take them in"

    assert_text "Line 3: there is no sheet of Ostrel Stride 37"
    assert_empty Models::Machine.where(serial_number: "F-1")
    fill_in "Or paste it here", with: "maker,model,serial_number,complaint\nOstrel,Stride 36,F-1,weak\nOstrel,Stride " \
                                      "36,F-2,\n"
    check "Hallmoor Dart M"
    click_button "Take them in"

    assert_css "h1", text: "3 machines taken in"
    assert_equal ["half-yearly service", "weak", "half-yearly service"],
      Models::Job.order(Sequel.desc(:id)).limit(3).select_map(:complaint).reverse
    assert_equal "%PDF",
      evaluate_async_script("fetch(document.querySelector('main a.btn').href).then((answer) => " \
                            "answer.text()).then((text) => arguments[0](text.slice(0, 4)))")
  end

  def test_what_came_with_it_is_counted_out_again
    job = take_in(known_machine, accessories: { "wand" => 1, "charger" => 1 })
    Services::EndEarly.call(job.number, how: "declined", by: technician, at: NOW)
    sign_in
    visit "/jobs/#{job.number}"
    fill_in "wand", with: "1"
    click_button "Hand over"

    assert_text "Missing: charger. Give it back, or write where it is."
    assert_field "wand", with: "1"
    fill_in "charger", with: "1"
    click_button "Hand over"

    assert_text "Handed over"
  end
end
