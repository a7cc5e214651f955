# frozen_string_literal: true

require "bundler/setup"
require "bootsnap"

File.umask(0o077) # whatever it writes is for its owner's eyes alone
# bootsnap keeps compiled code in STATE_DIR, the one folder that every process may write to.
state_dir = ENV.fetch("STATE_DIR") { File.expand_path("../var", __dir__) }
Bootsnap.setup(cache_dir: ENV.fetch("BOOT_CACHE") { File.join(state_dir, "cache") }, load_path_cache: true,
  compile_cache_iseq: true, compile_cache_yaml: false)
require "zeitwerk"

# What a form with files holds besides the files is kept in memory; Rack reads this when it is loaded.
ENV["RACK_MULTIPART_BUFFERED_UPLOAD_BYTESIZE_LIMIT"] ||= (2 * 1024 * 1024).to_s

# Brings the application's code and its database up. Needs DATABASE_URL.
module UprightBench
  ROOMS = %w[core english models services queries screens drawings papers formats outbox config web pictures
             demo].freeze

  ROOMS.map(&:capitalize).each { |name| const_set(name, Module.new) unless const_defined?(name, false) }

  LOADER = Zeitwerk::Loader.new
  ROOMS.each { |room| LOADER.push_dir(File.expand_path("../#{room}", __dir__), namespace: const_get(room.capitalize)) }
  # The folders of these two are there to find things by, and are no part of a name.
  LOADER.collapse(*%w[services queries].map { |room| File.expand_path("../#{room}/*", __dir__) })
  LOADER.ignore(__FILE__, "#{__dir__}/puma.rb")
  LOADER.setup

  SETTINGS = Config::Settings.new
  DB = Config::Database.connect(SETTINGS.database_url)
end
