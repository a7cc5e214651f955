# frozen_string_literal: true

require "rack/utils"

module UprightBench
  module Web
    # A page that says what went wrong and needs nothing to say it: no database, no session, no template.
    module Answer
      # status => title, sentence
      WORDS = {
        400 => ["Not read", "This request could not be read. Nothing was changed."],
        405 => ["Not done", "This cannot be asked here. Nothing was changed."],
        413 => ["Too large", "This is more than can be taken here. Nothing was changed."],
        421 => ["Not here", "This server does not answer under that name. Nothing was changed."],
        429 => ["Too many tries", "Too many tries from your address. Wait a minute and try again."],
        500 => ["Something broke", "Something broke on our side. What was saved before is kept."],
        501 => ["Not done", "This server does not know what was asked. Nothing was changed."],
        503 => ["The database is away", "Nothing was changed. It is looked for all the time: go back, wait a moment " \
                                        "and send it once more; nothing is done twice."]
      }.freeze
      # For whoever is not signed in: refused requests, the sign-in, the customer's pages.
      STYLES = %w[vendor/bootstrap.css styles/base.css styles/bare.css].freeze
      HEADERS = { "content-type" => "text/html; charset=utf-8", "cache-control" => "no-store" }.freeze

      module_function

      # @param env [Hash] of the request: a fragment is answered with a fragment, and HEAD with nothing
      # @param words [String, nil] instead of the usual sentence
      # @return [Array] for Rack
      def page(status, env, words: nil, headers: {})
        title, sentence = WORDS.fetch(status)
        body = env["HTTP_HX_REQUEST"] ? slip(words || sentence) : whole(title, words || sentence, env)
        [status, HEADERS.merge(headers), env["REQUEST_METHOD"] == "HEAD" ? [] : [body]]
      end

      def slip(sentence)
        %(<p class="slip slip-stop" role="alert">#{Rack::Utils.escape_html(sentence)}</p>)
      end

      # A customer behind a code is not sent to the bench.
      def whole(title, sentence, env)
        id = env["upright_bench.request_id"]
        unless env["PATH_INFO"].to_s.match?(Throttle::CODES)
          back = '<p><a class="btn btn-act" href="/">To the bench</a></p>'
        end
        <<~HTML
          <!doctype html>
          <html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>#{title}</title>
          #{STYLES.map { |name| %(<link rel="stylesheet" href="#{Assets.path(name)}">) }.join}</head>
          <body class="bare"><main id="main"><h1>#{title}</h1>#{slip(sentence)}#{back}#{"<p class=\"hint\">No. #{id}</p>" if id}</main></body></html>
        HTML
      end
      private_class_method :slip, :whole
    end
  end
end
