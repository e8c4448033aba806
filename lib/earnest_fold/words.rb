# frozen_string_literal: true

module EarnestFold
  # The words for people, from the locale file, and figures as people write them. Everything that speaks (screens,
  # drawings, documents) asks here, so that each thing is said once.
  module Words
    R = Reckoning
    TEXTS = Locale.load(EarnestFold.locale)
    COUNTED, DECIMAL = TEXTS.fetch("numbers.counted"), TEXTS.fetch("numbers.decimal")
    FORMATS = Locale.formats(TEXTS)
    # Texts with their places parted from the words, by key: there are no more of them than texts.
    PARTED = {}
    private_constant :TEXTS, :COUNTED, :DECIMAL, :FORMATS, :PARTED

    module_function

    # @param key [String] the place in the locale file
    # @param data [Hash] facts to fill in; Lengths are written in the unit
    # @return [String]
    # @raise [I18n::ArgumentError] for a key without words
    # @raise [KeyError] for a place that no fact fills
    #
    #   Words.say("stations.measure") # => "Measure"
    def say(key, unit: R::Units::CM, **data)
      text = TEXTS[key]
      return text if text && data.empty?

      facts = data.transform_values { |value| value_in(value, unit) }
      return by_number(I18n.t(key, **facts, raise: true), facts) unless text

      format(by_number(FORMATS.fetch(key), facts), facts)
    end

    # @api private
    # Figures one after the other; groups of them (the pockets of a hook's prongs) apart, the first two of many.
    #
    #   Words.list([Length.cm(214), Length.cm(215)], Units::CM) # => "214.0, 215.0 cm"
    def list(values, unit)
      return values.first(2).map { |group| group.join(", ") }.join("; ") + ((values.size > 2) ? " …" : "") if
        values.first.is_a?(Array)

      shown = values.map { |value| value.is_a?(R::Length) ? length(value, unit) : value.to_s }
      values.first.is_a?(R::Length) ? "#{shown.join(", ")} #{unit(unit)}" : shown.join(", ")
    end

    # "%{widths ? width|%{widths} widths}" in a text: the form that the number takes by the locale's rule.
    BY_NUMBER = /%\{(\w+) \? ((?:[^{}]|%\{\w+\})+)\}/
    private_constant :BY_NUMBER

    # @api private
    #
    #   Words.by_number("%{count} %{count ? width|widths}", {count: 2}) # => "%{count} widths"
    def by_number(said, facts)
      return said unless said.include?(" ? ")

      said.gsub(BY_NUMBER) { Locale.form(COUNTED, $2.split("|"), counted(facts.fetch($1.to_sym).to_s)) }
    end

    # @api private
    # @param text [String] a number as it is said: "2", "½", "2.5"
    # @return [Rational]
    def counted(text)
      halves = text.end_with?("½") ? 1/2r : 0
      R::Exact.read(text.delete_suffix("½"))&.+(halves) || halves
    end

    # @return [Boolean]
    #
    #   Words.say?("stations.measure") # => true
    def say?(key) = TEXTS.key?(key)

    # @return [Array<String>] the keys of all texts
    #
    #   Words.keys.include?("stations.measure") # => true
    def keys = TEXTS.keys

    # @param key [String]
    # @return [String] the words with their places still open
    # @raise [KeyError]
    #
    #   Words.text("account.tax") # => "tax, %{percent} %"
    def text(key) = TEXTS.fetch(key)

    # @param key [String]
    # @return [Array<Array(String, Symbol, String)>] the words before, between and after the places of a text, and the
    #   places (without words) with the stop that follows each
    # @raise [KeyError]
    #
    #   Words.parted("reckon.says.hem").last # => [nil, :sides, ","]
    def parted(key)
      PARTED[key] ||= text(key).split(/(%\{\w+\}[,.]?)/).map { |part| place_or_words(part) }.freeze
    end

    # @api private
    #
    #   Words.place_or_words("%{width}") # => [nil, :width, ""]
    def place_or_words(part)
      return [part].freeze unless part.start_with?("%{")

      place, stop = part.delete_prefix("%{").split("}", 2)
      [nil, place.to_sym, stop].freeze
    end

    # @param length [Reckoning::Length]
    # @return [String] without the unit
    #
    #   Words.length(Length.mm(2365), Units::CM) # => "236.5"
    def length(length, unit) = decimal(R::LengthWriter.write(length.on(unit), unit))

    # @api private
    # With the locale's own decimal sign.
    #
    #   Words.decimal("2.5") # => "2.5"
    def decimal(text) = (DECIMAL == ".") ? text : text.tr(".", DECIMAL)

    # @param unit [Reckoning::Unit]
    # @return [String] its sign
    #
    #   Words.unit(Units::CM) # => "cm"
    def unit(unit) = say("unit_signs.#{unit.name}")

    # @return [String] with the unit: "236.5 cm", "93 1/2 in"
    #
    #   Words.with_unit(Length.inches(187/2r), Units::IN) # => "93 1/2 in"
    def with_unit(length, unit) = "#{length(length, unit)} #{unit(unit)}"

    # @param number [Rational, Integer]
    # @param places [Integer]
    # @return [String] a decimal without needless noughts: "2.63", "2"
    #
    #   Words.number(263/100r) # => "2.63"
    def number(number, places = 2)
      steps = (number * 10**places).round(half: :up)
      text = R::LengthWriter.decimal(steps.abs, places).sub(/\.?0+\z/, "") if places.positive?
      text = decimal(text || steps.abs.to_s)
      steps.negative? ? "−#{text}" : text
    end

    # @param count [Rational] whole or half
    # @return [String] "2", "2½", "½"
    #
    #   Words.widths(5/2r) # => "2½"
    def widths(count)
      whole = count.floor
      return whole.to_s if whole == count

      whole.zero? ? "½" : "#{whole}½"
    end

    # @param amount [Rational]
    # @return [String] to the hundredth, rounded once: "414.80"
    #
    #   Words.money(4148/10r) # => "414.80"
    def money(amount)
      hundredths = (amount * 100).round(half: :up)
      "#{"−" if hundredths.negative?}#{decimal(R::LengthWriter.decimal(hundredths.abs, 2))}"
    end

    # @param line [Reckoning::Account::Charge]
    # @return [String] a line of an account
    #
    #   Words.account_line(statement.lines.first, Units::CM) # => "Making Office: 2 h"
    def account_line(line, unit)
      data = line.data.merge(name: line.name)
      data = data.merge(length: bought(data[:length], data[:sold_by])) if data[:length]
      key = line.data[:by] ? "account.lines.#{line.sort}_#{line.data[:by]}" : "account.lines.#{line.sort}"
      data = data.merge(hours: hours(data[:minutes]), widths: widths(data[:widths].to_r)) if line.data[:by]
      say(key, unit: unit, **data.except(:by, :sold_by))
    end

    # @param kind [String] of paper
    # @param number [Integer]
    # @return [String] "Quote 7"
    #
    #   Words.paper("quote", 7) # => "Quote 7"
    def paper(kind, number) = say("papers.title", kind: say("papers.kinds.#{kind}"), number: number)

    # @param minutes [Numeric]
    # @return [String] "3 h 20 min"
    #
    #   Words.hours(200) # => "3 h 20 min"
    def hours(minutes)
      hours, rest = minutes.round.divmod(60)
      told = [*(say("clock.hours", hours: hours) if hours.positive?)]
      [*told, *(say("clock.minutes", minutes: rest) if rest.positive? || hours.zero?)].join(" ")
    end

    # @param length [Reckoning::Length]
    # @param by [Symbol] :metre or :yard, as its cloth is sold ({Reckoning::Cloth#sold_by})
    # @return [String] as cloth is bought: metres to the centimetre, or yards, in eighths where it is so many
    #
    #   Words.bought(Length.cm(1830), :metre) # => "18.3 m"
    #   Words.bought(Length.inches(90), :yard) # => "2 1/2 yd"
    #   Words.bought(Length.cm(1830), :yard) # => "20.01 yd"
    def bought(length, by)
      return say("bought.metre", length: number(length.mm / 1000, 2)) if by == :metre

      yards = length / R::Cloth::YARD
      eighths = (yards * 8).denominator == 1
      told = eighths ? R::LengthWriter.write(R::Length.inches(yards), R::Units::IN) : number(yards, 2)
      say("bought.yard", length: told)
    end

    # @param made [Reckoning::ClothReckoning]
    # @return [String] how much to order of its cloth
    #
    #   Words.to_order(ClothReckoning.of(cloth, [reckoning])) # => "10.4 m"
    def to_order(made) = bought(made.length_to_order, made.cloth.sold_by)

    # @param kilograms [Rational]
    #
    #   Words.mass(3.25r) # => "3.3 kg"
    def mass(kilograms) = say("clock.mass", mass: number(kilograms, 1))

    # @param expression [Array] of lengths, numbers and signs
    # @yieldparam figure [Reckoning::Length, Rational, Integer] to be written another way than plainly
    # @return [String] with spaces between, none inside brackets
    #
    #   Words.expression([Length.cm(180), "÷", 2], Units::CM) # => "180.0 ÷ 2"
    def expression(expression, unit, &write)
      write ||= ->(figure) { figure(figure, unit) }
      told = Sum.tidy(expression).map { |token| term(token, unit, write) }.join(" ")
      told.include?("(") ? told.gsub("( ", "(").gsub(" )", ")") : told
    end

    # @api private
    #
    #   Words.term(Length.cm(3), Units::CM, ->(figure) { Words.figure(figure, Units::CM) }) # => "3.0"
    def term(token, unit, write)
      return sign(token) if token.is_a?(String)

      (token.is_a?(R::Length) && !Sum.exact?(token, unit)) ? Sum.decimal(token, unit) : write.call(token)
    end

    # @param value [Reckoning::Length, Rational, Integer]
    #
    #   Words.figure(Length.cm(212.8r), Units::CM) # => "212.8"
    def figure(value, unit) = value.is_a?(R::Length) ? length(value, unit) : number(value, 3)

    # @param line [Reckoning::Line]
    # @return [String] the label of a line of the working
    #
    #   Words.label(reckoning.working.first, Units::CM) # => "Finished width"
    def label(line, unit)
      data = line.data.except(:hands)
      data = data.merge(count: widths(data[:count])) if line.name == :widths
      words = say(line_key(line), unit: unit, **data)
      line.data[:hands] ? "#{words} (#{line.data[:hands].join(", ")})" : words
    end

    # @param check [Reckoning::Check]
    # @return [String]
    def check(check, unit) = say("checks.#{check.code}", unit: unit, **check.data)

    # @param remark [Reckoning::Remark]
    # @return [String] in the words of its form, where it has several
    #
    #   Words.remark(work.said_at("measure", in_hand).first, Units::CM)[0, 18] # => "Is the support up?"
    def remark(remark, unit)
      key = ["judgement.#{remark.code}", *remark.data[:form]].join("_")
      data = remark.data.except(:form)
      data = data.merge(part: say("sundries.#{data[:part]}").downcase) if data[:part]
      data = data.merge(feature: say("wall.#{data[:feature]}").downcase) if data[:feature]
      data = data.merge(cloth: say("judgement.the_cloth")) if data[:cloth] == ""
      data = data.merge(figure: told_figure(data[:figure], data[:at], unit)) if data[:figure]
      data = data.merge(money: money(data[:money]), length: bought(data[:length], data[:sold_by])) if data[:money]
      data = data.merge(parts: data[:parts].map { |part| say("sundries.#{part}").downcase }) if data[:parts]
      say(key, unit: unit, **data.except(:sold_by)).then { |said| said[0].upcase + said[1..] }
    end

    # @api private
    # A figure by its field's name, and as it stands.
    #
    #   Words.told_figure("support.length", Length.cm(180), Units::CM) # => "Usable length 180.0 cm"
    def told_figure(path, at, unit) = say("near.figure", name: field_label(path), at: with_unit(at, unit))

    # @param problem [Reckoning::Problem]
    # @return [String]
    #
    #   Words.problem(Problem.new(at: "/overlap", code: :missing, data: {})) # => "must be given"
    def problem(problem, unit = R::Units::CM)
      data = problem.data.compact.transform_values { |value| value.is_a?(Array) ? value.join(", ") : value }
      key = "problems.#{problem.code}"
      key = "problems.#{problem.code}_#{(%i[over least under most] & data.keys).join("_")}" if problem.code ==
        :out_of_range
      say(key, unit: unit, **data)
    end

    # @param kind [Reckoning::FieldKinds::Kind]
    # @param word [String]
    # @return [String] a choice in the words that its field has for it, anything else as it is
    #
    #   Words.choice(FieldKinds::ChoiceKind.new(words: %w[cm in], said: "units"), "in") # => "inches"
    def choice(kind, word) = (kind.said && kind.words.include?(word)) ? say("#{kind.said}.#{word}") : word

    # @param problem [Reckoning::Problem]
    # @param of [String, nil] what it is a field of, where others have one that is called so
    # @return [String] the one line under a field: what would do
    #
    #   Words.field_problem(Problem.new(at: "", code: :missing, data: {}), Units::CM) # => "Must be given."
    def field_problem(problem, unit, of: nil)
      name = [of, problem.at.tr("./", "_").delete_prefix("_")].compact.join("_")
      special = "field_problems.#{name}.#{problem.code}"
      return say(special, unit: unit, **problem.data) if say?(special)

      words = problem(problem, unit)
      "#{words[0].upcase}#{words[1..]}."
    end

    # @param path [String]
    # @return [Boolean] whether there is a field of that name
    #
    #   Words.field?("support.length") # => true
    def field?(path) =
      say?("fields.#{path.tr(".", "_")}") || path.match?(/\A(wall\.\w+\.\w+|drop\.readings\.\d{1,2})\z/)

    # @param path [String] of a field of a treatment
    # @return [String]
    #
    #   Words.field_label("support.length") # => "Usable length"
    def field_label(path)
      key = "fields.#{path.tr(".", "_")}"
      return say(key) if say?(key)

      wall, feature, figure = path.split(".")
      if wall == "wall"
        "#{say("wall.#{feature}")}: #{say("wall_fields.#{figure}")}"
      else
        say("fields.another_reading", number: path[/\d+\z/])
      end
    end

    # @param problem [Reckoning::Problem]
    # @return [String] what is still wanted, or what stands in the way
    #
    #   Words.missing(Problem.new(at: "/support/length", code: :missing, data: {}), Units::CM).size # => 25
    def missing(problem, unit)
      return say("missing.faulty") if problem.code == :faulty

      name = problem.at.delete_prefix("/")
      key = "missing.#{name.tr("/", "_")}"
      say?(key) ? say(key) : "#{name.tr("/_", " ")} #{problem(problem, unit)}"
    end

    # @param problems [Array<Reckoning::Problem>]
    # @return [String] all that is still wanted, each once
    def missing_of(problems, unit) = problems.map { |problem| missing(problem, unit) }.uniq.join("; ")

    # @param parts [Array<Reckoning::Hardware>]
    # @return [String] how many of each are to be had: "6 gliders, 2 hooks"
    def short(parts, unit) =
      parts.map { |part| "#{figure(part.short, unit)} #{say("sundries.#{part.name}").downcase}" }.join(", ")

    # @param told [Work::Told, String] what is to be said, or said already
    # @return [String]
    #
    #   Words.told(Work::Told.of("hanging.leads_right")) # => "leads at its right edge, seen from the room"
    def told(told, unit = R::Units::CM)
      return told if told.is_a?(String)

      say(told.key, unit: unit, **told.data.to_h { |name, value| [name, fact(name, value)] })
    end

    # A curtain and a support in the middle of a sentence.
    #
    #   Words.fact(:hand, "left") # => "left"
    def fact(name, value)
      case name
      when :hand then hand(value).downcase
      when :support then say("supports.#{value}").downcase
      else value
      end
    end

    # @param said [Array<Work::Told, String>] what was noted of a curtain as it came in
    # @return [String]
    #
    #   Words.noted(came_in.said(mark_seen)) # => "Mark or stain, hem, middle, at the fold"
    def noted(said) = said.map { |one| told(one) }.reject(&:empty?).join(", ")

    # @param length [Reckoning::Length]
    # @param ends [Array(String, String)] from where to where, in the customer's words
    # @param unit [Reckoning::Unit]
    # @param other [Reckoning::Unit] the other tape
    # @return [String] the wanted length in both, with both its ends
    def length_wanted(length, ends, unit, other)
      from, to = ends.map { |words| words.empty? ? say("alter.not_said") : words }
      say("alter.read_back", from: from, to: to, length: with_unit(length, unit), other: with_unit(length, other))
    end

    # @param step [Reckoning::MakingUp::Step]
    # @return [String] its title
    #
    #   Words.step(steps.first) # => "Lay out the cuts"
    def step(step) = say("work_steps.#{step.code}.title")

    # @param step [Reckoning::MakingUp::Step]
    # @return [String] what is done, with its figures; of each curtain by itself where they differ
    #
    #   Words.step_done(steps.last, Units::CM) # => "Press from the back, and fold. Tag: finished drop 212.8 cm."
    def step_done(step, unit)
      return part_done(step, step.parts.first, unit) if step.alike?

      step.parts.map { |part| "#{hand(part.curtain)}: #{part_done(step, part, unit)}" }.join(" ")
    end

    # @api private
    #
    #   Words.part_done(steps.first, steps.first.parts.first, Units::CM)[0, 20] # => "Lay the 4 widths out"
    def part_done(step, part, unit) =
      part.said.map { |said| say("work_steps.#{step.code}.#{said}", unit: unit, **part.figures) }.join(" ")

    # @param tick [String] "left", "panel 2", "left:3" for its third width, "" for all curtains
    # @return [String]
    #
    #   Words.tick("left:3") # => "Left, width 3"
    def tick(tick)
      return say("making.both") if tick.empty?

      curtain, width = tick.split(":")
      width ? say("making.width_of", hand: hand(curtain), number: width) : hand(curtain)
    end

    # @param steps [Array<Reckoning::MakingUp::Step>] of a stretch of work; none are the hanging
    # @return [String]
    #
    #   Words.steps(steps.first(2)) # => "Lay out the cuts, Join the widths"
    def steps(steps) = steps.empty? ? say("diary.hanging") : steps.map { |one| step(one) }.uniq.join(", ")

    # @param minutes [Numeric]
    # @return [String] how long it takes in all
    #
    #   Words.in_all(135r) # => "about 2 h 15 min in all, as a rule"
    def in_all(minutes)
      hours, rest = minutes.round.divmod(60)
      say("making.in_all", hours: hours, minutes: rest)
    end

    # What a day without its year is called with it; and so many days away nobody knows any more which year is meant.
    WITH_YEAR = {short: :dated, in_week: :in_week_of_year, day: :day_of_year}.freeze
    NEAR = 180
    private_constant :WITH_YEAR, :NEAR

    # @param date [Date, Time]
    # @param form [Symbol] :day "Monday 9 March", :short "9 Mar", :in_week "Mon 9 Mar", :dated "9 Mar 2026" or :long
    #   "9 March 2026", as the locale writes them
    # @param seen [Date, nil] the day on which it is read: far from it the year is told too
    # @return [String]
    #
    #   Words.date(Date.new(2026, 3, 9), :in_week) # => "Mon 9 Mar"
    #   Words.date(Date.new(2026, 3, 9), :in_week, seen: Date.new(2025, 1, 6)) # => "Mon 9 Mar 2026"
    def date(date, form, seen: nil)
      form = WITH_YEAR.fetch(form, form) if seen && (date - seen).abs > NEAR
      month, weekday = date.month - 1, date.wday
      say(
        "dates.#{form}",
        day: date.day.to_s,
        year: date.year.to_s,
        month: TEXTS.fetch("dates.months")[month],
        short_month: TEXTS.fetch("dates.short_months")[month],
        weekday: TEXTS.fetch("dates.weekdays")[weekday],
        short_weekday: TEXTS.fetch("dates.short_weekdays")[weekday]
      )
    end

    # @param date [Date]
    # @param seen [Date, nil] the day on which it is read: far from it the year is told too
    # @return [String] "Monday 9 March"
    #
    #   Words.day(Date.new(2026, 3, 9)) # => "Monday 9 March"
    def day(date, seen: nil) = date(date, :day, seen: seen)

    # @param from [Integer] minutes since midnight
    # @param to [Integer]
    # @return [String] "8:30–10:15"
    #
    #   Words.hours_of_day(510, 615) # => "8:30–10:15"
    def hours_of_day(from, to) = [from, to].map { |minute| R::FieldKinds::ClockKind.written(minute) }.join("–")

    # @param hand [String] "left", "panel 2"
    #
    #   Words.hand("left") # => "Left"
    def hand(hand) = say("hands.#{hand.split.first}", number: hand[/\d+/])

    # @param name [Symbol] of a line on a curtain that is altered
    # @return [String]
    #
    #   Words.alter_line(:cut_line) # => "cut line"
    def alter_line(name) =
      name.start_with?("piece_") ? say("alter.lines.piece", number: name[/\d+/]) : say("alter.lines.#{name}")

    # @param cut [Reckoning::Cutting::Cut]
    # @return [String] "Left, width 2 · B"
    #
    #   Words.cut(cuts.first) # => "Left, width 1"
    def cut(cut) = (cut.phase == "B") ? "#{cut_of(cut.curtain, cut.number)} · B" : cut_of(cut.curtain, cut.number)

    # @param curtain [String] "left", or "left, right" for a width that is slit for both
    # @param number [Integer] from the leading edge
    # @return [String] "Left, width 2"
    #
    #   Words.cut_of("left, right", 2) # => "Left + Right, width 2"
    def cut_of(curtain, number) =
      say("cuts.name", hand: curtain.split(", ").map { |one| hand(one) }.join(" + "), number: number)

    # @param leftover [Reckoning::Cutting::Leftover]
    # @return [String] what it still makes: "2 tiebacks, 14 patches"
    def uses(leftover)
      return say("leftovers.cloth") if leftover.along > R::Cutting::Uses::LONG

      made = R::Cutting::Uses.of(leftover)
      if made.empty?
        say("leftovers.nothing")
      else
        made.map { |kind, count| say("leftovers.makes.#{kind}", count: count) }.join(", ")
      end
    end

    #
    #   Words.line_key(reckoning.working.first) # => "working.finished_width"
    def line_key(line)
      return "working.one_width_cut" if line.name == :widths && line.data[:count] == 1

      [:hem, :lining_hem].include?(line.name) ? "working.#{line.name}_#{line.data[:kind]}" : "working.#{line.name}"
    end

    ROUNDED = {"↑" => "signs.rounded_up", "↓" => "signs.rounded_down", "↕" => "signs.to_the_nearest"}.freeze
    private_constant :ROUNDED

    # @api private
    #
    #   Words.sign("×") # => "×"
    def sign(token) = ROUNDED.key?(token) ? TEXTS.fetch(ROUNDED[token]) : token

    #
    #   Words.value_in(Length.cm(3), Units::CM) # => "3.0 cm"
    def value_in(value, unit)
      case value
      when R::Length then with_unit(value, unit)
      when Rational then number(value)
      when Array then list(value, unit)
      else value
      end
    end
  end
end
