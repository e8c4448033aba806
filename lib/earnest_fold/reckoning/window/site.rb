# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What the room is, as far as it changes what a maker would say: small children use it, it is open to the public,
    # there is a heater, a cooker or a flame near, the window opens behind.
    Site = Value.define(:small_children, :public_room, :heat_near, :opens)
    Site::FIELDS = Fields.new(
      small_children: Declare.flag(false),
      public_room: Declare.flag(false),
      heat_near: Declare.flag(false),
      opens: Declare.flag(false)
    )
    Site::UNKNOWN = Site.new(small_children: false, public_room: false, heat_near: false, opens: false)
  end
end
