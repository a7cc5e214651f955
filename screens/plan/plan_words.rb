# frozen_string_literal: true

module UprightBench
  module Screens
    module Plan
      # How the plan is worded.
      module PlanWords
        # @param kept [Core::Stats::Wilson]
        # @return [String] how many promises were kept
        def kept_words(kept)
          return "No promise has come due yet." if kept.tries.zero?

          share, low, high = [kept.share, kept.low, kept.high].map { |part| (part * 100).round }
          "#{kept.hits} of #{counted(kept.tries, 'promise')} kept in half a year: #{share} % (likely " \
            "#{low} to #{high} %). Wanted: at least #{wanted_share_words}."
        end

        # @return [String] with that of promises with a part, where it is another
        def wanted_share_words
          usual, with_part = %w[promises_kept_percent part_promises_kept_percent].map { |key| policies[key] }
          "#{usual} %#{", #{with_part} % where a part is to come" if with_part != usual}"
        end

        # @param share [Float]
        # @return [String] as in "holds 87 times in 100"
        def holds_words(share)
          times = (share * 100).floor
          return "holds nearly always" if times >= 99

          times.zero? ? "does not hold" : "holds #{counted(times, 'time')} in 100"
        end

        # @return [String] as in "Today 09:20 to 10:30"
        def from_till_words(from, till)
          ends = zone_date(from) == zone_date(till) ? clock_of(till) : moment(till)
          "#{moment(from).sub(/\A./, &:upcase)} to #{ends}"
        end

        # @param plan [Queries::PlanOfBench]
        # @param job [Integer] number of a job in it
        # @return [String] as in "In the plan it is begun Mon 10:30, dries until Tue 10:45 and is ready Tue 11:00."
        def planned_words(plan, job)
          course = plan.course(job)
          begun = "is begun #{moment(course.from)}" if course.from > now
          waits = wait_until_words(course.wait) if course.wait
          "In the plan it #{English::List.of([begun, waits, "is ready #{moment(course.till)}"].compact)}."
        end

        # @param wait [Queries::PlanOfBench::Wait]
        def wait_until_words(wait)
          "#{wait.dries ? 'dries' : 'waits for a part'} until #{moment(wait.till)}"
        end

        # @param way [Queries::PlanOfBench::Way]
        # @param job [Integer] number of the job whose promise it would save
        def way_words(way, lanes, job)
          "#{way_itself(way, lanes)}. Then #{job} #{holds_words(way.share)}."
        end

        # @return [String]
        def way_itself(way, lanes)
          other = "#{way.other} (#{lanes.plan.jobs[way.other]&.customer})"
          case way.kind
          when :wait then "Let #{other} wait until this one is begun"
          when :later_day then "Ask #{other} to come later, #{moment(way.by)}"
          when :stay_on then stay_on_words(lanes.name(way.technician))
          when :elsewhere then "Dry it elsewhere: the rack is full"
          else "Fit new parts instead of washing"
          end
        end

        # @return [String] a tick for one promise for all machines of the customer; nothing where this is the only one
        # @param page [Queries::JobPage]
        def promise_together(page, step)
          others = step == "settle" ? page.others : []
          return "" if others.empty?

          with = others.map { |number, at| "#{number} (#{moment(at)})" }.join(", ")
          partial :"plan/_together", with: with
        end

        # @param way [Core::Bench::Sooner::Way]
        # @param names [Hash{Integer=>String}] of people
        # @return [String] what it would take
        def sooner_words(way, names)
          case way.kind
          when :elsewhere then "dry it elsewhere: the rack is full"
          when :new_instead then "fit new parts instead of washing, if they are on the shelf"
          when :stay_on then stay_on_words(names[way.technician] || "somebody")
          else "ask the customer of #{way.other} for a day later"
          end
        end

        # @return [String] with what it costs, where the shop has said so
        def stay_on_words(name)
          an_hour = policies["stay_on_an_hour"]
          "#{name} stays on for up to an hour#{", for up to #{money(an_hour * policies.currency.units)}" if an_hour}"
        end

        # @param wish [Models::StepWish]
        def wish_words(wish, lanes)
          said = [("by #{lanes.name(wish.person_id)}" if wish.person_id),
                  ("not before #{moment(wish.not_before)}" if wish.not_before), ("stays there" if wish.pinned)]
          "Wanted: #{said.compact.join(', ')}."
        end

        # @return [String] as the shop writes the time of day
        def clock_of(time)
          Core::Units::Moment.clock(Config::Zone.local(time))
        end

        # @return [String] the next days that are not full
        def free_days_words
          @free_days_words ||= Services::DaysAhead.offered(at: now, policies: policies).first(4)
            .map { |date| day(date) }.join(", ")
        end

        # @param one [Core::Bench::Day]
        def booked_words(one)
          booked = counted(one.booked, "machine") if one.booked.positive?
          [booked, ("full" unless one.holds_another?)].compact.join(", ")
        end

        # @param one [Core::Bench::Day]
        def day_bar(one)
          Drawings::DayBar.new(one, label: "#{(one.share * 100).round} in a hundred taken").render
        end

        def rack_free_words(rack)
          slots, free = rack
          slots.zero? ? "" : "Rack: #{free} of #{slots} slots free"
        end

        # @return [Hash{String=>String}] id => name
        def people_of(lanes)
          lanes.plan.lanes.to_h { |lane| [lane.id.to_s, lane.name] }
        end

        # @return [Hash{String=>String}] when a machine would be brought, most often: words => as it is sent
        def brought_choices
          schedule = policies.schedule
          days = (1..2).inject([schedule.open_day(today + 1)]) { |all, _| [*all, schedule.open_day(all.last + 1)] }
          { "now" => AskForm::NOW, **days.to_h { |date| [day(date), Moments.write(schedule.stretches(date).first.first)] } }
        end

        # What is due is ticked until somebody asked.
        def ticked_work?(form, choice)
          form.asked? ? form.work.include?(choice.value.split(":", 2)) : choice.due
        end

        # @param subject [Queries::AskedMachine]
        def take_in_path(subject)
          subject.machine ? "/take-in?machine_id=#{subject.machine.id}" : "/take-in"
        end

        # What one would do most often, with one press: words => what is asked then.
        # @return [Hash{String=>String}]
        def quick_moves(lanes, step)
          { "Take it up now" => wish_query(step.person, now, true), **gifts(lanes, step),
            "Pin it where it is" => wish_query(step.person, step.from, true),
            "Put it off to #{day(zone_date(lanes.next_day))}" => wish_query(nil, lanes.next_day, false) }
        end

        def gifts(lanes, step)
          others = lanes.plan.lanes.reject { |lane| lane.id == step.person }
          others.to_h { |lane| ["Give it to #{lane.name.split.first}", wish_query(lane.id, nil, false)] }
        end

        def wish_query(person_id, not_before, pinned)
          fields = { person_id: person_id, not_before: not_before && Moments.write(not_before),
                     pinned: ("1" if pinned) }
          URI.encode_www_form(fields.compact)
        end

        # @param form [Screens::Plan::WishForm]
        # @return [Hash{Symbol=>String}] as they were asked
        def wish_fields(form)
          fields = %i[person_id not_before pinned].to_h { |name| [name, form.value(name).to_s] }
          fields.reject { |_, typed| typed.empty? }
        end
      end
    end
  end
end
