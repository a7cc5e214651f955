# frozen_string_literal: true

# Loads core/ with nothing but Ruby itself, by the same file-to-constant rule as the application's loader.
module CoreAlone
  ROOT = File.expand_path("../..", __dir__)

  def self.camel(name)
    name.split("_").map(&:capitalize).join
  end

  # A folder with a file of its own name is opened by that file; others become plain modules.
  def self.lay(namespace, folder)
    Dir.children(folder).sort.each do |entry|
      path = File.join(folder, entry)
      name = camel(File.basename(entry, ".rb")).to_sym
      next lay_folder(namespace, name, path) if File.directory?(path)

      File.directory?(path.delete_suffix(".rb")) ? require(path) : namespace.autoload(name, path)
    end
  end

  def self.lay_folder(namespace, name, path)
    inner = namespace.const_defined?(name, false) ? namespace.const_get(name) : namespace.const_set(name, Module.new)
    lay(inner, path)
  end
end

module UprightBench
  module Core; end
end
CoreAlone.lay(UprightBench::Core, File.join(CoreAlone::ROOT, "core")) unless defined?(Zeitwerk)
