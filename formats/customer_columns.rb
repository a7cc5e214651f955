# frozen_string_literal: true

module UprightBench
  module Formats
    # The columns of a list of customers and their machines, with what they are called elsewhere (common practice): the
    # beginning of the question what a column is, answered by a person.
    module CustomerColumns
      # ours => words, and names that are likely to mean it
      ALL = {
        "customer_number" => ["customer number", %w[customer_id customer_no cust_no account kundennummer kunden_nr
                                                    kundennr numero_client]],
        "name" => ["name, whole", %w[full_name customer customer_name client kunde nom_complet nombre_completo]],
        "first_name" => ["first name", %w[given_name forename vorname prenom nombre given]],
        "last_name" => ["last name", %w[surname family_name nachname nom apellido apellidos family]],
        "company" => ["company", %w[firm organisation organization firma societe empresa org business]],
        "phone" => ["phone", %w[telephone tel mobile cell phone_number telefon handy telefono portable mobile_phone]],
        "email" => ["e-mail", %w[e_mail mail email_address e_mail_address courriel correo]],
        "street" => ["street",
                     %w[address address_1 address_line_1 street_address strasse straße adresse rue direccion]],
        "town" => ["town", %w[city ort stadt ville ciudad place locality]],
        "region" => ["region", %w[state province county bundesland provincia]],
        "postcode" => ["postcode", %w[zip zip_code postal_code plz code_postal codigo_postal post_code]],
        "country" => ["country", %w[country_code land pays pais]],
        "notes" => ["notes", %w[note remarks comment comments bemerkung notiz remarques]],
        "fleet" => ["fleet, yes or no", %w[business_customer]],
        **Core::Cards::Channels::ALL.to_h do |channel|
          [channel.agreed_column.to_s, ["agreed to #{channel.agreed_words}, yes or no", channel.agreed_elsewhere]]
        end,
        "agreed_on" => ["agreed on, date", %w[consent_date opt_in_date]],
        "maker" => ["machine: maker", %w[make brand manufacturer hersteller marke marque marca]],
        "model" => ["machine: model", %w[machine model_name modell modele modelo device gerat product]],
        "kind" => ["machine: kind", %w[type machine_type art typ category]],
        "serial_number" => ["machine: serial number", %w[serial serial_no sn seriennummer numero_de_serie]],
        "bought_on" => ["machine: bought on, date", %w[purchase_date date_of_purchase bought kaufdatum date_achat]],
        "hours_per_week" => ["machine: hours a week", %w[weekly_hours usage_hours]],
        "last_service_on" => ["machine: last service, date", %w[last_service last_service_date serviced_on
                                                                letzte_wartung dernier_entretien last_visit]]
      }.freeze
      AGREED = Core::Cards::Channels::ALL.map { |channel| channel.agreed_column.to_s }.freeze
      OF_A_MACHINE = %w[maker model kind serial_number bought_on hours_per_week last_service_on].freeze

      module_function

      # @param ours [String] a key of ALL, or empty
      def day?(ours)
        ours.end_with?("_on")
      end

      # @param header [String] as CsvRows names it
      # @return [String, nil] a key of ALL
      def likely(header)
        plain = header.unicode_normalize(:nfkd).gsub(/\p{Mn}/, "").gsub(/[^a-zß0-9]+/, "_").gsub(/\A_+|_+\z/, "")
        ALL.find { |ours, (_, names)| ours == plain || names.include?(plain) }&.first
      end

      # @param headers [Array<String>]
      # @return [Array<String, nil>] what each is likely to be; none twice
      def guess(headers)
        headers.each_with_object([]) do |header, guessed|
          ours = likely(header)
          guessed << (guessed.include?(ours) ? nil : ours)
        end
      end
    end
  end
end
