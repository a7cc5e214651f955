# frozen_string_literal: true

require_relative "app"

UprightBench::LOADER.eager_load
run UprightBench::App.build
