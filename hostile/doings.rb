# frozen_string_literal: true

module Hostile
  # What is done again and again while things are killed: by the clerk, and by customers on their pages. Each is sent
  # until it is answered, and noted then. Whoever includes it has a @clerk, a @ledger, @estimates, @parts, a @sheet, an
  # @instance, a @random and a @lock.
  module Doings
    include UprightBench

    private

    def take_in(number, count)
      key = SecureRandom.uuid
      typed = { "new" => "1", "request_key" => key, "complaint" => "weak", "made_safe" => "1", "no_condition" => "1",
                "customer[name]" => "Taken #{number}-#{count}",
                "machine[sheet_id]" => @sheet.id.to_s, "machine[serial_number]" => "T-#{number}-#{count}" }
      @clerk.send_until_answered("/take-in", typed) { |answer| answer.status == 303 }
      @ledger.answered(:take_in, key: key, name: "Taken #{number}-#{count}")
    end

    # One place of one job, over and over; each save is the version after the last one.
    def find(number, count)
      job = @estimates[-(number + 1)].first
      grey = count % 6
      typed = { "grey" => grey.to_s, "version" => (count - 1).to_s, "request_key" => SecureRandom.uuid }
      @clerk.send_until_answered("/jobs/#{job.number}/findings/motor-filter", typed,
        fragment: true) { |answer| answer.headers["x-entry"] }
        .then do |answer|
        @ledger.answered(:find, job: job.id, grey: grey, version: count, as: answer.headers["x-entry"])
      end
    end

    def receive(_number, _count)
      part = @lock.synchronize { @parts.sample(random: @random) }
      key = SecureRandom.uuid
      @clerk.send_until_answered("/shelf/#{part}/receive",
        { "pieces" => "1", "request_key" => key }) { |answer| answer.status == 303 }
      @ledger.answered(:receive, key: key, part: part)
    end

    # Over the counter, for cash: a bill, its payment, and the piece off the shelf.
    def sell(_number, _count)
      part = @lock.synchronize { @parts.sample(random: @random) }
      key = SecureRandom.uuid
      @clerk.send_until_answered("/bills/sale", { "lines[#{part}]" => "1", "way" => "cash",
                                                  "request_key" => key }) { |answer| answer.status == 303 }
      @ledger.answered(:sell, key: key, part: part)
    end

    # As the customer does, behind the slip's code.
    def agree(_number, count)
      return sleep(0.2) if count > @estimates.size - 2 # the last ones are looked over

      job, sent = @estimates[count - 1]
      path = URI(Outbox::JobLink.of(job)).path
      cookie, token = Clerk.again { nobody_was_here && Clerk.behind(@instance.wire, path) }
      form = URI.encode_www_form("_csrf" => token, "estimate" => sent, "agreed_name" => "Estimate #{count}")
      Clerk.again { agreed?("#{path}/agree", form, cookie) }
      @ledger.answered(:agree, job: job.id, estimate: sent)
    end

    def agreed?(path, form, cookie)
      nobody_was_here
      @instance.wire.ask("POST", path, body: form, headers: { "Cookie" => cookie }).status == 303
    end

    # One customer a minute would come; here it is many from one address, and each page behind a code may be asked for
    # only so often.
    def nobody_was_here
      DB[:throttle_counts].delete || true
    end
  end
end
