# frozen_string_literal: true

require_relative "../../launch/cluster"

# Whether anything that opens a door, and anything that says who a person is, stands in a log: of requests, of errors,
# of the worker, of the database.
module InNoLog
  # The block's logs are read from where they stand now.
  # @param files [Array<String>] beside those that are always there
  def in_no_log(*files)
    REQUEST_LOG.truncate(0)
    REQUEST_LOG.rewind
    from = [database_log].to_h { |file| [file, File.size?(file).to_i] }
    real = $stderr
    $stderr = errors = StringIO.new
    yield
  ensure
    $stderr = real
    all = [REQUEST_LOG.string, errors.string, *from.map { |file, size| tail(file, size) },
           *files.select { |file| File.exist?(file) }.map { |file| File.read(file) }].join("\n")

    refute_empty REQUEST_LOG.string, "there is a log to look at"
    assert_empty(secrets.select { |secret| all.include?(secret) })
  end

  private

  # @return [Array<String>]
  def secrets
    people = UprightBench::Models::Person.select_map(%i[name email]).flatten + [UprightBench::Demo::Load::PASSWORD]
    customers = UprightBench::Models::Customer.select_map(%i[name phone phone_digits email street]).flatten
    (people + customers + codes + UprightBench::Models::Machine.select_map(:serial_number)).compact.map(&:strip)
      .reject { |text| text.length < 4 }.uniq
  end

  # As they stand in the address, without which nothing opens.
  def codes
    cards = UprightBench::Models::Card.all.map { |card| UprightBench::Outbox::Letters.link(card) }
    slips = UprightBench::Models::Job.all.map { |job| UprightBench::Outbox::JobLink.of(job) }
    (cards + slips).map { |link| link[%r{[^/]+\z}] }
  end

  def database_log
    File.join(UprightBench::Launch::Cluster.new(folder: File.join(TestDatabase::ROOT, "var/test-postgres"), fast: true)
      .folder, "server.log")
  end

  def tail(file, size)
    File.open(file) { |log| log.seek(size) && log.read.to_s.scrub }
  rescue SystemCallError
    ""
  end
end
