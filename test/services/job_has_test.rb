# frozen_string_literal: true

require_relative "../test_helper"

# What a job's page skips where there is nothing of it is just what reading it would find nothing of.
class JobHasTest < DatabaseTest
  READ = {
    stops: lambda(&:stops), accessories: lambda(&:accessories),
    skips: ->(job) { Models::Skip.where(job_id: job.id).all },
    questions: ->(job) { Models::Question.where(job_id: job.id).all },
    stays: ->(job) { job.work_items.flat_map(&:rack_stays) },
    settled: ->(job) { Models::SettledDue.where(job_id: job.id).all },
    agreed: ->(job) { [Services::Quotes.agreed(job)].compact }, sent: ->(job) { [Services::Quotes.sent(job)].compact },
    notes: ->(job) { Models::Note.about(job.machine, job: job).all },
    spares: ->(job) { Models::Spare.waiting.where(machine_id: job.machine_id).all },
    at_home: ->(job) { Models::HomePiece.where(machine_id: job.machine_id).all },
    others: ->(job) { Services::PromiseTogether.others(job).all }
  }.freeze

  def test_of_the_demos_jobs
    (Models::Job.in_shop.all + Models::Job.reverse(:id).limit(20).all).uniq.each do |job|
      has = Queries::JobHas.call(job)

      assert_equal READ.transform_values { |read| read.call(job).any? }, has.slice(*READ.keys), job.number
    end
  end

  def test_of_a_job_that_has_nothing_yet_and_then_something
    job = take_in

    assert_empty Queries::JobHas.call(job).select { |_, there| there }.keys - %i[at_home]
    record(job, "pre-filter", { grey: 5 })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    Services::Settle.call(job.number, agreed_name: "Una", agreed_how: "phone", by: technician, at: NOW)
    do_all(job)

    assert_empty %i[agreed stays] - Queries::JobHas.call(job.refresh).select { |_, there| there }.keys
  end
end
