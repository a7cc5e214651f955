# frozen_string_literal: true

module UprightBench
  module Services
    # The sheets of the models that a file names; one that is not on file begins with the starter of its kind, and stays
    # rough until somebody who has a machine of it before them completes it.
    class MovedModels
      def initialize(by:, at:, starter:)
        @by = by
        @at = at
        @starter = starter
        @known = Models::Sheet.all.to_h { |sheet| [key(sheet.maker, sheet.model_name), sheet] }
      end

      # @param machine [Hash] maker, model, kind
      # @return [Models::Sheet]
      def sheet(machine)
        maker, model = machine.values_at(:maker, :model)
        @known[key(maker, model)] ||= BeginSheet.keep(maker: maker, model: model, by: @by, at: @at,
          content: Starters.content(starter_of(machine[:kind]), maker: maker, model: model), note: "from a file")
      end

      private

      def key(maker, model)
        Core::Customers::Identity.plain("#{maker} #{model}")
      end

      # Said in words, as "Cordless stick"; else the one that was chosen for the file.
      def starter_of(kind)
        asked = Core::Customers::Identity.plain(kind) or return @starter
        (@starters ||= {})[asked] ||= Starters.named(asked) || @starter
      end
    end
  end
end
