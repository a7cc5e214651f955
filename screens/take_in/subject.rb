# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Screens
    module TakeIn
      # Whom and what is being taken in: a known machine, another one of a known customer, somebody new, or nobody yet.
      class Subject
        attr_reader :machine, :customer

        # @param params [Hash] machine_id, customer_id or new
        # @return [Subject]
        def self.from(params)
          machine = one(Models::Machine, params["machine_id"])
          new(machine: machine, customer: machine&.customer || one(Models::Customer, params["customer_id"]), fresh: params.key?("new"))
        end

        def self.one(model, text)
          return if text.to_s.empty?

          Services::Lookup.one(model, Integer(text, 10))
        rescue ArgumentError
          raise Services::NotFound, "There is nobody at this address."
        end
        private_class_method :one

        def initialize(machine:, customer:, fresh:)
          @machine = machine
          @customer = customer
          @fresh = fresh
        end

        def chosen?
          !@customer.nil? || @fresh
        end

        # What is known already, as if it had been typed.
        def prefill(params)
          typed = { "request_key" => SecureRandom.uuid, "customer" => { "name" => params["name"].to_s } }
          return typed unless @machine

          typed.merge("hours_per_week" => @machine.hours_per_week&.to_f&.then { |hours| format("%g", hours) }, "traits" => @machine.traits.to_a,
                      "allergy" => (@machine.allergy ? "1" : nil))
        end

        # @return [Core::Sheets::Sheet, nil] the model, once known
        def sheet
          @machine&.to_core
        end

        # @return [Core::Intake::Warranty] of a known machine
        def warranty(today)
          @warranty ||= @machine.warranty(today)
        end

        # @return [Array<String>] what usually comes with the model
        def accessories
          sheet&.accessories || []
        end

        # @return [Symbol] of Core::Intake::Safety::STEPS
        def safety_way
          Core::Intake::Safety.way(kind: sheet&.kind, power: sheet&.power)
        end

        def made_safe_words
          words = Core::Intake::Safety::DONE.fetch(safety_way)
          words[0].downcase + words[1..]
        end

        # @return [Models::Job, nil] where it stands already
        def open_job
          @open_job ||= @machine && Models::Job.in_shop.first(machine_id: @machine.id)
        end
      end
    end
  end
end
