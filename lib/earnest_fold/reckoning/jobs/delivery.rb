# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # Where a delivered piece differs from what was reckoned with: `name` is :width, :vertical_repeat, :length or
      # :batch; `wanted` and `got` are lengths, or batches. `stops` where nothing may be cut of it before it is
      # settled.
      Difference = Value.define(:name, :wanted, :got, :stops)

      # What a difference changes for one treatment: its widths to cut and its cut drop, before and after. `problems`
      # are what would stand in the way, where it can't be made of such cloth at all.
      Effect = Value.define(:treatment, :widths, :widths_after, :cut_drop, :cut_drop_after, :problems) do
        # @return [Boolean] whether the treatment is cut otherwise, or can't be made at all
        #
        #   delivery(repeat: Length.cm(33)).effects([reckoning]).map(&:changes?) # => [false]
        def changes? = problems.any? || widths != widths_after || cut_drop != cut_drop_after
      end

      # A piece as it was delivered, held against the cloth as it was reckoned with.
      class Delivery
        # @param cloth [Cloth] as reckoned with
        # @param delivered [Length] what the paper says
        # @param measured [Length, nil] what the tape says; nil where nobody has measured
        # @param width [Length, nil] selvedge to selvedge, as measured
        # @param repeat [Length, nil] the vertical repeat as measured
        # @param batch [String]
        # @param batches [Array<String>] of the other pieces of this cloth
        def initialize(cloth, delivered:, measured:, width: nil, repeat: nil, batch: "", batches: [])
          @cloth, @delivered, @measured, @width, @repeat, @batch, @batches =
            cloth, delivered, measured, width, repeat, batch, batches
        end

        # @return [Array<Difference>] narrower cloth and another repeat stop; the rest is said
        #
        #   delivery(measured: Length.cm(880)).differences.map(&:name) # => [:length]
        def differences
          [length, width, repeat, batch].compact
        end

        # @return [Boolean] whether anything stands in the way of cutting it
        #
        #   delivery(width: Length.cm(137)).stops? # => true
        def stops? = differences.any?(&:stops)

        # @return [Boolean] whether jobs that use the cloth have to be looked at
        #
        #   delivery.concerns_jobs? # => false
        def concerns_jobs? = differences.any? { |one| one.stops || %i[width length].include?(one.name) }

        # @return [Cloth] as it was measured
        #
        #   delivery(width: Length.cm(137)).cloth_as_measured.width # => 1370 mm
        def cloth_as_measured =
          @cloth.with(width: @width || @cloth.width, vertical_repeat: @repeat || @cloth.vertical_repeat)

        # @param reckonings [Array<TreatmentReckoning>]
        # @return [Array<Effect>] of the treatments that use the cloth
        #
        #   delivery(repeat: Length.cm(33)).effects([reckoning]).map(&:cut_drop_after) # => [2328 mm]
        def effects(reckonings)
          reckonings.select { |made| uses?(made) }.map { |made| effect(made) }
        end

        # @param reckonings [Array<TreatmentReckoning>] of one job
        # @return [Array(Length, Length), nil] its length needed before and after; nil where it can't be made of such
        #   cloth
        #
        #   delivery(repeat: Length.cm(33)).needed([reckoning]) # => [10328 mm, 10578 mm]
        def needed(reckonings)
          using = reckonings.select { |made| uses?(made) }
          after = using.map { |made| again(made) }
          return if after.include?(nil)

          [ClothReckoning.of(@cloth, using), ClothReckoning.of(cloth_as_measured, after)].map(&:length_needed)
        end

        private

        def uses?(made) = made.treatment.cloths.any? { |cloth| cloth.id == @cloth.id }

        def length =
          if @measured && @measured != @delivered
            Difference.new(name: :length, wanted: @delivered, got: @measured, stops: false)
          end

        # Wider cloth makes no cut wrong; narrower does.
        def width =
          if @width && @width != @cloth.width
            Difference.new(name: :width, wanted: @cloth.width, got: @width, stops: @width < @cloth.width)
          end

        def repeat =
          if @repeat && @repeat != @cloth.vertical_repeat
            Difference.new(name: :vertical_repeat, wanted: @cloth.vertical_repeat, got: @repeat, stops: true)
          end

        def batch =
          if @batches.any? && !@batches.include?(@batch)
            Difference.new(name: :batch, wanted: @batches.uniq.join(", "), got: @batch, stops: false)
          end

        def effect(made)
          other = with_measured(made.treatment)
          problems = Problems.new
          Refusals.check(other, problems)
          after = problems.any? ? nil : TreatmentReckoning.new(other)
          Effect.new(
            treatment: made.id,
            widths: widths(made),
            widths_after: after && widths(after),
            cut_drop: drop(made),
            cut_drop_after: after && drop(after),
            problems: problems.to_a
          )
        end

        def again(made)
          other, problems = with_measured(made.treatment), Problems.new
          Refusals.check(other, problems)
          TreatmentReckoning.new(other) unless problems.any?
        end

        def with_measured(treatment)
          inner =
            %i[lining interlining].filter_map do |part|
              if (was = treatment.public_send(part)) && was.cloth.id == @cloth.id
                [part, was.with(cloth: cloth_as_measured)]
              end
            end
          treatment.with(**inner.to_h, **((treatment.face.id == @cloth.id) ? {face: cloth_as_measured} : {}))
        end

        # The part of the treatment that is made of this cloth.
        def part(made)
          return made if made.treatment.face.id == @cloth.id

          [made.lining, made.interlining].compact.find { |inner| inner.cloth.id == @cloth.id }
        end

        def widths(made) = part(made).widths_total

        def drop(made) = part(made).drop_cut.cut_drop
      end
    end
  end
end
