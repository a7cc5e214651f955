# frozen_string_literal: true

require "digest"
require "rack/files"

module UprightBench
  module Web
    # The styles, scripts and fonts, each under the digest of them all. An address so never comes to mean something
    # else, and browsers keep it for a year. Scripts and styles name each other by relative paths, so all of them share
    # one digest.
    class Assets
      FOLDER = Config::Settings::ROOT.join("public")
      ADDRESS = %r{\A/assets/(?<digest>\h{12})/(?<name>.+)\z}
      A_YEAR = "public, max-age=31536000, immutable"

      class << self
        # @param name [String] as in "styles/staff.css"
        # @return [String] its address
        def path(name)
          "/assets/#{digest}/#{name}"
        end

        # @return [String] of everything that is there; read once
        def digest
          @digest ||= FOLDER.glob("**/*").select(&:file?).sort.each_with_object(Digest::SHA256.new) do |file, sum|
            sum << file.relative_path_from(FOLDER).to_s << file.binread
          end.hexdigest[0, 12]
        end
      end

      def initialize(app)
        @app = app
        @files = Rack::Files.new(FOLDER.to_s)
      end

      def call(env)
        address = ADDRESS.match(env["PATH_INFO"]) or return @app.call(env)
        status, headers, body = @files.call(env.merge("PATH_INFO" => "/#{address[:name]}"))
        return @app.call(env) if status == 404

        # A page from before a new version asks for files by the old digest: it gets today's, and asks again the next
        # time.
        headers["cache-control"] = address[:digest] == self.class.digest ? A_YEAR : "no-cache"
        [status, headers, body]
      end
    end
  end
end
