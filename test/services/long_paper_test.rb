# frozen_string_literal: true

# Group: slow (papers of hundreds of pages)
# Needs: poppler-utils

require_relative "../test_helper"
require "open3"
require "tempfile"

# Papers of many pages: made by the worker, part by part, all of it.
class LongPaperTest < DatabaseTest
  def many_parts(count)
    rows = Array.new(count) { |n| ["LP-#{n.to_s.rjust(4, '0')}", "Long paper #{n}", "belt", 350, owner.id] }
    Models::Part.dataset.import(%i[number name kind price_cents created_by], rows)
  end

  def ask(kind = "shelf_labels", by: owner, **arguments)
    Services::LongPaper.ask(kind, arguments.transform_keys(&:to_s), by: by, at: NOW)
  end

  def work(run)
    Services::LongPaper::Work.run(run.id) until run.refresh.finished_at
    run
  end

  def pages(run)
    (0...run.parts).map do |part|
      Tempfile.create("part") do |file|
        file.binmode
        run.each_piece(part) { |piece| file.write(piece) }
        file.flush
        Open3.capture2e("pdfinfo", file.path).first[/Pages:\s+(\d+)/, 1].to_i
      end
    end
  end

  def test_every_label_is_there_in_files_of_two_hundred
    many_parts(450)
    run = work(ask(query: "Long paper"))

    assert_equal [450, 450, 3, 3], run.values.values_at(:pages, :pages_done, :parts, :parts_done)
    assert_equal [200, 200, 50], pages(run)
  end

  # 24 labels on a sheet: 200 are 9 sheets, and 10 where only the last label of the first one is free; each other file
  # begins a new sheet.
  def test_a_sheet_of_labels_that_was_begun
    Services::SavePolicies.call({ "labels" => "a4_3x8" }, by: owner, at: NOW)
    many_parts(230)

    assert_equal [9, 2], pages(work(ask(query: "Long paper")))
    assert_equal [10, 2], pages(work(ask(query: "Long paper", first: "24")))
  end

  def test_asked_twice_by_one_is_made_once_and_by_two_twice
    many_parts(30)
    first = ask(query: "Long paper")

    assert_equal first.id, ask(query: "Long paper").id
    refute_equal first.id, ask(query: "Long paper", by: technician).id
    work(first)

    refute_equal first.id, ask(query: "Long paper").id, "a later one shows what is so then"
  end

  # A worker that died in the middle of a part begins that part again.
  def test_a_part_made_twice_is_kept_once
    many_parts(30)
    run = ask(query: "Long paper")
    Services::LongPaper.make_part(run, at: NOW)
    run.update(parts_done: 0, pages_done: 0, finished_at: nil)
    work(run)

    assert_equal [[30], 30], [pages(run), run.pages_done]
  end

  def test_what_cannot_be_made_says_so
    many_parts(30)
    run = ask(query: "Long paper")
    Models::PaperRun.where(id: run.id).update(kind: "dues", arguments: Sequel.pg_jsonb("customer" => 999_999))
    work(run)

    refute_predicate run, :made?
    assert_match(/no such customer/, run.failed)
    assert_raises(Services::NotFound) { ask(query: "no part is called so") }
  end

  def test_old_ones_go
    many_parts(30)
    old = work(ask(query: "Long paper"))
    old.update(asked_at: in_days(-3))
    ask(query: "Long paper 1")

    assert_nil Models::PaperRun.with_pk(old.id)
    assert_equal 0, DB[:paper_pieces].where(paper_run_id: old.id).count
  end

  def test_each_kind_prints
    customer = Models::Customer.first(fleet: true)
    jobs = Models::Job.order(:number)
    posted = new_machine("Brackwater Loft K", email_agreed: false, post_agreed: true)
    Services::SetClocks.call(posted, on: today)
    batch = write_batch(chosen: [posted.customer_id]).id
    asked = { "dues" => { customer: customer.id }, "plan" => { customer: customer.id }, "calls" => {},
              "batch" => { batch: batch, sheet: "letter" },
              "tags" => { customer: jobs.first.customer_id, from: 1, to: jobs.last.number },
              "shelf_labels" => { part: part("HD-2010").id } }

    assert_equal Services::LongPaper.kinds.keys.sort, asked.keys.sort
    asked.each do |kind, arguments|
      maker = Services::LongPaper.maker(kind, arguments.transform_keys(&:to_s))

      assert_equal "%PDF", maker.paper(0).render[0, 4], kind
      assert_operator maker.parts, :>=, 1
    end
  end
end
