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
          typed = ALL.keys.to_h { |name| [name, values[name].to_s.gsub("\r\n", "\n")] }
          typed.reject { |name, text| text.strip.empty? || text == Core::Cards::Texts.as_it_comes(name) }
        end
      end
    end
  end
end
