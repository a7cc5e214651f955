# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Contacts.
      Contacts = KindWords.new(
        labels: { state: "Contacts" },
        steps: {},
        faults: { dirty: "dirty", burnt: "burnt" },
        act: "Look at both sides of each.",
        sign: "dull or green; burnt: stop", tool: nil,
        measures: {},
        found: {
          contacts_bright: { both: "The contacts are bright." },
          contacts_dirty: {
            staff: "Dirty contacts mimic a weak pack: dry cloth only.",
            customers: "Dirty contacts make a good battery pack seem weak."
          },
          contacts_burnt: { both: "Burnt contacts: stop, and refer to a competent person under local rules." }
        }
      )
    end
  end
end
