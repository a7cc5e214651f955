# frozen_string_literal: true

module UprightBench
  module Services
    # The shop's logo, as it stands on bills, estimates and whatever else a customer takes home.
    module KeepLogo
      module_function

      # @param file [Hash, nil] as a multipart form gives it, :filename and :tempfile; nil takes the logo away
      # @return [Models::Shop]
      # @raise [Invalid] when it is no picture
      # @raise [Refused] when there is no room for it
      def call(file, by:, at:)
        Permissions.check!(:settings, by)
        picture = file && prepare(file)
        KeepShop.call({ logo_digest: picture&.digest }, by: by, at: at)
      end

      # @param shop [Models::Shop]
      # @return [Pathname, nil] where it lies
      def path(shop)
        found = shop.logo_digest && Pictures::Store.ours.path(shop.logo_digest, :full)
        found if found&.exist?
      end

      def prepare(file)
        picture = Pictures::Prepare.new(file.fetch(:tempfile).path).call
        picture.sizes.each { |size, bytes| Pictures::Store.ours.put(picture.digest, size, bytes) }
        picture
      rescue Pictures::Prepare::Unfit => e
        raise Invalid, { logo: [e.message] }
      rescue SystemCallError
        raise Refused, "There is no room for it on the disk."
      end
      private_class_method :prepare
    end
  end
end
