# frozen_string_literal: true

source "https://rubygems.org"

ruby "~> 3.1"

# The web
gem "bcrypt", "~> 3.1"
gem "bootsnap", "~> 1.18", require: false # keeps what Ruby compiled: a process is up in two thirds of the time
gem "erubi", "~> 1.13"
gem "openssl", "3.0.1" # the one that comes with Ruby 3.1: newer ones would be built here
gem "prometheus-client", "~> 5.0"
gem "puma", "~> 8.0"
gem "rack", "~> 3.2"
gem "rack-attack", "~> 6.8"
gem "rack-protection", "~> 4.2"
gem "roda", "~> 3.100"
gem "rodauth", "~> 2.41"
gem "rotp", "~> 6.3"
gem "sinatra", "~> 4.2"
gem "tilt", "~> 2.4"
gem "webauthn", "~> 3.4" # passkeys
gem "zeitwerk", "~> 2.6.18"

# The database and the jobs in it
gem "json", "~> 2.0" # que 2.4 fails with json 3
gem "pg", "~> 1.5.9" # later ones bring their own libpq beside Debian's, which sequel_pg links
gem "que", "~> 2.4"
gem "sequel", "~> 5.100"
gem "sequel_pg", "~> 1.17"

# What comes in, and time
gem "dry-schema", "~> 1.13.4" # 1.14 uses syntax that Ruby 3.1 rejects
gem "dry-validation", "~> 1.10.0"
gem "tzinfo-data"

# Phones, address books, archives
gem "phonelib", "~> 0.10.0"
gem "rubyzip", "~> 2.4"
gem "vcard", "~> 0.4"

# Paper and post
gem "barby", "~> 0.7"
gem "countries", "~> 7.1" # how each country writes a postal address
gem "icalendar", "~> 2.10"
gem "mail", "~> 2.9" # reads what mail servers report; the tests read our mail back with it
gem "matrix", "~> 0.4" # prawn needs it since Ruby 3.1
gem "net-smtp", "~> 0.5"
gem "prawn", "~> 2.5"
gem "rqrcode", "~> 3.1"
gem "secretariat", "~> 3.9" # bills as EN 16931 has them

# Pictures
gem "ruby-vips", "~> 2.2"

gem "rake", "~> 13.0"

group :test do
  gem "biz", "~> 1.8" # our open hours are checked against it
  gem "capybara", "~> 3.40"
  gem "cuprite", "~> 0.17"
  gem "json_schemer", "~> 2.3"
  gem "minitest", "~> 5.0"
  gem "money", "~> 6.19" # our table of currencies is checked against it
  gem "rack-test", "~> 2.1"
  gem "rubocop", "~> 1.60", require: false
  gem "rubocop-minitest", require: false
  gem "rubocop-sequel", require: false
end
