# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Cutting station: the plan of the job's cuts on the pieces there are of each of the treatment's cloths;
      # also the cut ticket on paper.
      class Cutting < Desk
        STATION = "cutting"
        ZOOMS = [0, 1, 2, 4].freeze

        def self.asks = %i[log cutting]

        # @param cutting [Work::Cutting]
        # @param asked [Hash] what else was asked for: "cut" the cut that was touched, "zoom"
        # @param refused [Forms::PartForm, nil] a small part that couldn't be taken
        def initialize(sheet, entry, cutting: nil, asked: {}, refused: nil, **shown)
          super(sheet, entry, **shown)
          @cutting, @asked, @refused = cutting, asked, refused
        end

        # @return [Forms::PartForm, nil]
        attr_reader :refused

        # @return [Array<ClothPlan>] those of them that widths are cut from
        def cut_from = cloths.reject { |cloth| cloth.cutting.cuts.empty? }

        # @return [Array<ClothPlan>] of the treatment's cloths, face first
        def cloths =
          @cloths ||= reckoning ? @cutting.of_treatment(reckoning).map { |cloth| ClothPlan.new(self, cloth) } : []

        # @return [Array<Integer>]
        def zooms = ZOOMS

        # @return [Integer] how many times the drawings are enlarged; 0 for a piece in one row
        def zoom = @zoom ||= ZOOMS.find { |one| one.to_s == @asked["zoom"] } || 1

        # @return [Integer] which page of a cloth's pieces was asked for, from 1
        def pieces_page = @asked["pieces"].to_s.match?(/\A[1-9]\d?\z/) ? Integer(@asked["pieces"], 10) : 1

        # @return [String, nil] the cut that was touched
        def touched = @asked["cut"].is_a?(String) ? @asked["cut"] : nil

        # @return [String] of the ticket on paper
        def ticket_title = Words.say("cuts.ticket", title: entry.title)

        # @return [Array<Work::Treatment>] windows of the job that can't be planned yet
        def unready = sheet.entries.reject(&:reckoning)

        # @param with [Hash]
        # @return [String] this page with other things asked for
        def here(**with)
          query = {"zoom" => (zoom == 1) ? nil : zoom, "cut" => touched}.merge(with.transform_keys(&:to_s)).compact
          query.empty? ? path : "#{path}?#{query.map { |name, value| "#{name}=#{CGI.escape(value.to_s)}" }.join("&")}"
        end

        # @return [String] "left, width 2"
        def cut_name(cut) = Words.cut(cut)

        # @param id [String] of a treatment
        # @return [String]
        def title_of(id) = sheet.entries.find { |other| other.id.to_s == id }&.title || Words.say("cuts.gone")

        # @return [Boolean] whether other windows' cuts lie among this one's
        def shared? = sheet.entries.count(&:reckoning) > 1

        private

        def said_here = reckoning ? entry.said_at(station, sheet, cutting: cloths.first.first_cut) : []
      end
    end
  end
end
