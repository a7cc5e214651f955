# frozen_string_literal: true

module UprightBench
  module Demo
    # The invented people and firms of Pell Harbor.
    module Names
      FIRST = %w[Aldous Brynja Casimir Delphine Edda Florin Gerlind Halvor Isaura Jorun Kester Linnéa Marek Nadja Orrin
                 Perpetua Quillon
                 Rosalba Sören Thyra Ulrica Vesper Wendel Xenia Ysolde Zephyrin].freeze
      LAST = %w[Applegarth Brackenhurst Corvell Dunmarsh Ellerway Fennimore Gullstrand Holmkvist Inglebay Jessop-Tarn
                Kettlewick Lunderby
                Mørksund Netherby Osterlin Pellwright Quayle-Ferrow Rønnefeld Saltmarsh Tarnbrook Underhallow Verrowby
                Wexcombe Yarrowdale].freeze
      STREETS = ["Tarline Street", "Netloft Row", "Gull Stairs", "Bollard Street", "Cooperage Lane", "Lantern Hill",
                 "Old Slip", "Oakum Walk"].freeze
      # Where everybody lives: a small place has one postcode.
      PLACE = { town: "Pell Harbor", region: "NS", postcode: "B0X 0A1" }.freeze
      # models: title => how many
      FLEETS = [
        { name: "Pell Sound Ferry Line", models: {
          "Ostrel Stride 36" => 6, "Corvane Drum 30" => 2, "Ostrel Stride 40 Cup" => 2
        }, hours: 22, street: "Ferry Slip 1" },
        { name: "Lantern Hill Guesthouse", models: { "Brackwater Loft K" => 3, "Tolliver Rove Q" => 1 }, hours: 9,
          street: "Lantern Hill 14" },
        { name: "Pell Harbor Town Library", models: { "Ostrel Stride 40 Cup" => 3 }, hours: 10,
          street: "Oakum Walk 2" },
        { name: "Sundial Bakery", models: { "Corvane Drum 30" => 1, "Brackwater Loft C" => 1 }, hours: 7,
          street: "Cooperage Lane 5" }
      ].freeze
      # What households bring, the commonest first.
      MODELS = ["Brackwater Loft K", "Hallmoor Dart M", "Hallmoor Dart S", "Maristo Twinroll", "Hallmoor Dart L",
                "Brackwater Loft C", "Maristo Reed",
                "Tolliver Wick", "Maristo Reed Duo", "Tolliver Rove Q", "Corvane Plain 2"].freeze
      HOUSEHOLDS = 60
      # What the shop writes to its German speaking customers.
      GERMAN = {
        email_body: "Guten Tag {customer},\n\n{opening}\n\n{tasks}\n\n{offer}\n\nKommen Sie vorbei, oder rufen Sie " \
                    "an: {phone}. " \
                    "Antworten, verschieben oder abbestellen:\n\n{link}\n\n{shop}\n{phone}",
        post_body: "Guten Tag {customer},\n\n{opening}\n\n{tasks}\n\n{offer}\n\nKommen Sie vorbei, oder rufen Sie " \
                   "an: {phone}. Antworten oder abbestellen über den Code.",
        text_body: "{shop}: {machine}: {first_task}{and_more}. {offer} Antworten oder abbestellen: {link}",
        opening: "wir führen Buch über Ihr Gerät, und das ist fällig:",
        opening_again: "wir haben Ihnen schon geschrieben; das steht noch aus:",
        offer: "{minutes} Minuten Arbeit sind frei, wenn wir es bis {until} einbauen.",
        replace: "Wechsel: {part}", wash: "Wäsche: {part}", clean: "Reinigung: {part}", inspect: "Durchsicht: {part}",
        due_in: "fällig {month}", due_since: "fällig seit {month}", and_more: " und {count} weitere",
        months: "Januar, Februar, März, April, Mai, Juni, Juli, August, September, Oktober, November, Dezember",
        page_title: "Ihre Geräte", page_hello: "Guten Tag {customer}", page_due: "Was fällig ist",
        page_offer_used: "Die freie Werkstattzeit dieser Karte wurde am {day} genutzt.",
        page_offer_lapsed: "Die freie Werkstattzeit dieser Karte endete am {day}.",
        page_over: "erledigt oder nicht mehr verfolgt", page_why: "Warum dann?",
        page_told: "Sie haben uns gesagt: {answers}. Danke. Sie können uns unten noch etwas anderes sagen.",
        page_booking: "Sie bringen ein Gerät am {day}. Ein anderer Tag unten verschiebt es.",
        page_calendar: "In den Kalender", page_tell: "Sagen Sie es uns",
        page_note: "Ein Wort an uns, wenn Sie mögen", page_send_to: "Wohin ein Teil geschickt wird",
        page_street: "Straße und Nummer", page_town: "Ort", page_region: "Bundesland", page_postcode: "Postleitzahl",
        page_come_on: "Ich komme vorbei am",
        page_some_day: "irgendwann bald", will_come: "Ich komme vorbei",
        send_part: "Bitte schicken Sie mir das Teil", done_elsewhere: "Es ist schon gemacht",
        page_again: "Nicht jetzt: schreiben Sie wieder", page_weeks: "in {count} Wochen",
        not_now: "Nicht jetzt", page_which: "Welches Gerät?", no_longer_have: "Ich habe das Gerät nicht mehr",
        stop_writing: "Schreiben Sie mir nicht mehr",
        page_stop: "Keine Karten, Nachrichten oder Anrufe mehr wegen Ihrer Geräte, {customer}?",
        page_stop_not: "Nein, zurück zur Karte",
        page_stopped: "Wir schreiben Ihnen nicht mehr",
        page_stopped_so: "Keine Karten, Nachrichten oder Anrufe mehr. Was wir von Ihren Geräten wissen, bleibt in " \
                         "unserem Buch, damit wir helfen können, wenn Sie kommen.",
        page_back: "Zurück zu Ihrer Karte", date: "{weekday}, {day}. {month}", full_date: "{day}. {month} {year}",
        weekdays: "Montag, Dienstag, Mittwoch, Donnerstag, Freitag, Samstag, Sonntag"
      }.freeze
      COMPLAINTS = {
        "stick" => ["pulses when the trigger is held", "short run time", "weak suction", "smells",
                    "brush does not turn"],
        "canister" => ["weak everywhere", "smells when it starts", "yearly service", "high-pitched noise",
                       "dust in the exhaust air"],
        "robot" => ["short run time", "brush does not turn", "smells", "leaves dust along the walls"],
        "drum" => ["weak everywhere", "half-yearly service", "noise, high pitch", "dust in the exhaust air"],
        "upright" => ["dirt falls back out", "hard to push", "weak on the floor", "half-yearly service",
                      "brush does not turn"]
      }.freeze

      module_function

      # @return [Array<Hash>] columns of a customer, always the same for a seed
      def households(random)
        FIRST.product(LAST).sample(HOUSEHOLDS, random: random).each_with_index.map do |(first, last), index|
          mail = "#{ascii(first)}.#{ascii(last)}@example.org" unless index % 5 == 4
          { name: "#{first} #{last}", phone: format("555-01%02d", index), email: mail,
            street: "#{STREETS.sample(random: random)} #{random.rand(1..60)}", **PLACE,
            language: index % 11 == 6 ? "de" : "en", **agreed(index, mail) }
        end
      end

      # Some agree to mail, some to text messages, few to calls, most to post.
      def agreed(index, mail)
        { email_agreed: !mail.nil? && index % 7 != 3, text_agreed: index % 7 == 3, phone_agreed: index % 15 == 4,
          post_agreed: index % 3 != 1 }
      end

      def ascii(name)
        name.downcase.tr("éöø", "eoo").gsub(/[^a-z]/, "")
      end
    end
  end
end
