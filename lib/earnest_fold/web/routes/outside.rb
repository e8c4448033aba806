# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What is asked before anybody is known: whether the house is well, and the certificate to be trusted.
      class Outside < Handler
        # Where {Authority} keeps it.
        CERTIFICATE = File.join(EarnestFold.root, "var", "tls", "authority.crt")

        open_to Access::OPEN
        get Paths.health, :health
        get Paths.ready, :ready
        get Paths.authority, :authority

        # It answers.
        def health = plain("well")

        # Its database does too.
        # @raise [Store::Unreachable]
        def ready
          Store.guard { Store.db.get(1) }
          plain("ready")
        end

        # The public half alone.
        def authority
          raise Store::Missing, "no authority" unless @app.settings.lan && File.exist?(CERTIFICATE)

          sent_as("application/x-x509-ca-cert", "earnest-fold.crt")
          File.read(CERTIFICATE)
        end

        private

        def plain(words)
          content_type("text/plain")
          words
        end
      end
    end
  end
end
