# frozen_string_literal: true

module UprightBench
  module Demo
    class TenYears
      # Invented names and numbers for a crowd, from a row's number.
      module Crowd
        HEADS = %w[Al Bryn Cas Del Ed Flor Ger Hal Is Jor Kest Lin Mar Nad Or Per Quil Ros Sör Thy Ul Ves Wen Xen Ys
                   Zeph].freeze
        ENDS = %w[dous ja imir phine da in lind vor aura un er néa].freeze
        BEGINNINGS = %w[Apple Bracken Cor Dun Eller Fenni Gull Holm Ingle Jessop Kettle Lunder Mørk Nether Oster Pell
                        Quayle Rønne Salt Tarn Under
                        Verr Wex Yarrow Alder Birch Cinder Drift Ember Flint Granary Hazel Iron Juniper Kelp
                        Larch].freeze
        MIDDLES = %w[a e i o den ling mer ner sten ter].freeze
        FINISHES = %w[garth hurst vell marsh way more strand kvist bay wick by sund lin wright brook hallow combe dale
                      feld toft].freeze
        STREETS = Names::STREETS

        module_function

        # Some 300 first names and 7,000 last names.
        def name(row)
          mixed = mix(row)
          "#{HEADS[mixed % 26]}#{ENDS[(mixed / 26) % 12]} " \
            "#{BEGINNINGS[(mixed / 312) % 36]}#{MIDDLES[(mixed / 11_232) % 10]}#{FINISHES[(mixed / 112_320) % 20]}"
        end

        # No network gives out numbers that begin with a nought and a second one so.
        def phone(row)
          mixed = mix(row)
          format("00%<area>d-%<exchange>03d-%<line>04d", area: row % 10, exchange: (mixed / 10_000) % 1000,
            line: mixed % 10_000)
        end

        # Spreads neighbours far apart (a multiplicative hash).
        def mix(row)
          (row * 2_654_435_761) % 4_294_967_296
        end
      end
    end
  end
end
