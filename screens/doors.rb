# frozen_string_literal: true

module UprightBench
  module Screens
    # How each route is entered, declared at the route and decided there, after the router has chosen it. Closed is the
    # default: whoever is not signed in is sent away, and whoever may look only may only look.
    #
    #   app.post "/cards/send", may: :send_cards       # a row of Core::Access::Permissions; each that writes names one
    #   app.get "/people", may: :people                # whoever is signed in may look, unless a row is named
    #   app.get "/c/:code", open: true                 # nobody need be signed in: the code stands for it
    #   app.post "/c/:code/stop", open: true, token: false  # and no form of ours was filled in
    #   app.post "/me/password", own: true             # one's own account: whoever may look only may do it too
    #   app.post "/sheets", most_bytes: Doors::A_FILE  # what it may carry; a form's worth unless it says otherwise
    #
    # Extends the application, so that nothing can be registered beside it.
    module Doors
      A_FORM = 256 * 1024
      A_FILE = 4 * 1024 * 1024
      A_LONG_LIST = 32 * 1024 * 1024
      PICTURES = 120 * 1024 * 1024 # puma refuses more before it is here

      # `path` is the pattern as it was declared; it is what the log says, since what somebody asked for may hold a
      # code.
      Door = Struct.new(:verb, :path, :pattern, :may, :open, :token, :own, :most_bytes, keyword_init: true)

      READING = %w[GET HEAD].freeze
      OF_REQUEST = "upright_bench.doors"
      private_constant :OF_REQUEST

      def route(verb, path, options = {}, &)
        door = Door.new(verb: verb, path: path, pattern: Mustermann.new(path, **mustermann_opts).to_regexp,
          may: options[:may], open: options.fetch(:open, false), token: options.fetch(:token, true),
          own: options.fetch(:own, false), most_bytes: options.fetch(:most_bytes, A_FORM)).freeze
        refuse_unsaid(door)
        (@doors ||= []) << door
        ((@behind ||= {})[verb] ||= []) << door
        condition { enter(door) }
        super(verb, path, options.except(*Door.members), &)
      end

      # A route that nobody thought of is not let in.
      # @raise [ArgumentError] for a closed one that writes and does not say who may
      # @raise [KeyError] for a row that there is not
      def refuse_unsaid(door)
        Core::Access::Permissions.fetch(door.may) if door.may
        return if door.open || door.own || door.may || READING.include?(door.verb)

        raise ArgumentError, "#{door.verb} #{door.path} does not say who may"
      end

      # @return [Array<Door>] all of them, in the order in which the router looks
      def doors
        @doors.dup
      end

      # The doors that a request may come through: several where a route passes on to the next.
      # @return [Array<Door>]
      def doors_of(env)
        asked = env.values_at("REQUEST_METHOD", "PATH_INFO")
        known, doors = env[OF_REQUEST]
        return doors if known == asked

        verb, path = asked
        (@behind[verb] || []).select { |door| door.pattern.match?(path) }.tap do |found|
          env[OF_REQUEST] = [asked, found] # asked several times on the way in, and all of them are tried
        end
      end

      # @return [Boolean] whether whoever sends it need not have filled in a form of ours
      def tokenless?(env)
        doors = doors_of(env)
        doors.any? && doors.none?(&:token)
      end

      # @return [Integer] bytes
      def most_bytes(env)
        doors_of(env).map(&:most_bytes).max || A_FORM
      end

      # What the router asks before it lets a request through.
      module Entering
        private

        # @return [true] a condition that is not true would let the router look on
        def enter(door)
          env["upright_bench.route"] = door.path
          return leave_no_address if door.open

          send_to_sign_in unless person
          redirect "/me", 303 if !door.own && (person.password_given || person.lacks_second_factor?)
          Services::Permissions.check!(door.may, person) if door.may
          true
        end

        # Who comes by a code is a customer.
        # @return [true]
        def leave_no_address
          Services::Whence.now = nil
          true
        end

        def send_to_sign_in
          return halt(401, { "hx-redirect" => "/login" }, "") if htmx?

          redirect "/login", 302
        end
      end
    end
  end
end
