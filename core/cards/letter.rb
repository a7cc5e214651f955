# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # The words of a card for each channel: names the customer, the machine and the part, and when it is due.
      class Letter
        # One task as the customer reads it.
        class Line
          include Value

          # @!attribute price_cents [Integer, nil] of the part that is to be fitted, tax included
          fields :machine, :part, :action, :due_on, :overdue, price_cents: nil

          # @param words [Words]
          # @return [String] as in "a new exhaust cassette, due in March 2027"
          def words(words = Words.new)
            month = words.month(due_on)
            "#{task(words)}, #{words.phrase(overdue ? :due_since : :due_in, month: month, year: due_on.year)}"
          end

          # @param words [Words]
          # @return [String] as in "a new exhaust cassette"
          def task(words)
            words.phrase(action.to_sym, part: part.downcase)
          end

          # @param words [Words]
          # @param currency [Money::Currency]
          # @return [String, nil] as in "A new exhaust cassette costs $39.90, tax included."; nil when it is not known
          def price(words, currency)
            price_cents && words.phrase(:price, part: part.downcase, price: currency.words(price_cents))
          end
        end

        include Value

        # @!attribute offer [Hash, nil] minutes, until (Date)
        # @!attribute shop_phone [String, nil]
        # @!attribute hours [Hash] when the shop is open, as in Policies::Week::OPEN_HOURS
        # @!attribute currency [Money::Currency] of the prices
        # @!attribute said [Hash, nil] "subject" and "text" of a card that was sent: it stays as it was, whatever the
        #   words and the dates are now
        fields :customer, :shop, :shop_phone, :lines, :link, attempt: 1, words: Words.new, offer: nil, hours: {}.freeze,
          currency: Money::Currency.of(Money::Currency::USUAL), said: nil

        LINK = "{link}" # stands for the address of the customer's page in what is kept of a card

        # @param channel [Channel]
        # @param most_tasks [Integer] as many as the paper holds
        # @return [Hash{String=>String}] what is to be kept of it when it is sent
        def to_said(channel, most_tasks:)
          subject, text = channel.written(self, most_tasks: most_tasks)
          { "subject" => subject, "text" => text.gsub(link, LINK) }.compact
        end

        def subject
          said ? said.fetch("subject", "") : fill(:email_subject).tr("\n", " ")
        end

        # @return [String] the whole letter as plain text
        # @raise [Wording::Missing]
        def text
          said_text || fill(:email_body)
        end

        # @return [String] a text message, in one line
        def short
          said_text || fill(:text_body).gsub(/\s+/, " ")
        end

        # @param most [Integer] tasks that the paper holds; the rest is counted, and stands on the page behind the code
        # @return [String]
        def paper(most = lines.size)
          said_text || fill(:post_body, most)
        end

        # @return [String] what is said on the phone
        def phone_script
          said_text || fill(:phone_body)
        end

        private

        def said_text
          said&.fetch("text")&.gsub(LINK, link)
        end

        def fill(name, most = lines.size)
          Wording.new(text: words.text(name)).fill(**about_machines(most), **about_shop, customer: customer,
            opening: words.text(attempt == 1 ? :opening : :opening_again), offer: offer_words)
        end

        def about_machines(most)
          { machine: lines.first.machine, first_task: lines.first.words(words), and_more: and_more(lines.size - 1),
            tasks: tasks(most), price: lines.filter_map { |line| line.price(words, currency) }.uniq.join(" ") }
        end

        def about_shop
          { shop: shop, phone: (shop_phone unless shop_phone.to_s.empty?), link: link, hours: words.hours(hours) }
        end

        def tasks(most)
          by_machine = lines.first(most).group_by(&:machine)
            .map { |machine, rows| "#{machine}\n#{rows.map { |row| "  - #{row.words(words)}" }.join("\n")}" }
          "#{by_machine.join("\n\n")}#{"\n\n#{and_more(lines.size - most).strip}" if lines.size > most}"
        end

        def and_more(count)
          count.positive? ? words.text(:and_more).sub("{count}", count.to_s) : ""
        end

        def offer_words
          offer ? words.offer(minutes: offer.fetch(:minutes), until_on: offer.fetch(:until)) : ""
        end
      end
    end
  end
end
