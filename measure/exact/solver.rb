# frozen_string_literal: true

require "open3"
require "set"
require "tempfile"
require_relative "small_shop"

module UprightBench
  module Measure
    module Exact
      # Asks MiniZinc (Nethercote et al. 2007; with the solver Gecode, both Debian's) how soon the sixth job of a small
      # shop can be ready.
      class Solver
        MODEL = File.expand_path("promise.mzn", __dir__)

        # @!attribute ours [Integer] minutes worked by the shop until it is ready in our plan
        # @!attribute best [Integer, nil] in the best plan the solver found; nil when it found none that is as good
        # @!attribute proven [Boolean] there is no better one
        Answer = Struct.new(:ours, :best, :proven) do
          # @return [Float] of the best, by which ours is later
          def gap
            best ? (ours - best).fdiv([best, 1].max) : 0.0
          end
        end

        # @param small [SmallShop]
        def initialize(small)
          @small = small
          @problem = Core::Bench::Problem.new(small.shop, [*small.chains, small.asked])
          @calendars = small.shop.technicians.map(&:calendar).map { |calendar| calendar.from.zip(calendar.till) }
        end

        # @param seconds [Integer] after which it gives up
        # @return [Answer]
        def call(seconds:)
          said = with_data { |path| ask(path, seconds) }
          raise "MiniZinc: our plan cannot be" if said.include?("UNSATISFIABLE")

          best = said.scan(/^\d+$/).last
          Answer.new(worked(@small.answer.planned), best && worked(best.to_i), said.include?("=========="))
        end

        private

        def with_data
          Tempfile.create(%w[shop .dzn]) do |file|
            file.write(data.map { |name, value| "#{name} = #{written(value)};\n" }.join)
            file.flush
            yield file.path
          end
        end

        def ask(path, seconds)
          said, complaint, status = Open3.capture3("minizinc", "--solver", "gecode", "--time-limit",
            (seconds * 1000).to_s, MODEL, path)
          raise "MiniZinc: #{complaint}" unless status.success?

          said
        end

        def worked(time)
          @small.shop.open.worked(time)
        end

        def data
          { people: @calendars.size, stretches: longest, asked: steps.size, known: @small.answer.planned,
            opens: table(0), closes: table(1), slots: @small.shop.slots.size, **shop_days, **of_steps }
        end

        def shop_days
          open = @small.shop.open
          { days: open.size, shop_opens: open.from, shop_closes: open.till }
        end

        def of_steps
          { steps: steps.size, minutes: steps.map(&:minutes), not_before: steps.map(&:not_before),
            dry: steps.map(&:dry), **of_jobs, **of_washes }
        end

        def of_jobs
          { before: steps.map { |step| step.before ? step.before + 1 : 0 }, limit: steps.map { |step| limit(step) },
            able: steps.map { |step| counted_from_one(step.people) } }
        end

        def of_washes
          { washes: counted_from_one(steps.select { |step| step.operation.slots.any? }.map(&:index)),
            drying: steps.map { |step| step.operation.dry_minutes } }
        end

        def steps
          @problem.steps
        end

        # @return [Set<Integer>]
        def counted_from_one(indices)
          Set.new(indices.map { |index| index + 1 })
        end

        def limit(step)
          (@small.limits[step.job] if step.last) || horizon
        end

        def horizon
          @calendars.flatten.max
        end

        def longest
          @calendars.map(&:size).max
        end

        # One row a person; a stretch that somebody does not have opens at 1 and closes at 0.
        def table(side)
          @calendars.map { |rows| rows.map { |row| row[side] } + Array.new(longest - rows.size, 1 - side) }
        end

        def written(value)
          case value
          when Set then "{#{value.to_a.join(',')}}"
          when Array then value.first.is_a?(Array) ? rows(value) : "[#{value.map { |one| written(one) }.join(',')}]"
          else value.to_s
          end
        end

        def rows(rows)
          "[|#{rows.map { |row| row.join(',') }.join('|')}|]"
        end
      end
    end
  end
end
