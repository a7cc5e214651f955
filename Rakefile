# frozen_string_literal: true

Dir["tasks/*.rake"].each { |file| load file }
