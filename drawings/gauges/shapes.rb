# frozen_string_literal: true

module UprightBench
  module Drawings
    module Gauges
      # The drawing of each kind of part, and what each of its states changes in it.
      module Shapes # rubocop:disable Metrics/ModuleLength -- one table
        # kind => { :good => layers, state => layers }; a layer is [how, path], or [:specks] for dust
        BY_KIND = {
          seal: {
            good: [[:line, "M20 16h180M20 62h180"], [:fill, "M90 18q20 42 40 0zM90 18h40v44h-40z"]],
            "dirty" => [[:specks]],
            "lifted" => [[:line, "M20 16h180M20 62h180"], [:fill, "M120 10q20 30 44 2l-6 38-38 4z"]],
            "binds" => [[:hair, "M80 24q30 6 60 0M80 54q30-6 60 0"]],
            "torn" => [[:line, "M20 16h180M20 62h180"], [
              :fill, "M90 18h16l-6 14 8 10-10 20h-8zM118 18h12v44h-14l6-16-8-12z"
            ]]
          },
          flap: {
            good: [[:line, "M40 60h140"], [:fill, "M44 50h126v8h-126z"],
                   [:thin, "M44 54m-8 0a8 8 0 1 0 16 0a8 8 0 1 0-16 0"]],
            "gapes" => [[:line, "M40 60h140"], [:fill, "M44 50l122-30 3 8-122 30z"], [:specks]],
            "jammed" => [[:line, "M40 60h140"], [:fill, "M44 50l70-40 5 7-68 42z"], [:hair, "M90 56q20-30 50-6"]],
            "broken" => [[:line, "M40 60h140"], [:fill, "M44 50h50l6 8h-56zM120 30l48 14-3 8-50-12z"]]
          },
          path: {
            good: [[:line, "M20 14h90q40 0 40 34v24M20 46h84q12 0 12 12v14"]],
            "partly" => [[:fill, "M84 46q14-22 32-4q6 12-8 8z"]],
            "blocked" => [[:fill, "M86 16q30-6 58 22l-28 16q-10-10-32-8q-8-16 2-30z"]]
          },
          roll: {
            good: [
              [:line, "M40 34h140v18h-140z"],
              [:thin, "M52 34v-12M72 34v-12M92 34v-12M112 34v-12M132 34v-12M152 34v-12M168 34v-12M52 52v12M72 " \
                      "52v12M92 52v12M112 52v12M132 52v12M152 52v12M168 52v12"]
            ],
            "drags" => [[:hair, "M42 26q4 16 0 34M48 26q4 16 0 34M172 26q4 16 0 34M178 26q4 16 0 34"]],
            "stuck" => [[:hair, "M42 22q6 20 0 42M50 22q6 20 0 42M58 22q6 20 0 42M160 22q6 20 0 42M168 22q6 20 0 " \
                                "42M176 22q6 20 0 42M90 24l40 36M100 60l34-36"]]
          },
          side_brush: {
            good: [[:line, "M110 42m-8 0a8 8 0 1 0 16 0a8 8 0 1 0-16 0"],
                   [:thin, "M116 36l40-22M104 36l-40-22M110 50v26"]],
            "hair-wound" => [[:hair, "M98 42q12-22 24 0q-12 22-24 0M96 36q14-12 28 10M98 52q16 6 24-12"]],
            "bent" => [[:line, "M110 42m-8 0a8 8 0 1 0 16 0a8 8 0 1 0-16 0"],
                       [:thin, "M116 36q20-16 24-26M104 36q-20 4-44-8M110 50q18 10 26 26"]],
            "missing" => [[:ghost, "M110 42m-8 0a8 8 0 1 0 16 0a8 8 0 1 0-16 0M116 36l40-22M104 36l-40-22M110 50v26"]]
          },
          wiper: {
            good: [[:line, "M20 72h180"], [:fill, "M60 16h100v14h-100zM102 30h16l-4 40h-8z"]],
            "dirty" => [[:specks], [:hair, "M84 68q26-14 52 0"]],
            "worn" => [[:line, "M20 72h180"], [:fill, "M60 16h100v14h-100zM102 30h16l-2 14-5-4-3 10-5-6z"]]
          },
          guide_bars: {
            good: [[:line, "M60 14v56M90 14v56M120 14v56M150 14v56"]],
            "bent" => [[:line, "M60 14v56M90 14q24 28 0 56M120 14v56M150 14v56"]],
            "missing" => [[:line, "M60 14v56M120 14v56M150 14v56"], [:ghost, "M90 14v56"]]
          },
          window: {
            good: [[:line, "M50 18q60-14 120 0v44h-120z"]],
            "dirty" => [[:specks]],
            "cracked" => [[:crack, "M80 14l14 18-8 10 20 20M94 32l26-4"]]
          },
          wheels: {
            good: [[:line, "M60 44m-20 0a20 20 0 1 0 40 0a20 20 0 1 0-40 0M160 44m-20 0a20 20 0 1 0 40 0a20 20 0 1 " \
                           "0-40 0"], [:thin, "M60 44h100"]],
            "drag" => [[:hair, "M74 36q6 8 0 18M82 36q6 8 0 18M138 36q6 8 0 18M146 36q6 8 0 18"], [:specks]],
            "broken" => [[:line, "M60 44m-20 0a20 20 0 1 0 40 0a20 20 0 1 0-40 0M160 24a20 20 0 1 1-18 12"],
                         [:crack, "M158 20l-10 16 12 8"]]
          },
          vents: {
            good: [[:line, "M56 18h16v48h-16zM88 18h16v48h-16zM120 18h16v48h-16zM152 18h16v48h-16z"]],
            "dusty" => [[:specks]],
            "blocked" => [[:fill, "M56 18h16v48h-16zM88 18h16v48h-16zM120 18h16v48h-16zM152 18h16v48h-16z"]]
          },
          comb: {
            good: [[:line, "M50 20h120v12h-120z"], [:thin, "M58 32v30M70 32v30M82 32v30M94 32v30M106 32v30M118 " \
                                                           "32v30M130 32v30M142 32v30M154 32v30M162 32v30"]],
            "hair-wound" => [[:hair, "M54 40q56 12 112 0M54 50q56 12 112 0M54 60q56 10 112 0"]],
            "broken" => [[:line, "M50 20h120v12h-120z"], [:thin, "M58 32v30M70 32v30M82 32v8M94 32v10M106 32v7M118 " \
                                                                 "32v30M130 32v30M142 32v9M154 32v30M162 32v30"]]
          },
          pedal: {
            good: [[:line, "M30 64h160M60 64l16-24h68l16 24"], [:fill, "M84 24h52l8 14h-68z"]],
            "stiff" => [[:specks]],
            "broken" => [[:line, "M30 64h160M60 64l16-24h68l16 24"], [:fill, "M84 24h20l-6 14h-22z"],
                         [:crack, "M108 22l-6 8 8 4-6 8"]]
          },
          valve: {
            good: [[:line, "M30 22h160M30 58h160M92 22v-8h36v8"], [:fill, "M92 14h36v8h-36z"]],
            "sticks" => [[:line, "M30 22h60M130 22h60M30 58h160"], [:fill, "M118 12h36v8h-36z"], [:specks]],
            "broken" => [[:line, "M30 22h60M130 22h60M30 58h160"], [:crack, "M92 14l12 8-8 6 14 10"]]
          },
          screen: {
            good: [[:line, "M60 12h100v58h-100z"], [:thin, "M80 12v58M100 12v58M120 12v58M140 12v58M60 26h100M60 " \
                                                           "41h100M60 56h100"]],
            "hair-wound" => [[:hair, "M54 24q56 14 112 0M54 36q56 14 112 0M54 48q56 14 112 0M54 60q56 12 112 0"]],
            "clogged" => [[:fill, "M62 30q50-14 96 6v32h-96z"]],
            "torn" => [[:crack, "M96 24l16 14-12 8 22 16"]]
          },
          cyclone: {
            good: [[:line, "M46 14h36l-12 50h-12zM92 14h36l-12 50h-12zM138 14h36l-12 50h-12z"]],
            "dusty" => [[:specks]],
            "packed" => [[:fill, "M52 36h24l-6 28h-12zM98 36h24l-6 28h-12zM144 36h24l-6 28h-12z"]]
          },
          sensor: {
            good: [[:line, "M50 20h60v44h-60zM130 42h40"], [:thin, "M176 32q8 10 0 20M186 26q12 16 0 32"]],
            "silent" => [[:line, "M50 20h60v44h-60zM130 42h40"], [:crack, "M178 32l16 20M194 32l-16 20"]]
          },
          motor: {
            good: [[:line, "M110 40m-30 0a30 30 0 1 0 60 0a30 30 0 1 0-60 0"],
                   [:thin, "M110 40m-12 0a12 12 0 1 0 24 0a12 12 0 1 0-24 0"]],
            "high-pitched" => [[:hair, "M150 26l6 8 6-8 6 8 6-8 6 8M150 44l6 8 6-8 6 8 6-8 6 8"]],
            "rough" => [[:crack, "M148 40l10-14 6 22 10-26 8 30"]],
            "burnt smell" => [[:crack, "M96 26l28 28M124 26l-28 28M86 8q6-6 0-8M110 6q6-6 0-8M134 8q6-6 0-8"]]
          },
          contacts: {
            good: [[:line, "M60 22h36v36h-36zM124 22h36v36h-36z"]],
            "dirty" => [[:specks]],
            "burnt" => [[:fill, "M60 22h36v36h-36zM124 22h36v36h-36z"], [:crack, "M66 28l24 24M130 28l24 24"]]
          },
          lead: {
            good: [[:line, "M20 44q24-36 48 0t48 0t48 0h30M194 36v16M194 40h12M194 48h12"]],
            "damaged" => [[:crack, "M104 26l8 34M112 24l8 34"]]
          },
          tank: {
            good: [[:line, "M60 20v44q0 6 6 6h88q6 0 6-6v-44M54 16h112"], [:thin, "M62 46q12-6 24 0t24 0t24 0t24 0"]],
            "dirty" => [[:specks]],
            "gapes" => [[:line, "M60 24v40q0 6 6 6h88q6 0 6-6v-40M52 18l112-14"]],
            "leaks" => [[:crack, "M120 70l-4 8M126 74v8M138 70l4 8"]]
          },
          pad: {
            good: [[:line, "M50 18h120v48h-120z"], [:thin, "M50 30h120M50 42h120M50 54h120"]],
            "dirty" => [[:specks]],
            "worn" => [[:crack, "M94 30q20-10 32 8q-8 20-30 12q-12-8-2-20z"]]
          },
          dock: {
            good: [[:line, "M70 70h80l-10-14h-60zM96 56v-46h28v46"]],
            "dusty" => [[:specks]],
            "loose" => [[:line, "M70 70h80l-10-14h-60zM92 58l-10-46 28-6 10 46"], [:crack, "M88 60l8 6M118 52l8 6"]]
          }
        }.freeze
      end
    end
  end
end
