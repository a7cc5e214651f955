# frozen_string_literal: true

require_relative "../../test_helper"

# Customers and their machines from a file, from the upload to the last row.
class MovingInTest < DatabaseTest
  HEAD = "Customer ID,Name,Phone,Email,Street,Town,Make,Model,Kind,Serial no,Bought,Last service,Email consent"

  def give(*lines, head: HEAD)
    text = lines.first.is_a?(Integer) ? lines.first : [head, *lines].join("\r\n")
    @import = Services::KeepCustomerList.call(StringIO.new(text), by: owner, at: NOW)
    run_jobs
    @import.refresh
  end

  # What waits in the queue, until nothing waits; each job in the transaction that it makes.
  def run_jobs(most: 1000)
    most.times do
      job = DB[:que_jobs].where(finished_at: nil).where(Sequel.like(:job_class, "%CustomerList%")).order(:id).first
      return unless job

      DB[:que_jobs].where(id: job[:id]).delete
      Object.const_get(job[:job_class]).new({ args: JSON.parse(job[:args].to_json), kwargs: {} }).run(*job[:args].to_a)
    end
  end

  def check(**changes)
    asked = { meanings: @import.meanings.to_a, date_order: "ymd", starter: "cordless-stick" }.merge(changes)
    Services::CheckCustomerList.ask(@import, **asked, by: owner, at: NOW)
    run_jobs
    @import.refresh
  end

  def steer(move)
    Services::SteerCustomerList.call(@import, move, by: owner, at: NOW)
    run_jobs
    @import.refresh
  end

  def move_in(*lines, **more)
    give(*lines, **more)
    check
    steer("begin")
  end

  def customer(name)
    Models::Customer.first(name: name)
  end

  def counts
    @import.values.slice(:customers_added, :machines_added, :joined, :known, :wrong).values
  end

  def test_a_customer_with_two_machines_and_clocks_since_the_last_service
    move_in("7,Ané Kell,902 425 0142,ane@kell.example,3 Quay,Tweed,Ostrel,Stride 36,,mv-1,2022-04-03,2026-05-14,yes",
      "7,Ané Kell,902 425 0142,ane@kell.example,3 Quay,Tweed,Quellmark,Rundler 5,Drum,,,,yes")

    assert_equal ["written", 1, 2, 1, 0, 0], [@import.state, *counts]
    ane = customer("Ané Kell")

    assert_equal ["+19024250142", "7", true, false],
      ane.values.values_at(:phone, :former_number, :email_agreed, :text_agreed)
    assert_equal [%w[email on_file]], ane.consents.map { |consent| [consent.channel, consent.how] }
    stride, rundler = ane.machines

    assert_equal ["MV-1", Date.new(2022, 4, 3)], [stride.serial_number, stride.bought_on]
    assert_equal stride.to_core.positions.sum { |place| place.tasks.size }, stride.dues.size
    assert_equal [Date.new(2026, 5, 14)], stride.dues.map(&:started_on).uniq
    assert_empty rundler.dues
    assert_equal [:drum, true], [rundler.to_core.kind.to_sym, rundler.sheet.current_version.content["rough"]]
    assert_equal stride.to_core.positions.size, stride.fittings.size
  end

  # The clocks of a machine that moved in are those that it would have had here.
  def test_its_clocks_are_those_of_a_machine_that_was_serviced_here
    move_in("7,Ané Kell,902 425 0142,,,,Ostrel,Stride 36,,MV-1,2022-04-03,2026-02-14,")
    moved = customer("Ané Kell").machines.first
    before = moved.dues.to_h { |due| [[due.position, due.task], due.due_on] }
    Services::SetClocks.again([moved], on: today, why: "computed again")

    assert_equal before, moved.refresh.dues_dataset.all.to_h { |due| [[due.position, due.task], due.due_on] }
    refute_empty before
  end

  def test_duplicates_are_told_apart
    known = Models::Customer.order(:id).exclude(phone: nil).first
    give("1,#{known.name},,#{known.email || 'new@kell.example'},,,,,,,,,", "2,Jo Kell,902 425 0142,,,,,,,,,,",
      "3,Jo Kell,902 425 0143,,,,,,,,,,", ",Jo Kell,902 425 0142,jo@kell.example,3 Quay,Tweed,,,,,,,",
      ",Sam Kell,902 425 0142,,,,,,,,,,", ",Jo Kell,,,5 Quay,Tweed,,,,,,,")
    check
    steer("begin")

    assert_equal [Date, 3], [Date, Models::Customer.where(name: ["Jo Kell", "Sam Kell"]).count]
    assert_equal "jo@kell.example", Models::Customer.first(former_number: "2").email
    assert_match(/nothing tells whether it is the same/, @import.left_out.select_map(:reason).join)
  end

  # Whoever was on file before phones had one form.
  def test_a_phone_as_it_was_typed_long_ago_is_the_same_phone
    old = Models::Customer.create(name: "Ida Quint", phone: "902 425-0142", created_by: owner.id, created_at: NOW)
    move_in(",Ida Quint,(902) 425 0142,,,,Ostrel,Stride 36,,MV-9,,,")

    assert_equal [old.id], Models::Customer.where(name: "Ida Quint").select_map(:id)
    assert_equal ["MV-9"], old.machines.map(&:serial_number)
  end

  def test_a_second_file_names_its_customers_by_their_number
    move_in("7,Ané Kell,902 425 0142,,,,,,,,,,", "8,Jo Orr,902 425 0143,,,,,,,,,,")
    move_in("8,Ostrel,Stride 36,K-77", "9,Ostrel,Stride 36,K-78", head: "Customer ID,Make,Model,Serial no")

    assert_equal ["K-77"], customer("Jo Orr").machines.map(&:serial_number)
    assert_equal ["No customer has the number 9."], @import.left_out.select_map(:reason)
  end

  def test_read_twice_it_is_there_once
    rows = ["7,Ané Kell,902 425 0142,ane@kell.example,,,Ostrel,Stride 36,,MV-1,,2026-05-14,yes",
            "8,Jo Orr,902 425 0143,,,,Ostrel,Stride 36,,,,,"]
    move_in(*rows)
    before = [Models::Customer.count, Models::Machine.count, Models::Due.count, Models::Consent.count]
    move_in(*rows)

    assert_equal before, [Models::Customer.count, Models::Machine.count, Models::Due.count, Models::Consent.count]
    assert_equal [0, 0, 2, 2, 0], counts
  end

  # Whoever took consent back does not get it again from an old file.
  def test_consent_of_somebody_on_file_is_not_touched
    move_in("7,Ané Kell,902 425 0142,ane@kell.example,,,,,,,,,no")
    move_in("7,Ané Kell,902 425 0142,ane@kell.example,,,,,,,,,yes")

    refute customer("Ané Kell").email_agreed
  end

  def test_wrong_rows_come_back_as_a_file_that_can_be_read_again
    move_in("1,=Formula,,bad mail,,,,,,,,,", "2,Jo Orr,,,,,Ostrel,,,,2099-01-01,,maybe")
    file = Formats::CustomerList.left_out(@import.headers.to_a, @import.left_out.order(:line).all).to_a.join

    assert_equal [0, 0, 0, 0, 2], counts
    assert_includes file, "The e-mail address “bad mail” is none."
    assert_includes file, "has not come yet"
    assert_includes file, "'=Formula"
    text = file.gsub("bad mail", "").gsub("2099-01-01", "2020-01-01").gsub("maybe", "yes").gsub("Ostrel,,",
      "Ostrel,Stride 36,")
    @import = Services::KeepCustomerList.call(StringIO.new(text), by: owner, at: NOW)
    run_jobs
    @import.refresh
    check
    steer("begin")

    assert_equal [2, 1, 0, 0, 0], counts
    assert customer("=Formula")
  end

  def test_a_serial_number_is_one_customer_s
    move_in("1,Ané Kell,902 425 0142,,,,Ostrel,Stride 36,,MV-1,,,",
      "2,Jo Orr,902 425 0143,,,,Ostrel,Stride 36,,mv-1,,,")

    assert_match(/somebody else's/, @import.left_out.get(:reason))
    assert_equal 1, Models::Machine.where(serial_number: "MV-1").count
  end

  def test_paused_and_cancelled_it_keeps_what_is_written
    give(*Array.new(600) { |index| "#{index},Kell #{index},,k#{index}@kell.example,,,,,,,,," })
    check
    Services::SteerCustomerList.call(@import, "begin", by: owner, at: NOW)
    run_jobs(most: 1)
    steer("pause")

    assert_equal ["paused", Services::WriteCustomerList::SLICE], [@import.state, @import.customers_added]
    assert_raises(Services::Refused) do
      other = @import
      give("1,Jo,,,,,,,,,,,")
      check
      steer("begin")
    ensure
      @import = other
    end
    steer("go_on")

    assert_equal ["written", 600], [@import.state, @import.customers_added]
    assert_equal "written", steer("cancel").state
  end

  # Killed after any slice, it goes on with what is not written.
  def test_a_job_that_runs_twice_writes_nothing_twice
    give(*Array.new(300) { |index| "#{index},Kell #{index},,k#{index}@kell.example,,,,,,,,," })
    check
    Services::SteerCustomerList.call(@import, "begin", by: owner, at: NOW)
    5.times { Services::WriteCustomerList.slice(@import.id, at: NOW) }

    assert_equal 300, Models::Customer.where(Sequel.like(:name, "Kell %")).count
    assert_equal [300, "written"], [@import.refresh.customers_added, @import.state]
  end

  def test_a_job_that_looks_through_twice_looks_at_no_row_twice
    give(*Array.new(30) { |index| "#{index},Kell #{index},,#{'bad mail' if index.even?},,,,,,,,," })
    Services::CheckCustomerList.ask(@import, meanings: @import.meanings.to_a, date_order: "ymd",
      starter: "cordless-stick", by: owner, at: NOW)
    4.times { Services::CheckCustomerList.slice(@import.id, at: NOW) }

    assert_equal ["checked", 30, 15], @import.refresh.values.values_at(:state, :through, :wrong)
  end

  def test_a_file_that_is_parted_twice_is_left_alone
    give("1,Jo,,,,,,,,,,,")
    check
    Services::PartCustomerList::Work.new({ args: [], kwargs: {} }).run(@import.id)

    assert_equal ["checked", 1], @import.refresh.values.values_at(:state, :rows)
    steer("begin")
    Services::PartCustomerList.call(@import)

    assert_equal "written", @import.refresh.state
  end

  def test_read_anew_in_another_encoding
    @import = Services::KeepCustomerList.call(StringIO.new("Name\nM\xFC\xDFig\n".b), by: owner, at: NOW)
    run_jobs

    assert_equal "Müßig", @import.refresh.import_rows.get(:cells).first
    Services::PartCustomerList.again(@import, encoding: "macRoman", by: owner)

    refute_equal "Müßig", @import.refresh.import_rows.get(:cells).first
    assert_equal %w[to_map macRoman], @import.values.values_at(:state, :encoding)
  end

  def test_every_encoding_and_an_address_book
    rows = "Kundennr;Name;Ort\r\n1;Jürgen Müßig;Köln\r\n"
    %w[UTF-8 Windows-1252 macRoman CP850 UTF-16LE].each do |name|
      mark = name == "UTF-16LE" ? "\xFF\xFE".b : "".b
      @import = Services::KeepCustomerList.call(StringIO.new(mark + rows.encode(name).b), by: owner, at: NOW)
      run_jobs

      assert_equal [name, ["1", "Jürgen Müßig", "Köln"]],
        [@import.refresh.encoding, @import.import_rows.get(:cells).to_a], name
    end
    card = "BEGIN:VCARD\nVERSION:4.0\nFN:Zoé Larue\nTEL:902 425 0142\nEND:VCARD\n"
    @import = Services::KeepCustomerList.call(StringIO.new(card), by: owner, at: NOW)
    run_jobs
    check(meanings: @import.refresh.meanings.to_a)
    steer("begin")

    assert_equal "+19024250142", customer("Zoé Larue").phone
  end

  def test_what_goes_out_comes_back_with_nothing_new
    text = Formats::CustomerList.lines(Queries::CustomersForAFile.new).to_a.join
    before = [Models::Customer.count, Models::Machine.count]
    @import = Services::KeepCustomerList.call(StringIO.new(text), by: owner, at: NOW)
    run_jobs
    @import.refresh
    check

    assert_equal "checked", @import.state
    assert_equal 0, @import.wrong, @import.left_out.select_map(:reason).first(3)
    steer("begin")

    assert_equal [before, 0, 0], [[Models::Customer.count, Models::Machine.count], @import.machines_added,
                                  @import.customers_added], @import.left_out.select_map(:reason).first(3)
  end

  def test_only_the_owner_and_only_what_can_be_read
    assert_raises(Services::Forbidden) do
      Services::KeepCustomerList.call(StringIO.new("Name\nJo"), by: technician, at: NOW)
    end
    assert_raises(Services::Invalid) { Services::KeepCustomerList.call(StringIO.new(""), by: owner, at: NOW) }
    ["Name\n", "\"Name\nJo", "\x00\x01".b * 50].each do |text|
      @import = Services::KeepCustomerList.call(StringIO.new(text), by: owner, at: NOW)
      run_jobs

      assert_equal "bad", @import.refresh.state, text
    end
    give("1,Jo,,,,,,,,,,,")

    { meanings: ["name"], date_order: "xyz", starter: "none" }.each do |field, value|
      assert_raises(Services::Invalid, field) { check(field => value) }
    end
    assert_raises(Services::Invalid) { check(meanings: ["name"] * 13) }
  end

  def test_old_files_go
    give("1,Jo,,bad mail,,,,,,,,,")
    check
    Services::KeepCustomerList.forget_old(at: NOW + (31 * 86_400))

    assert_equal [0, 0], [@import.import_rows.count, @import.pieces.count]
  end
end
