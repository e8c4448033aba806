# frozen_string_literal: true

require "json"

module EarnestFold
  # The command line of the reckoner: `reckon` and `schema` for job documents. Needs no database; never shows a trace of
  # the program to a person.
  class CommandLine
    REFUSED = 2
    MISUSED = 64
    HELP = <<~TEXT
      earnest-fold reckon FILE …    reckons job documents (*.fold.json; - is standard input)
      earnest-fold choices FILE …   the near alternatives of each treatment, side by side
      earnest-fold near FILE …      how near each of its figures is to another answer
      earnest-fold plan FILE …      the whole cutting plan of each
      earnest-fold schema           prints the JSON Schema of the job document

      Results go to standard output as JSON, one line each where there are several files. A document that can't be
      reckoned gives its errors by JSON Pointer, and exit 2.
    TEXT
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
      @output.puts(HELP)
      0
    end

    def misused
      @errors.puts(HELP)
      MISUSED
    end
  end
end
