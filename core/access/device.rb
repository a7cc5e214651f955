# frozen_string_literal: true

module UprightBench
  module Core
    module Access
      # What kind of browser on what kind of device, as it says itself: enough to tell one's own sign-ins apart. Names
      # are those of the field User-Agent (RFC 9110, 10.1.5); the first that fits counts, since most name several.
      module Device
        BROWSERS = { "Edg" => "Edge", "OPR" => "Opera", "Firefox" => "Firefox", "Chrome" => "Chrome",
                     "Safari" => "Safari" }.freeze
        SYSTEMS = { "iPhone" => "an iPhone", "iPad" => "an iPad", "Android" => "Android", "CrOS" => "a Chromebook",
                    "Windows" => "Windows", "Macintosh" => "a Mac", "Linux" => "Linux" }.freeze

        module_function

        # @param agent [String, nil] the field User-Agent
        # @return [String] as in "Firefox on Windows"
        def words(agent)
          browser = BROWSERS.find { |name, _| agent.to_s.include?(name) }&.last || "a browser"
          system = SYSTEMS.find { |name, _| agent.to_s.include?(name) }&.last
          [browser, system].compact.join(" on ")
        end
      end
    end
  end
end
