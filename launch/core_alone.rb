# frozen_string_literal: true

# Loads core/, and english/ which words what it says, with nothing but Ruby itself, by the same file-to-constant rule as
# the application's loader.
module CoreAlone
  ROOT = File.expand_path("..", __dir__)

  def self.camel(name)
    name.split("_").map(&:capitalize).join
  end

  # @return [Array<String>] files that open a folder of their own name; they are loaded once everything else can be
  #   found
  def self.lay(namespace, folder)
    Dir.children(folder).sort.flat_map do |entry|
      path = File.join(folder, entry)
      name = camel(File.basename(entry, ".rb")).to_sym
      next lay_folder(namespace, name, path) if File.directory?(path)
      next [path] if File.directory?(path.delete_suffix(".rb"))

      namespace.autoload(name, path)
      []
    end
  end

  def self.lay_folder(namespace, name, path)
    there = namespace.const_defined?(name, false)
    inner = there ? namespace.const_get(name) : namespace.const_set(name, empty(name, path))
    lay(inner, path)
  end

  # As the file beside the folder will open it.
  def self.empty(name, path)
    file = "#{path}.rb"
    File.file?(file) && File.read(file).match?(/^ *class #{name}$/) ? Class.new : Module.new
  end
end

module UprightBench # rubocop:disable Style/OneClassPerFile -- the names that are filled
  module Core; end # rubocop:disable Style/Documentation -- said where it is filled from
  module English; end # rubocop:disable Style/Documentation
end
unless defined?(Zeitwerk)
  { "core" => UprightBench::Core, "english" => UprightBench::English }
    .flat_map { |folder, namespace| CoreAlone.lay(namespace, File.join(CoreAlone::ROOT, folder)) }
    .each { |file| require file }
end
