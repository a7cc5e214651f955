# frozen_string_literal: true

namespace :docs do
  desc "Write docs/kinds.md, and the kinds in docs/sheet.schema.json, anew from the declarations"
  task :kinds do
    require_relative "../launch/core_alone"
    require_relative "../measure/kinds_page"
    UprightBench::Measure::KindsPage.new.write
  end
end

namespace :kinds do
  desc "Lay out every kind of part in every state on one sheet (var/kinds.html)"
  task :pictures do
    require_relative "../launch/core_alone"
    UprightBench.const_set(:Drawings, Module.new)
    CoreAlone.lay(UprightBench::Drawings, File.expand_path("../drawings", __dir__))
    require_relative "../measure/kinds_pictures"
    file = File.expand_path("../var/kinds.html", __dir__)
    mkdir_p File.dirname(file), verbose: false
    UprightBench::Measure::KindsPictures.new.write(file)
    puts file
  end
end
