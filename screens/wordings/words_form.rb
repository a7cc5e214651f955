# frozen_string_literal: true

module UprightBench
  module Screens
    module Wordings
      # All texts of one language.
      class WordsForm < Form
        LANGUAGE = /\A[a-z]{2,3}\z/
        ALL = Core::Cards::Texts::ALL
        LONGEST = 4000

        takes do
          params do
            required(:language).filled(:string, format?: LANGUAGE)
            ALL.each_key { |name| optional(name).maybe(:string, max_size?: LONGEST) }
          end
        end

        # @param words [Core::Cards::Words]
        def self.typed_from(language, words)
          ALL.keys.to_h { |name| [name.to_s, words.text(name)] }.merge("language" => language)
        end

        def language
          values[:language].is_a?(String) ? values[:language] : Services::Words::ENGLISH
        end

        # @return [Hash{Symbol=>String}] those that differ from what comes with the product
        def texts
          ALL.to_h do |name, (text, *)|
            [name, values[name].to_s.gsub("\r\n", "\n").then do |typed|
              typed.strip.empty? ? text : typed
            end]
          end.reject { |name, text| text == ALL.fetch(name).first }
        end
      end
    end
  end
end
