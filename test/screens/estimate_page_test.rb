# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# The customer's page behind the slip's code: what it says, to whom, and what can be done on it.
class EstimatePageTest < DatabaseTest
  include AsStaff

  def setup
    @job = take_in(new_machine(bought_on: today - 30))
    record(@job, "pre-filter", { torn: true })
    record(@job, "roll", { bristles: "missing" }, verdict: :clean)
    Services::FinishLookOver.call(@job.number, by: technician, at: NOW)
    choose("HD-2010")
    @path = URI(Outbox::JobLink.of(@job)).path
  end

  def choose(number)
    Services::ChoosePart.call(@job.number, item(@job, "pre-filter").id, choice: part(number).id.to_s, by: technician,
      at: NOW)
  end

  def sent_estimate
    @sent = Services::SendEstimate.call(@job.number, by: technician, at: NOW)
  end

  def agree(**fields)
    submit "#{@path}/agree", { "estimate" => @sent.id.to_s, "agreed_name" => "Wendel Testrup",
      **fields.transform_keys(&:to_s) }, from: @path
  end

  # What the slip says stands behind its code, too.
  def test_what_goes_home_stands_here_once_it_is_done
    Services::Settle.call(@job.number, agreed_name: "Wendel", agreed_how: "phone", warranty_name: "Wendel",
      by: technician, at: NOW)
    get @path

    ["Ready by", "Pre-motor filter: replace<"].each { |words| assert_includes page, words }
    refute_includes page, "What comes next"
    Models::Job.where(id: @job.id).update(promise_at: NOW - 60)
    get @path

    assert_match(/It was to be ready by .*, and is late: we tell you when it is ready/, page)
    do_all(@job.refresh)
    close_job(@job)
    get @path

    ["Done", "Pre-motor filter: replaced<", "What comes next", "At home",
     "Our guarantee on this work holds until"]
      .each { |words| assert_includes page, words }
  end

  # One thing was dropped after the agreement.
  def test_what_is_to_pay_stands_there_before_it_is_collected
    Services::Settle.call(@job.number, agreed_name: "Wendel", agreed_how: "phone", warranty_name: "Wendel",
      by: technician, at: NOW)
    Services::ChoosePart.call(@job.number, item(@job, "pre-filter").id, choice: "leave", by: technician, at: NOW)
    do_all(@job.refresh)
    close_job(@job)
    books = Queries::JobPage.new(@job.refresh, now: NOW, policies: Services::Policies.now)
    agreed, due = [books.agreed.total_cents, books.due_cents].map { |cents| money_words(cents) }
    get @path

    assert_says(/#{due} to pay when you collect it. You agreed to #{agreed}; what was done comes to #{due}/)
    refute_equal agreed, due
  end

  def money_words(cents)
    Regexp.escape(Services::Policies.now.currency.words(cents))
  end

  def test_nothing_is_sent_before_the_shop_says_so
    get @path

    assert_equal 200, status
    assert_says(/still preparing the estimate/)
    refute_includes page, "I agree"
  end

  def test_the_estimate_stands_there_with_what_was_found_and_nobody_elses_data
    sent_estimate
    get @path

    ["Pre-motor filter", "What we found and would do", "Bench time", "prices hold until", "I agree to",
     "Judged at the bench by #{technician.name}"]
      .each { |words| assert_includes page, words }
    ["wendel@example.org", "HD-2010", "The rule says"].each { |words| refute_includes page, words }
    assert_equal "no-store", last_response["cache-control"]
  end

  def test_agreed_on_the_page
    sent_estimate
    agree(call_above: "80")

    assert_equal 303, status
    get @path

    assert_says(/Agreed by Wendel Testrup/)
    assert_includes page, "What we found and do<"
    refute_includes page, "I agree to"
    assert_equal "settled", @job.refresh.state
    do_all(@job)
    close_job(@job)
    get @path

    assert_includes page, "What we found and did"
  end

  def test_what_was_typed_wrong_stands_beside_its_field
    sent_estimate
    agree(agreed_name: "", call_above: "much")

    assert_equal 422, status
    assert_keeps "much"
    assert_equal 2, page.scan('class="field-error"').size
  end

  def test_the_warranty_ends_by_name_only
    choose("PT-2010")
    sent_estimate
    get @path

    assert_says(/may end it: #{Regexp.escape(part('PT-2010').name)}/)
    agree

    assert_equal 422, status
    agree(warranty_name: "Wendel Testrup")

    assert_equal "settled", @job.refresh.state
  end

  def test_changed_and_lapsed_estimates
    sent_estimate
    choose("PT-2010")
    get @path

    assert_says(/changing this estimate/)
    agree

    assert_equal 409, status
  end

  def test_asking_and_the_reply
    submit "#{@path}/ask", { "question" => "Is it <b>worth</b> it?" }, from: @path
    sign_in
    get "/jobs/#{@job.number}"

    assert_includes page, "Is it &lt;b&gt;worth&lt;/b&gt; it?"
    submit "/jobs/#{@job.number}/questions/#{Models::Question.where(job_id: @job.id).get(:id)}", { "reply" => "Yes." },
      from: "/jobs/#{@job.number}"
    get @path

    assert_includes page, "Yes."
    submit "#{@path}/ask", { "question" => " " }, from: @path

    assert_equal 422, status
  end

  def test_codes_that_are_none
    get "/j/#{Outbox::Letters.codes.write(@job.id, today)}" # a card's code opens no job

    assert_equal 404, status
    get "/j/#{Outbox::JobLink.codes.write(@job.id, today - 1)}"

    assert_equal 404, status
  end

  def test_the_slip_opens_the_job_for_staff
    sign_in
    get "/find", { "q" => Outbox::JobLink.of(@job) }

    assert_match(%r{/jobs/#{@job.number}\z}, last_response["location"])
  end
end
