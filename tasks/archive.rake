# frozen_string_literal: true

namespace :archive do
  desc "Write everything of the shop into one file"
  task :write, [:path] => "db:boot" do |_, arguments|
    path = arguments.fetch(:path)
    UprightBench::Config::SchemaVersion.check(UprightBench::DB)
    manifest = UprightBench::Services::WriteArchive.call(path, at: Time.now)
    rows = manifest[:tables].sum { |_, table| table[:rows] }
    puts "Written: #{path} (#{manifest[:tables].size} tables, #{rows} rows, #{File.size(path) / 1024} kB)."
  rescue UprightBench::Config::SchemaVersion::Refused => e
    abort "Nothing was written: #{e.message}."
  end

  desc "Make a shop of such a file, in an empty database"
  task :read, [:path] => "db:boot" do |_, arguments|
    tables = UprightBench::Config::Database.as_owner(UprightBench::DB) do |owner|
      UprightBench::Services::ReadArchive.call(arguments.fetch(:path), owner: owner)
    end
    UprightBench::Config::Database.migrate(UprightBench::DB)
    settings = UprightBench::SETTINGS
    UprightBench::Config::Keys.make(settings.keys_file, today: Date.today, secret: settings.own_secret)
    puts "Read and compared: #{tables.size} tables, #{tables.sum { |_, (rows, _)| rows }} rows, all as they were."
    owner, password = UprightBench::Services::Staff.first_owner_anew(at: Time.now)
    if owner
      puts "#{owner.name} signs in as #{owner.email} with the password #{password}",
        "and gives the others theirs."
    end
  rescue UprightBench::Services::Refused => e
    abort "This archive was not read: #{e.message}"
  end
end
