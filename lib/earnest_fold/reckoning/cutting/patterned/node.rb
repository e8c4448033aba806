# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # What is settled so far, as a mixture, and what it costs at least; `tried` says how hard a plan is sought
        # there, `turn` tells the newer from the older. It knows into which parts it is to be split (what is wanted,
        # and the windows, of each), so that the mixture falls into none of them.
        # @api private
        Node = Struct.new(:mixture, :bound, :tried, :turn) do
          # @return [Array<Array(Wanted, Array<Bounds>)>] none where the mixture itself settles everything but the
          #   fillings
          def parts = by_treatment || by_piece || []

          # @return [Array<Integer>] how far the mixture uses each piece, where it settles that
          def point = mixture.windows.each_index.map { |piece| mixture.ends(piece).first&.first || LEFT_ALONE }

          # @param last [Boolean]
          # @return [Array(Wanted, Array<Bounds>), nil] with one thing more settled: the treatment that the mixture is
          #   surest about; then the piece that it is surest about, at the next end from its mean on, or the last; nil
          #   where all is
          def surest(last)
            choice, = chosen_partly.max_by(&:last)
            choice ? [mixture.wanted.settle(choice), mixture.windows] : surest_piece(last)
          end

          # @return [Wanted] what isn't settled as the mixture has it
          def wanted
            mixture
              .wanted
              .choices
              .reduce(mixture.wanted) do |wanted, all|
                wanted.settle(all.max_by { |choice| mixture.chosen.find { |one, _| one.equal?(choice) }&.last || 0 })
              end
          end

          # @return [Boolean] whether nothing is open but the fillings
          def settled? = mixture.windows.all? { |window| window.width.zero? } && !mixture.wanted.open

          # @return [Array<Array(Wanted, Array<Bounds>)>] the mixture's point, and all others
          def beside
            piece = mixture.windows.each_index.max_by { |one| mixture.windows[one].width }
            window, ended = mixture.windows[piece], point[piece]
            return each_choice(mixture.wanted.open) if window.width.zero?

            each_window(
              piece,
              [Bounds.new(window.least, ended - 1), Bounds.new(ended, ended), Bounds.new(ended + 1, window.most)]
            )
          end

          private

          def chosen_partly =
            mixture.chosen.select { |one, share| share < 1 - Simplex::LEAST && !mixture.wanted.settled?(one) }

          def surest_piece(last)
            open =
              mixture
                .windows
                .each_index
                .map { |piece| [piece, mixture.ends(piece)] }
                .select { |_, ends| spread(ends).positive? }
            piece, ends = open.max_by { |_, all| all.group_by(&:first).map { |_, same| same.sum(&:last) }.max }
            return unless piece

            spent = ends.map(&:first).select { |one| last || one >= between(ends) }.minmax[last ? 1 : 0]
            each_window(piece, [Bounds.new(spent, spent)]).first
          end

          # Where the mixture cuts one treatment from several batches, each of them in turn.
          def by_treatment
            choice, = chosen_partly.max_by(&:last)
            choice && each_choice(mixture.wanted.choices.find { |all| all.first.treatment == choice.treatment })
          end

          def each_choice(choices) = choices.map { |choice| [mixture.wanted.settle(choice), mixture.windows] }

          # Where the mixture cuts a piece now to one end and now to another, up to the mean of them and beyond;
          # whether it is used at all comes first.
          def by_piece
            ends = mixture.windows.each_index.map { |piece| mixture.ends(piece) }
            piece = ends.each_index.max_by { |one| spread(ends[one]) }
            each_window(piece, mixture.windows[piece].split(between(ends[piece]))) unless spread(ends[piece]).zero?
          end

          def spread(ends) = (ends.size < 2) ? 0 : ends.map(&:first).minmax.reduce(:-).abs

          def between(ends)
            return LEFT_ALONE if ends.any? { |spent, _| spent == LEFT_ALONE }

            (ends.sum { |spent, share| spent * share } / ends.sum(&:last)).floor
          end

          def each_window(piece, windows)
            windows
              .reject { |window| window.width.negative? }
              .map { |window| [mixture.wanted, mixture.windows.dup.tap { |all| all[piece] = window }] }
          end
        end
      end
    end
  end
end
