# frozen_string_literal: true

require_relative "../test_helper"

class ShippedFilesTest < AppTest
  def test_every_shipped_file_is_as_the_manifest_says
    assert_empty Config::Vendored.new(Config::Settings::ROOT).problems
  end

  def test_a_changed_a_missing_and_an_unknown_file_are_found
    Dir.mktmpdir do |folder|
      root = Pathname(folder)
      FileUtils.mkdir_p(root.join("public/vendor"))
      root.join("public/vendor/a.js").write("changed")
      root.join("public/vendor/c.js").write("unknown")
      rows = %w[a.js b.js].map { |name| { file: "public/vendor/#{name}", sha256: "0" } }
      root.join("public/vendor/manifest.json").write(JSON.generate(rows))

      assert_equal ["public/vendor/a.js has changed", "public/vendor/b.js is missing",
                    "public/vendor/c.js is not in the manifest"], Config::Vendored.new(root).problems
    end
  end

  def test_no_page_names_another_host
    files = Dir.glob("{screens/**/*.erb,public/*.{css,js},web/*.rb}", base: TestDatabase::ROOT)
    strangers = files.flat_map do |file|
      File.read(File.join(TestDatabase::ROOT, file)).scan(%r{(?:src|href|url\()\s*=?\s*["'(]?\s*(https?:)?//[^"')\s]+})
    end

    assert_empty strangers
  end
end
