# frozen_string_literal: true

module UprightBench
  module Services
    # Says what each role may do, for all of them at once.
    module SetRole
      module_function

      # @return [Hash{String=>Array<Symbol>}] role => what it may of what can be said
      def now
        said = Models::Role.select_hash(:name, :may)
        Core::Access::Permissions::SAID.to_h do |role|
          [role, said[role]&.map(&:to_sym) || (Core::Access::Permissions.usual(role) & can_be_said(role))]
        end
      end

      # @param wanted [Hash{String=>Array<Symbol>}] role => what it may
      # @raise [Forbidden]
      # @raise [Invalid] for what there is not
      def call(wanted, by:, at:)
        Permissions.check!(:people, by)
        refuse(wanted)
        DB.transaction do
          OneAtATime.wait("roles", "")
          before = now
          wanted.each { |role, may| keep(role, before.fetch(role), may, by, at) unless before[role].sort == may.sort }
        end
      end

      # @return [Array<Symbol>]
      def can_be_said(role)
        Core::Access::Permissions.changeable.select { |row| Core::Access::Permissions.fits?(row, role) }.map(&:key)
      end

      def refuse(wanted)
        strange = (wanted.keys - Core::Access::Permissions::SAID).any? ||
                  wanted.any? { |role, may| (may - can_be_said(role)).any? }
        raise Invalid, { base: ["There is no such role, or nothing of that kind to allow."] } if strange
      end

      def keep(role, before, may, by, at)
        fields = { may: Sequel.pg_array(may.map(&:to_s), :text), said_by: by.id, said_at: at }
        known = Models::Role.first(name: role)
        row = known ? known.update(fields) : Models::Role.create(name: role, **fields)
        History.note("said what a role may do", row, by: by, at: at,
          data: { role: role, allowed: may - before, no_longer: before - may })
      end
      private_class_method :can_be_said, :refuse, :keep
    end
  end
end
