# frozen_string_literal: true

# The addresses of the main pages, of whatever the demo has for them.
module MainPages
  include UprightBench

  def pages
    open = Models::Job.in_shop.order(:id).all.to_h { |job| [job.state, "/jobs/#{job.number}"] }
    stopped = Models::Job.with_pk!(Models::Stop.standing.get(:job_id))
    machine = Models::Due.running.order(:due_on).first.machine
    ["/", "/take-in", "/take-in?q=er", "/take-in?new=1", "/take-in?machine_id=#{machine.id}", *open.values,
     "/jobs/#{stopped.number}",
     "#{open.fetch('taken_in')}/look-over", *at_the_end,
     "/rack", "/shelf", "/shelf/#{part('HD-2010').id}", "/shelf/fit",
     "/shelf/fit?q=332+x+10", *shelf,
     "/shelf/fit?sheet=#{machine.sheet_id}&at=#{machine.to_core.walk.last.key}", "/cards",
     "/cards/leaving?until=#{today + 30}", "/cards/#{Models::Card.order(:id).last.id}",
     "/cards/batches/#{Models::Batch.max(:id)}", "/cards/answers", "/cards/calls", "/cards/came", "/cards/came/shares",
     "/cards/words", "/cards/words?language=de",
     "/customers", "/customers/long-away", "/customers/#{machine.customer_id}",
     "/customers/#{Models::Customer.first(fleet: true).id}/plan",
     "/machines/#{machine.id}", "/machines/#{machine.id}/what-if?hours_per_week=20",
     "/sheets", "/sheets/#{machine.sheet_id}", "/sheets/new",
     *drafts, "/take-in/many?customer_id=#{machine.customer_id}",
     "/take-in/taken?customer_id=#{stopped.customer_id}&from=#{stopped.number}&to=#{stopped.number}",
     *counter(machine), "/customer-lists", customer_list, "/archives",
     "/plan", "/plan/wall", plan_step, "/plan/ask?machine_id=#{machine.id}&brought=now", "/people/#{owner.id}/bench",
     "/settings", "/settings/shop", "/people", "/people/roles", "/audit?group=signing_in", "/take-over", "/me",
     "/otp-setup", "/legend", "/logout", "/nothing", "#{open.fetch('settled')}/history"]
  end

  # With what a move would do.
  def plan_step
    step = Queries::PlannedJobs.steps.max_by(&:from)
    "/plan/#{step.job}/#{step.key}?person_id=#{step.person}"
  end

  # Money, parcels, what waits, and another part for something to do.
  def counter(machine)
    to_do = Models::WorkItem.where(state: "to_do", action: "replace").order(:id).first
    part = part("HD-2010").id
    ["/bills", "/bills/#{Models::Bill.min(:number)}", "/bills/sale", "/registrations",
     "/bills/sale?machine_id=#{machine.id}&lines[#{part}]=2", "/parcels", "/to-collect", "/machines/new",
     "/jobs/#{to_do.job.number}/items/#{to_do.id}/other?q=filter",
     "/jobs/#{to_do.job.number}/items/#{to_do.id}/instead"]
  end

  # A machine that is open with a screw missing, and one to be tried.
  def at_the_end
    opened = settled({ "cyclone-gasket" => { state: "dirty" } })
    %w[clip-ring housing].each { |step| Services::OpenStep.call(opened.number, step, by: owner, at: Time.now) }
    Services::CloseStep.call(opened.number, "housing", counts: { "fastener-0" => 6 }, by: owner, at: Time.now)
    tried = settled({ "roll" => { turns: "drags" } })
    do_all(tried)
    Services::AnswerTrial.call(tried.number, "whistle", "fail", note: "whistles at the bin", by: owner, at: Time.now)
    packed = settled({ "cones" => { state: "packed" } })
    ["/jobs/#{opened.number}/strip", "/jobs/#{tried.number}", "/jobs/#{packed.number}/strip"]
  end

  def shelf
    pages = %w[short orders suppliers count list new].push("#{part('HD-2010').id}/change",
      "orders/#{Models::SupplierOrder.max(:number)}")
    pages.map { |page| "/shelf/#{page}" }
  end

  # @return [Array<String>] pages of a draft: the model itself, one place on it, and one step
  def drafts
    path = "/drafts/#{Services::BeginDraft.of(sheet('Hallmoor Dart M'), by: owner, at: TestClock.moment).id}"
    [path, "#{path}?at=pre-filter", "#{path}?at=step.housing"]
  end

  # A file of customers, with its columns guessed.
  def customer_list
    text = "Name,Phone,Make,Model,Last service\nJo Kell,902 425 0142,Ostrel,Stride 36,2026-05-14\n"
    import = Services::KeepCustomerList.call(StringIO.new(text), by: owner, at: TestClock.moment)
    Services::PartCustomerList.call(import)
    "/customer-lists/#{import.id}"
  end

  def job_path
    URI(Outbox::JobLink.of(Models::Question.first.job)).path
  end

  def register_path
    URI(Outbox::RegistrationLink.of(Models::Registration.first || Services::GiveCode.call(by: owner,
      at: TestClock.moment))).path
  end

  def card_path
    URI(Outbox::Letters.link(Models::Card.order(:id).last)).path
  end
end
