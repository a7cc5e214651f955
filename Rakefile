# frozen_string_literal: true

Dir["config/tasks/*.rake"].each { |file| load file }
