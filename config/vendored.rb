# frozen_string_literal: true

require "digest"
require "fileutils"
require "json"

module UprightBench
  module Config
    # The fonts, styles and scripts of others that ship in public/vendor, and the manifest that names them:
    # package, version, licence and checksum of every file.
    class Vendored
      NEXT = "@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next"
      # shipped name => file in its npm package
      FILES = {
        "htmx.min.js" => "htmx.org/dist/htmx.min.js",
        "alpine-csp.min.js" => "@alpinejs/csp/dist/cdn.min.js",
        "fonts/hyperlegible-next.woff2" =>
          "#{NEXT}-latin-wght-normal.woff2",
        "fonts/hyperlegible-next-ext.woff2" =>
          "#{NEXT}-latin-ext-wght-normal.woff2",
        "fonts/hyperlegible-mono.woff2" =>
          "@fontsource-variable/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-wght-normal.woff2",
        "print/AtkinsonHyperlegibleNext-Regular.ttf" =>
          "@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf",
        "print/AtkinsonHyperlegibleNext-Bold.ttf" =>
          "@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf"
      }.freeze
      STYLE = "bootstrap.css"
      STYLE_SOURCE = "config/bootstrap.scss"
      SASS = %w[node_modules/.bin/sass --load-path=node_modules --no-source-map --style=compressed --quiet-deps
                --silence-deprecation=import,global-builtin,color-functions,if-function].freeze
      TEST_FILES = { "axe.min.js" => "axe-core/axe.min.js" }.freeze
      DEBIAN = "/usr/share/fonts/truetype/dejavu"
      DEBIAN_FILES = { "print/DejaVuSans.ttf" => "DejaVuSans.ttf",
                       "print/DejaVuSans-Bold.ttf" => "DejaVuSans-Bold.ttf" }.freeze

      # @param root [Pathname] of the project
      def initialize(root)
        @root = root
        @folder = root.join("public/vendor")
      end

      # Copies everything anew from node_modules and Debian's fonts, and writes the manifest.
      def rebuild
        rows = npm(FILES, @folder) + npm(TEST_FILES, @root.join("test/vendor")) + debian + [style]
        @folder.join("manifest.json").write("#{JSON.pretty_generate(rows)}\n")
      end

      # @return [Array<String>] one sentence for each file that is missing, changed or not in the manifest
      def problems
        rows = JSON.parse(@folder.join("manifest.json").read)
        listed = rows.map { |row| row.fetch("file") }
        changed(rows) + (present - listed).map { |file| "#{file} is not in the manifest" }
      end

      private

      def npm(files, folder)
        files.map do |name, source|
          from = @root.join("node_modules", source)
          package = JSON.parse(@root.join("node_modules", source[%r{\A(@[^/]+/)?[^/]+}], "package.json").read)
          entry(copy(from, folder.join(name)), package.fetch("name"), package.fetch("version"),
            package.fetch("license"))
        end
      end

      # The parts of Bootstrap that are used, built with our variables.
      def style
        built = @folder.join(STYLE)
        system(*SASS, STYLE_SOURCE, built.to_s, chdir: @root.to_s, exception: true)
        package = JSON.parse(@root.join("node_modules/bootstrap/package.json").read)
        entry(built, "bootstrap", package.fetch("version"), package.fetch("license"))
      end

      def debian
        version = `dpkg-query -W -f '${Version}' fonts-dejavu-core`
        DEBIAN_FILES.map do |name, source|
          entry(copy(Pathname(DEBIAN).join(source), @folder.join(name)), "fonts-dejavu-core (Debian)", version,
            "Bitstream Vera, public domain changes")
        end
      end

      def copy(from, to)
        FileUtils.mkdir_p(to.dirname)
        FileUtils.cp(from, to)
        to
      end

      def entry(path, package, version, licence)
        { file: path.relative_path_from(@root).to_s, package: package, version: version, licence: licence,
          sha256: Digest::SHA256.file(path).hexdigest }
      end

      def changed(rows)
        rows.filter_map do |row|
          path = @root.join(row.fetch("file"))
          next "#{row['file']} is missing" unless path.exist?

          "#{row['file']} has changed" unless Digest::SHA256.file(path).hexdigest == row.fetch("sha256")
        end
      end

      def present
        Dir.glob("{public,test}/vendor/**/*", base: @root).select do |file|
          @root.join(file).file?
        end - ["public/vendor/manifest.json"]
      end
    end
  end
end
