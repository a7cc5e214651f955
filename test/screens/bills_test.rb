# frozen_string_literal: true

# Needs: poppler-utils

require_relative "../test_helper"
require_relative "../support/as_staff"
require "open3"

# Money on screen: handed over and paid, part paid, taken back, counted, and out to the books.
class BillsScreenTest < DatabaseTest
  include AsStaff

  def setup
    sign_in
    Models::Shop.the.update(tax_number: "TX-77")
    Services::SavePolicies.call({ "part_tax_percent" => 19, "labour_tax_percent" => 7 }, by: owner, at: NOW)
    @job = closed_up
  end

  def closed_up
    job = take_in(new_machine)
    record(job, "pre-filter", { torn: true })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    Services::Settle.call(job.number, agreed_name: "Anna", agreed_how: "counter", by: technician, at: NOW)
    job.work_items_dataset.each { |item| Services::DoWorkItem.call(job.number, item.id, by: technician, at: NOW) }
    close_job(job)
    job
  end

  def hand_over(way)
    submit "/jobs/#{@job.number}/hand-over", { "way" => way }, from: "/jobs/#{@job.number}"
    Models::Bill.where(job_id: @job.id).reverse(:number).first
  end

  def test_handed_over_for_cash_is_billed_and_paid
    get "/jobs/#{@job.number}"

    assert_says(/, paid by/)
    bill = hand_over("cash")
    get "/bills/#{bill.number}"

    assert_says(%r{<b>Paid</b>|Paid})
    refute_includes page, "Take payment"
    get "/bills"

    assert_includes page, "/bills/#{bill.number}"
    refute_includes Queries::Owed.new.rows.map { |row| row.bill.number }, bill.number
  end

  def test_sums_are_in_the_currency_of_the_shop
    Services::SavePolicies.call({ "currency" => "SEK" }, by: owner, at: NOW)
    bill = hand_over("account")
    get "/bills/#{bill.number}"

    assert_says(/#{bill.total_cents / 100},\d\d kr/)
    assert_says(/Take, kr/)
    get "/settings"

    assert_says(/Bench time, an hour, kr/)
    refute_match(/\$\d/, page)
  end

  def test_a_deposit_is_taken_on_the_jobs_page_and_counts_at_hand_over
    Services::SavePolicies.call({ "smallest_coin_cents" => 5 }, by: owner, at: NOW)
    Services::TakeBack.call(@job.number, reason: "not yet", by: owner, at: NOW)
    get "/jobs/#{@job.number}"
    key = page[/name="request_key" value="([^"]+)"/, 1]
    deposit = { "amount" => "10,03", "way" => "card", "request_key" => key }
    submit "/jobs/#{@job.number}/deposit", { **deposit, "amount" => "lots" }, from: "/jobs/#{@job.number}"

    assert_equal 422, status
    2.times do
      submit "/jobs/#{@job.number}/deposit", { **deposit, "amount" => "10.03" }, from: "/jobs/#{@job.number}"
    end

    assert_equal(-1003, Services::Balance.of_job(@job.refresh))
    close_job(@job)
    get "/jobs/#{@job.number}"

    assert_says(/in cash\), paid by/)
    hand_over("cash")

    assert_equal 0, Services::Balance.of_job(@job.refresh)
  end

  def test_a_bill_is_mailed_to_who_agreed
    @job.customer.update(email: "wendel@example.org")
    bill = hand_over("account")
    submit "/bills/#{bill.number}/mail", {}, from: "/bills/#{bill.number}"

    assert_equal 422, status
    assert_says(/Ask them first/)
    submit "/bills/#{bill.number}/mail", { "agreed" => "1" }, from: "/bills/#{bill.number}"
    get "/bills/#{bill.number}"

    assert_says(/On its way to wendel@example\.org/)
    refute_includes page, "agreed to get bills"
  end

  def test_a_way_that_there_is_not
    hand_over("gold")

    assert_equal [422, "closed_up", 0], [status, @job.refresh.state, Models::Bill.where(job_id: @job.id).count]
    assert_says(/Choose how it is paid/)
  end

  def test_on_account_is_owed_paid_in_parts_and_refused_beyond
    bill = hand_over("account")
    get "/bills"

    assert_says(/up to 30 days/)
    pay(bill, "99999")

    assert_equal 422, status
    assert_says(/The sum is at most/)
    pay(bill, "1.50")
    get "/bills/#{bill.number}"

    assert_says(/#{Regexp.escape(Services::Policies.now.currency.words(bill.total_cents - 150))} to pay/)
  end

  def test_taken_back_by_whoever_may
    bill = hand_over("card")
    submit "/bills/#{bill.number}/credit", { "reason" => "" }, from: "/bills/#{bill.number}"

    assert_equal 422, status
    submit "/bills/#{bill.number}/credit", { "reason" => "wrong customer" }, from: "/bills/#{bill.number}"
    credit = Models::Bill.first(credits_id: bill.id)
    get "/bills/#{credit.number}"

    assert_says(/Takes back/)
    assert_says(/to give back/)
    get "/bills"

    assert_says(/To give back/)
  end

  def test_what_was_paid_for_a_job_that_was_taken_back_is_not_given_back
    hand_over("card")
    Services::TakeBack.call(@job.number, reason: "too early", by: owner, at: NOW)

    assert_empty Queries::Owed.new(customer_id: @job.refresh.customer_id).to_give_back
    get "/jobs/#{@job.number}"

    assert_says(/was paid before/)
  end

  def test_a_technician_takes_no_bill_back
    bill = hand_over("card")
    submit "/logout"
    sign_in(Demo::Load.mail("Tobiah Lund"))
    get "/jobs/#{@job.number}"

    refute_match(/Take it back/, page)
    submit "/bills/#{bill.number}/credit", { "reason" => "x" }, from: "/bills"

    assert_equal 403, status
    submit "/jobs/#{@job.number}/take-back", { "take_back_reason" => "x" }, from: "/bills"

    assert_equal [403, "handed_over", 1], [status, @job.refresh.state, Models::Bill.where(job_id: @job.id).count]
  end

  def test_the_drawer
    hand_over("cash")
    key = SecureRandom.uuid
    submit "/bills/drawer", { "counted" => "1", "left" => "0", "note" => "", "request_key" => key }, from: "/bills"

    assert_says(/A reason is needed: \$[\d.]+ too little/)
    submit "/bills/drawer", { "counted" => "1", "left" => "0", "note" => "float", "request_key" => key }, from: "/bills"

    assert_equal 303, status
    get "/bills"

    assert_says(/Should hold <b class="mono">\$0\.00/)
  end

  def test_out_to_the_books
    bill = hand_over("transfer")
    get "/bills/bills.csv?from=#{today}&till=#{today}"
    rows = CSV.parse(last_response.body, headers: true).select { |row| row["number"] == bill.number.to_s }

    assert_equal %w[19 7], rows.map { |row| row["rate"] }
    assert_equal bill.total_cents, rows.sum { |row| (row["total"].to_r * 100).to_i }
    get "/bills/payments.csv"

    assert_includes last_response.body, "transfer,#{format('%.2f', bill.total_cents/100r)}"
    get "/bills/bills.csv?from=nonsense&till[]=1"

    assert_equal 200, status
  end

  def test_on_paper_and_on_a_till_roll
    bill = hand_over("cash")
    %w[bill roll].each do |paper|
      get "/bills/#{bill.number}/#{paper}.pdf"

      assert_equal "application/pdf", last_response.media_type
      text, = Open3.capture2("pdftotext", "-layout", "-", "-", stdin_data: last_response.body, binmode: true)

      said = [bill.title, "TX-77", "Tax 19 %", "Tax 7 %", Services::Policies.now.currency.words(bill.total_cents),
              "Paid. Thank you."]

      said.each { |words| assert_includes text, words }
    end
    info, = Open3.capture2("pdfinfo", "-", stdin_data: last_response.body, binmode: true)
    width, height = info[/Page size:.*/].scan(/[\d.]+/).map { |points| points.to_f / 72 * 25.4 }

    assert_in_delta 80, width, 0.5
    assert_operator height, :<, 250, "as long as it takes"
    get "/bills/#{bill.number}/gold.pdf"

    assert_equal 404, status
    get "/bills/99999999"

    assert_equal 404, status
  end

  def test_a_fleets_month_on_account_is_one_statement
    first = hand_over("account")
    customer = @job.refresh.customer
    @job = closed_up
    @job.refresh.update(customer_id: customer.id)
    second = hand_over("account")
    get "/customers/#{customer.id}"

    assert_says(/Print the statement/)
    get "/customers/#{customer.id}/statement.pdf"
    text, = Open3.capture2("pdftotext", "-layout", "-", "-", stdin_data: last_response.body, binmode: true)

    [first.title, second.title, Services::Policies.now.currency.words(first.total_cents + second.total_cents)]
      .each { |words| assert_includes text, words }
  end

  # The slip and the page say the same of what is paid, whatever the estimate came to.
  def test_who_declines_goes_home_with_a_slip_that_charges_nothing
    job = take_in(new_machine)
    record(job, "contacts", { state: "dirty" })
    record(job, "roll", { turns: "stuck" }, verdict: :replace)
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    Services::EndEarly.call(job.number, how: "declined", by: technician, at: NOW)
    get "/jobs/#{job.number}"

    assert_says(/Nothing is charged/)
    text = slip_of(job)

    assert_includes text, "Nothing is charged."
    refute_match(/tax included|\$/, text)
    assert_match(/Contacts\s+clean\s+Dirty contacts make a good battery pack seem weak\.$/, text)
    assert_match(/roll\s+replace\s+Judged at the bench by #{technician.name}\.$/, text)
    refute_match(/Marked by|stuck|dry cloth/, text, "what the staff should do, and what the rule says, is theirs")
  end

  def slip_of(job)
    get "/jobs/#{job.number}/slip.pdf"
    Open3.capture2("pdftotext", "-layout", "-", "-", stdin_data: last_response.body, binmode: true).first
  end

  def test_what_goes_to_the_maker_goes_with_a_slip_of_what_was_found
    job = take_in(new_machine)
    record(job, "bin-seal", { state: "torn" })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    get "/jobs/#{job.number}/slip.pdf"

    assert_equal 409, status
    Services::EndEarly.call(job.number, how: "referred", by: technician, at: NOW)

    assert_match(/What we found\s+Bin rim seal\s+replace/, slip_of(job))
    Services::HandOver.call(job.number, by: owner, missing_note: "none", at: NOW)
    get "/take-in?machine_id=#{job.machine_id}"

    assert_says(/Nothing was done/)
  end

  def test_called_off_and_taken_back_from_the_page
    submit "/jobs/#{@job.number}/take-back", { "take_back_reason" => "forgot the seal" }, from: "/jobs/#{@job.number}"

    assert_equal "in_work", @job.refresh.state
    submit "/jobs/#{@job.number}/call-off", { "call_off_reason" => " " }, from: "/jobs/#{@job.number}"

    assert_equal 422, status
    submit "/jobs/#{@job.number}/call-off", { "call_off_reason" => "moved away" }, from: "/jobs/#{@job.number}"

    assert_equal ["in_work", "moved away"], @job.refresh.values.values_at(:state, :called_off_reason)
  end

  private

  def pay(bill, amount)
    submit "/bills/#{bill.number}/pay", { "way" => "cash", "amount" => amount, "request_key" => SecureRandom.uuid },
      from: "/bills/#{bill.number}"
  end
end
