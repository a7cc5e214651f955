# frozen_string_literal: true

# Group: slow (starts the whole shop, five times)

require "net/http"
require "open3"
require_relative "../test_helper"
require_relative "../../launch/shell"

# In production nothing opens with a password that everybody knows, and the first owner comes in by an address that
# works once.
class ProductionTest < AppTest
  START = File.join(TestDatabase::ROOT, "bin/start")

  def in_production(**more)
    Dir.mktmpdir("ub", "/var/tmp") do |folder|
      port = Launch::Shell.free_port.to_s
      yield({ "APP_ENV" => "production", "STATE_DIR" => folder, "PORT" => port,
              "PUBLIC_URL" => "http://127.0.0.1:#{port}", "SESSION_SECRET" => nil, **more })
    end
  end

  def test_a_database_with_the_demos_accounts_is_refused
    in_production do |env|
      out, status = Open3.capture2e(env, "timeout", "60", START)

      assert_equal 1, status.exitstatus
      assert_match(/This shop cannot be opened: this database holds the demo's accounts/, out)
      refute_includes out, Demo::Load::PASSWORD
      [%w[bundle exec puma -C config/puma.rb], ["bin/worker"]].each do |command|
        out, status = Open3.capture2e(env.merge("DATABASE_OWNER_URL" => nil, "SESSION_SECRET" => "s" * 64),
          "timeout", "60", *command, chdir: TestDatabase::ROOT)

        refute_predicate status, :success?
        assert_match(/demo's accounts/, out)
      end
    end
  end

  def test_a_role_that_owns_its_tables_is_refused
    TestDatabase.empty_one("production") do |database|
      in_production(**database, "DATABASE_URL" => database["DATABASE_OWNER_URL"], "DATABASE_OWNER_URL" => nil) do |env|
        assert_match(/owns the tables/, Open3.capture2e(env, "timeout", "60", START).first)
      end
    end
  end

  def test_an_empty_shop_gets_its_first_owner_once
    TestDatabase.empty_one("production") do |database|
      in_production(**database) do |env|
        started(env) do |words|
          key = words[%r{/first/([\w-]+)}, 1]

          refute_match(/ropewalk/, words)
          assert_equal "404", get(env, "/c/#{'0' * 26}").code, "a code in a shop without a name"
          assert_equal "404", get(env, "/first/#{key}x").code
          open_the_shop(env, key)

          assert_equal "404", get(env, "/first/#{key}").code
          assert_empty(Dir.glob("**/*", base: env["STATE_DIR"])
            .reject { |name| File.stat(File.join(env["STATE_DIR"], name)).mode.nobits?(0o077) },
            "what others may look at")
          assert_path_exists File.join(env["STATE_DIR"], "keys.json")
        end
      end
    end
  end

  # Outside production too: keys that nobody knows, and every later start goes on with it.
  def test_a_shop_of_ones_own_is_begun_and_stays_one
    TestDatabase.empty_one("production") do |database|
      in_production(**database, "APP_ENV" => nil) do |env|
        started(env, "--own") do |words|
          assert_match(%r{/first/[\w-]+}, words)
          refute_match(/ropewalk/, words)
        end
        keys = File.read(File.join(env["STATE_DIR"], "keys.json"))

        started(env) { |words| assert_match(%r{/first/[\w-]+}, words) }

        assert_equal keys, File.read(File.join(env["STATE_DIR"], "keys.json"))
        out, = Open3.capture2e(env, "bundle", "exec", "rake", "demo:load", chdir: TestDatabase::ROOT)

        assert_match(/There is a shop of your own here/, out)
      end
    end
  end

  def test_no_shop_is_begun_on_the_demo
    in_production("APP_ENV" => nil) do |env|
      out, status = Open3.capture2e(env, "timeout", "60", START, "--own")

      assert_equal 1, status.exitstatus
      assert_match(/holds the demo's accounts.*--fresh --own/, out)
      refute_path_exists File.join(env["STATE_DIR"], "keys.json")
    end
  end

  private

  # @yieldparam words [String] what the start printed
  def started(env, *arguments)
    reader, writer = IO.pipe
    pid = Process.spawn(env, START, *arguments, out: writer, err: writer, pgroup: true)
    writer.close
    words = +""
    deadline = seconds_by_clock + 90
    until words.include?("Ctrl-C stops everything")
      flunk "it did not start: #{words}" if seconds_by_clock > deadline
      words << reader.read_nonblock(4096, exception: false)
        .then { |read| read == :wait_readable ? (sleep(0.1) && "") : read.to_s }
    end
    yield words
  ensure
    Process.kill("INT", pid)
    Process.wait(pid)
  end

  def open_the_shop(env, key)
    page = get(env, "/first/#{key}")
    cookie = page["set-cookie"][/\A[^;]+/]
    typed = { "_csrf" => page.body[/name="_csrf" value="([^"]+)"/, 1], "name" => "Ada Own",
              "email" => "ada@shop.example",
              "password" => "a long pass phrase", "again" => "a short one", "shop_name" => "Own Shop",
              "street" => "Quay 1", "town" => "Here", "country" => "NO", "phone" => "555-0123",
              "rack_slots" => "6", "tax_percent" => "25", "open_from" => "09:00", "noon_from" => "12:00",
              "noon_until" => "11:00", "open_until" => "16:00" }
    answer = post(env, "/first/#{key}", typed, cookie)

    assert_equal "422", answer.code
    assert_match(/Password once more is not the same/, answer.body)
    assert_match(/The hours /, answer.body)
    right = typed.merge("again" => "a long pass phrase", "noon_until" => "12:30")
    answer = post(env, "/first/#{key}", right, cookie)

    assert_equal ["303", "/login"], [answer.code, answer["location"]]
    page = get(env, "/login")
    answer = post(env, "/login", { "_csrf" => page.body[/name="_csrf" value="([^"]+)"/, 1],
      "login" => "ada@shop.example", "password" => "a long pass phrase" },
      page["set-cookie"][/\A[^;]+/])

    assert_equal ["302", "/"], [answer.code, answer["location"]]
    home = get(env, "/", answer["set-cookie"][/\A[^;]+/])

    assert_equal "200", home.code
    assert_match(/Own Shop/, home.body)
    assert_match(/To begin with.*Take the first machine in/m, home.body)
    assert_match(/0 of 6 slots taken/, get(env, "/rack", answer["set-cookie"][/\A[^;]+/]).body)
    settings = get(env, "/settings", answer["set-cookie"][/\A[^;]+/]).body

    assert_match(/<option value="NOK" selected>/, settings)
    assert_match(/value="12:30"/, settings)
  end

  def get(env, path, cookie = nil)
    Net::HTTP.get_response(URI("#{env['PUBLIC_URL']}#{path}"), { "Cookie" => cookie }.compact)
  end

  def post(env, path, fields, cookie)
    Net::HTTP.post(URI("#{env['PUBLIC_URL']}#{path}"), URI.encode_www_form(fields), "Cookie" => cookie)
  end
end
