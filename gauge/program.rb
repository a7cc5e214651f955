# frozen_string_literal: true

require "optparse"
require_relative "reader"
require_relative "simulated"

module UprightBench
  module Gauge
    # The command line of a gauge's reader and of the simulated gauge.
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
        OptionParser.new do |parser|
          %w[from to token-file pty format].each { |name| parser.on("--#{name} VALUE") { |value| set(name, value) } }
          %w[baud port].each { |name| parser.on("--#{name} N", Integer) { |value| set(name, value) } }
          parser.on("--tell") { set("tell", true) }
          parser.on("--sheet FILE") { |value| @options[:sheet] << value }
          parser.on("--fault FAULT") { |value| @options[:fault] << value }
        end.parse!(@arguments)
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
        sheets = @options[:sheet].map { |file| Machine.sheet(file) }
        raise KeyError, "no --sheet" if sheets.empty?
        raise KeyError, "neither --port nor --pty" unless @options[:port] || @options[:pty]

        Simulated.new(sheets, faults: faults, **@options.slice(:format)).serve(**@options.slice(:port, :pty))
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
