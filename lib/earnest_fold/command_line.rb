# frozen_string_literal: true

require "json"

module EarnestFold
  # The command line of the reckoner: `reckon` and `schema` for job documents. Needs no database; never shows a trace of
  # the program to a person.
  class CommandLine
    REFUSED = 2
    MISUSED = 64
    OUTPUTS = {
      "reckon" => ->(job) { Documents::ReckoningFormat.new(Reckoning::JobReckoning.new(job)).to_h },
      "choices" => ->(job) { Documents::ChoicesFormat.new(Reckoning::JobReckoning.new(job)).to_h },
      "near" => ->(job) { Documents::NearFormat.new(Reckoning::JobReckoning.new(job)).to_h },
      "plan" => ->(job) { Documents::PlanFormat.new(Reckoning::JobReckoning.new(job)).to_h }
    }.freeze

    def initialize(input, output, errors)
      @input, @output, @errors = input, output, errors
    end

    # @param arguments [Array<String>]
    # @return [Integer] the exit status
    def run(arguments)
      command, *files = arguments
      return print_schema if command == "schema" && files.empty?
      return print_help if [["help"], ["--help"], ["-h"]].include?(arguments)
      return misused unless OUTPUTS.key?(command) && files.any?

      (files.size == 1) ? one(OUTPUTS[command], files.first) : several(OUTPUTS[command], files)
    rescue Errno::EPIPE
      0
    end

    private

    def one(output, file)
      @output.puts(JSON.generate(output.call(read(file))))
      0
    rescue Reckoning::Invalid => invalid
      @errors.puts(JSON.generate(errors(invalid)))
      REFUSED
    end

    def several(output, files)
      refused = false
      files.each do |file|
        @output.puts(JSON.generate(output.call(read(file))))
      rescue Reckoning::Invalid => invalid
        refused = true
        @output.puts(JSON.generate(errors(invalid)))
      end
      refused ? REFUSED : 0
    end

    def read(file)
      Documents::JobFormat.read_strictly((file == "-") ? @input.read : File.binread(file))
    rescue SystemCallError
      raise Reckoning::Invalid, [Reckoning::Problem.new(at: "", code: :no_such_file, data: {file: file})]
    end

    def errors(invalid)
      {"errors" => invalid.problems.map { |problem| {"at" => problem.at, "message" => Words.problem(problem)} }}
    end

    def print_schema
      @output.puts(File.read(File.join(EarnestFold.root, "schema/job.v1.json")))
      0
    end

    def print_help
      @output.puts(help)
      0
    end

    def misused
      @errors.puts(help)
      MISUSED
    end

    # @return [String] what there is, and what it does
    def help
      commands = {**OUTPUTS.to_h { |name, _| [name, "#{name} FILE …"] }, "schema" => "schema"}
      lines = commands.map { |name, typed| "earnest-fold #{typed.ljust(16)}#{Words.say("command_line.#{name}")}" }
      [*lines, "", Words.say("command_line.results")].join("\n")
    end
  end
end
