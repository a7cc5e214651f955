# frozen_string_literal: true

module UprightBench
  module Launch
    # The time zone of this machine, which is that of the shop it stands in unless SHOP_TZ says otherwise.
    module SystemZone
      NAME = %r{\A[A-Za-z_]+(?:/[A-Za-z0-9_+-]+){0,2}\z}
      ZONES = "/usr/share/zoneinfo/"

      module_function

      # @param env [Hash] as ENV
      # @param etc [String] where the system says it
      # @return [String, nil] as in "Europe/Oslo"; nil where nothing says it
      def name(env: ENV, etc: "/etc")
        [env["TZ"], written("#{etc}/timezone"), linked("#{etc}/localtime")]
          .compact.find { |zone| zone.match?(NAME) && File.file?("#{ZONES}#{zone}") }
      end

      def written(path)
        File.read(path).strip if File.file?(path)
      end

      def linked(path)
        File.readlink(path).split("zoneinfo/", 2)[1] if File.symlink?(path)
      end
      private_class_method :written, :linked
    end
  end
end
