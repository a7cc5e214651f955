# frozen_string_literal: true

require "optparse"
require_relative "reader"
require_relative "room"
require_relative "scale"
require_relative "simulated"

module UprightBench
  module Gauge
    # The command line of a device's reader and of the simulated devices.
    class Program
      HELP = <<~WORDS
        bin/gauge read --from PORT --to ADDRESS --token-file FILE
            hand on what a gauge writes: PORT is /dev/ttyUSB0 or tcp://HOST:PORT, ADDRESS the bench's
            --baud 9600        of a serial port
            --tell             tell the gauge where it is held (simulated gauges need that)
        bin/gauge simulate --sheet FILE
            a gauge that is not there, held to a machine of that sheet (once more for more models)
            --port N           listen on this port of this machine
            --pty PATH         a pseudo-terminal, to be found at PATH
            --fault KIND:STATION:SIZE   blocked, leak or fan, as in blocked:hose:8 or fan::0.7
            --format TEXT      how it writes, as in "{value} {unit}"
        bin/gauge simulate --room | --scale
            a thermometer of a drying room, or a scale, that is not there; --port and --pty as above
            --grams N          what lies on the scale
        bin/gauge --help       this
      WORDS

      # @param arguments [Array<String>]
      # @return [Integer] exit status
      def self.call(arguments)
        new(arguments).call
      end

      def initialize(arguments)
        @command, *@arguments = arguments
        @options = { sheet: [], fault: [] }
      end

      def call
        parse
        return help unless %w[read simulate].include?(@command) && @arguments.empty?

        send(@command)
        0
      rescue OptionParser::ParseError, KeyError => e
        warn "That is not understood: #{e.message}."
        help
      rescue SignalException
        0
      end

      private

      def help
        puts HELP
        @command == "--help" ? 0 : 1
      end

      def parse
        OptionParser.new { |parser| declare(parser) }.parse!(@arguments)
      end

      def declare(parser)
        %w[from to token-file pty format].each { |name| parser.on("--#{name} VALUE") { |value| set(name, value) } }
        %w[baud port].each { |name| parser.on("--#{name} N", Integer) { |value| set(name, value) } }
        %w[tell room scale].each { |name| parser.on("--#{name}") { set(name, true) } }
        parser.on("--grams N", Float) { |value| set("grams", value) }
        parser.on("--sheet FILE") { |value| @options[:sheet] << value }
        parser.on("--fault FAULT") { |value| @options[:fault] << value }
      end

      def set(name, value)
        @options[name.tr("-", "_").to_sym] = value
      end

      def read
        token = File.read(@options.fetch(:token_file)).strip
        Reader.new(from: @options.fetch(:from), to: @options.fetch(:to), token: token,
          **@options.slice(:baud, :tell)).run
      end

      def simulate
        raise KeyError, "neither --port nor --pty" unless @options[:port] || @options[:pty]

        device.serve(**@options.slice(:port, :pty))
      end

      def device
        return Room.new if @options[:room]
        return Scale.new(**@options.slice(:grams)) if @options[:scale]

        sheets = @options[:sheet].map { |file| Machine.sheet(file) }
        raise KeyError, "no --sheet" if sheets.empty?

        Simulated.new(sheets, faults: faults, **@options.slice(:format))
      end

      # @return [Array, nil] nil for those of each job
      def faults
        return if @options[:fault].empty?

        @options[:fault].map do |text|
          kind, stage, size = text.split(":", 3)
          raise KeyError, "fault #{text}" unless %w[blocked leak fan].include?(kind) && size.to_f.positive?

          [kind.to_sym, stage, size.to_f]
        end
      end
    end
  end
end
