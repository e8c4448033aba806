# frozen_string_literal: true

module EarnestFold
  module Store
    # Records as the store hands them out, of what nobody keeps.
    module Unkept
      # Nobody has said any.
      COLOUR = "#c9d2bd"
      PLAIN = {
        id: 0, title: "", version: 0, extras: {}, notes: "", archived: false, invoiced: false,
        account: {}, dates: {}, customer_id: nil, house_id: nil
      }.freeze
      private_constant :PLAIN

      module_function

      # @param id [Integer] that no cloth has which is kept
      # @param spec [Hash]
      # @return [Records::Cloth]
      def cloth(id, spec) =
        Records::Cloth.new(id: id, spec: spec, source: Sequel.object_to_json(spec), colour: COLOUR, version: 0)

      # @param unit [Reckoning::Unit]
      # @param sort [String] of the work
      # @param spec [Hash] of the work
      # @return [Records::Job] with that work alone
      def job(unit, sort, spec)
        source = Sequel.object_to_json(spec)
        work = Records::Treatment
          .new(id: 0, sort: sort, spec: spec, source: source, version: 0, undoable: 0, put_away: false)
        window = Records::Window.new(id: 0, room: "", name: "", treatments: [work])
        Records::Job.new(**PLAIN, unit: unit.name, windows: [window])
      end
    end
  end
end
