# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What several alterations ask.
    module AskedOfCurtain
      # No curtain is longer.
      SANE = Length.mm(20_000)
      # The hem that came: as it is, whatever the house would sew; what hangs on it asks for it.
      CAME = Declare.allowance(Fields::REQUIRED)
      # A hem that is sewn anew: like the one that came where nobody says otherwise.
      ANEW = Declare.allowance(nil)
      SEAM = Declare.starting("1.5 cm", Declare.length(Length::ZERO))
      TOP = Declare.starting("9 cm", Declare.length)
      LET_DOWN = Declare.flag(false)
      WANTED = {
        wanted_length: Declare.length(least: :over_zero, sane: SANE),
        stand_up: Declare.length(Length::ZERO, least: :any, sane: Length.mm(2_000))
      }.freeze
      # The lengths that nearly every one starts from.
      LENGTHS = Declare.at("measure", existing_length: Declare.length(least: :over_zero, sane: SANE), **WANTED).freeze
    end
  end
end
