# frozen_string_literal: true

# Group: slow (junk in every field of every route)

require_relative "../test_helper"
require_relative "../support/as_staff"

# Every route of the application, asked with junk in its path, its query and its fields, and with fields in every shape
# that a form can give them: never an answer of the five hundreds.
class FuzzTest < DatabaseTest
  include AsStaff

  JUNK = ["", " ", "0", "-1", "1e999", "NaN", "9" * 40, "x" * 9000, "\u0000", "caf\xE9", "'; drop table people; --",
          "<script>", "%", "_", "\\",
          "null", "true", "2026-02-30", "☃", "\u202Egnp", [], ["a"], [["a"]], {}, { "a" => "b" }, { "a" => ["b"] },
          "../../etc/passwd", "1\n2", "٣"].freeze
  FIELDS = %w[q request_key customer_id machine_id complaint came_with hours_per_week traits allergy made_safe customer
              machine version verdict grey turns
              state standout_mm fill_percent agreed_name agreed_how how note choice not_shaken early_reason wet_reason
              pieces counted reason customer_ids
              lock_version name email phone email_agreed kind weeks theme bag_limit_percent hours closed calendar
              drying_humidity_percent after at new pdf
              arrived accessories conditions no_condition pictures list list_file machine_ids from to out missing_note
              since request_key other till
              other_reason length_unit seal_care length_mm run_minutes
              pasted file relative_id maker model over clocks fasteners measures behind features tasks kits accessories
              opens takes_off refit_before may_lift connectors safe orientation tight never outline
              rated take_out key water
              seat layer never_without refit_order sheet call_above warranty_name covered offer question reply
              discount_percent discount_reason
              supplier part order before digest code lead_days until at_once shown customer_ids move line card_id on
              note drop_off_on language look sign tool shares lights runs_without_filter taken gauge gauge_id point
              away_id person_id not_before pinned at_bench own_hours skills
              grams dry_grams elsewhere size final_test_by bench_seats wet_benches stay_on_an_hour work brought minutes
              drying_hours sheet_id together
              plate_mm exhaust_off cause check result remedy power pattern unit error_percent weak_reason
              email_body months minutes starts_on ends_on channel first_only sheet List-Unsubscribe after sure].freeze
  DEEP = { "a" => { "b" => { "c" => ["d", { "e" => "f" }] } } }.freeze
  # A field as a list, a hash, a list of hashes, something deep, or a file.
  SHAPES = [->(junk) { [junk] }, ->(junk) { { "a" => junk } }, ->(junk) { [{ "a" => junk }] }, ->(_) { DEEP },
            ->(_) { Array.new(300, "x") },
            lambda { |_|
              Rack::Test::UploadedFile.new(StringIO.new("number,name\n"), "text/csv", original_filename: "../x.csv")
            }].freeze
  SEGMENTS = ["..", ".", "%2e%2e", "..%2f", "%5c", "..;", "%00", "a/../b"].freeze
  ROUNDS = 15

  def setup
    sign_in
    get "/legend"
    @token = token
    a_worker_is_there
    Services::BeginDraft.of(sheet("Hallmoor Dart M"), by: owner, at: NOW)
    @job = settled({ "pre-filter" => { grey: 5 } })
    @real = { "station" => "pre", "key" => "pre-filter", "size" => "small",
              "supplier" => Models::Supplier.first.id.to_s,
              "number" => @job.number.to_s, "id" => item(@job, "pre-filter").id.to_s, "position" => "pre-filter",
              "task" => "wash", "stay" => "1", "step" => "part", "part" => "1",
              "move" => "receive", "customer" => @job.customer_id.to_s,
              "code" => Outbox::Letters.codes.write(Models::Card.order(:id).last.id, today) }
  end

  %w[GET POST].each do |verb|
    define_method(:"test_no_#{verb.downcase}_answers_500") do
      random = Random.new(4610)
      Screens::App.routes.fetch(verb).map { |route| route.first.to_s }
        .uniq.each { |pattern| ROUNDS.times { ask(verb, pattern, random) } }
    end
  end

  private

  # So that /readyz, too, has nothing to complain of.
  def a_worker_is_there
    DB[:que_lockers].insert(pid: Sequel.lit("pg_backend_pid()"), worker_count: 1,
      worker_priorities: Sequel.pg_array([100]), ruby_pid: 1, ruby_hostname: "here",
      queues: Sequel.pg_array(["default"]), listening: true, job_schema_version: 2)
  end

  def ask(verb, pattern, random)
    path = pattern.gsub(/:(\w+)/) { random.rand < 0.7 ? @real.fetch(Regexp.last_match(1), "x") : junk_for_path(random) }
    fields = FIELDS.sample(random.rand(1..12), random: random)
      .to_h { |name| [name, in_some_shape(JUNK.sample(random: random), random)] }
    DB.transaction(savepoint: true, rollback: :always) do
      verb == "GET" ? get(path, fields) : post(path, fields.merge("_csrf" => @token))
    end

    assert_operator status, :<, 500, "#{verb} #{path} #{fields.inspect[0, 600]}"
  end

  def in_some_shape(junk, random)
    random.rand < 0.4 ? SHAPES.sample(random: random).call(junk) : junk
  end

  def junk_for_path(random)
    return SEGMENTS.sample(random: random) if random.rand < 0.2

    text = JUNK.grep(String).reject(&:empty?).sample(random: random)
    Rack::Utils.escape(text[0, 60])
  end
end
