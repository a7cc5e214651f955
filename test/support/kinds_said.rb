# frozen_string_literal: true

require "digest"
require "json"
require_relative "random_findings"

# Asks the code everything that depends on the kind of part, for random findings and for each sheet, and digests the
# answers by aspect. Two versions of the code that give the same digests say the same.
module KindsSaid
  Core = UprightBench::Core
  English = UprightBench::English
  CASES = 10_000
  GROUP = 100
  LETTERS = 8

  # The code's answers about one finding at one place.
  class OfFinding
    ASPECTS = %i[verdict staffs_words customers_words loads likely form faults slot measures].freeze

    def initialize(place:, observed:, background:)
      @place = place
      @observed = observed
      @background = background
      @read = Core::Findings::Read.new(position: place, observed: observed, background: background).call
    end

    def verdict
      @read && [@read.kind, @read.confidence, @read.stop, @read.also, @read.reason.to_stored]
    end

    def staffs_words
      @read && English::Sentences.of(@read.reason, unit: policy.length_unit)
    end

    def customers_words
      @read && English::ToCustomers.of(@read.reason, unit: policy.length_unit)
    end

    def loads
      loads = Core::Findings::Loads.new(@place, @observed, policy: policy)
      [loads.by_action.transform_values(&:to_h), loads.telling&.then { |action, load| [action, load.to_h] }]
    end

    def likely
      measured.map do |name, value|
        likely = Core::Findings::Likely.new(@place, name, unit: policy.length_unit)
        [name, likely.range.to_s, likely.problem(value)&.to_h]
      end
    end

    def form
      fields = [Core::Findings.fields(@place), @place.kind_of_part.anywhere]
      [fields.map do |some|
        some.to_h do |name, field|
          [name, [field.type, said(name, field).transform_values(&:to_s)]]
        end
      end,
       Core::Findings.fine(@place), @place.kind_of_part.trait?(:one_by_one)]
    end

    def said(name, field)
      label = English::Fields.label(@place.kind, name)
      return { label: label, **field.to_h } unless field.respond_to?(:options)

      { label: label, options: field.options, words_of: English::Fields.steps(@place.kind, name), needs: field.needs }
    end

    # With the air that each asks for, and what is done about it.
    def faults
      sheet = Struct.new(:place) { def position(_key) = place }.new(@place.with(station: "here"))
      Core::Faults::Possible.at(@place.kind).sort.map do |key, fault|
        cause = Core::Faults::Cause.at(@place, fault, 0.5)
        [key, fault.observed, fault.seen, English::Faults.cause(cause), Core::Suction::AirOfFault.new(sheet).call(cause),
         (Core::Faults::Remedy.of(sheet, cause) if fault.observed.any?)]
      end
    end

    def slot
      Core::Drying::SlotSize.of(@place)
    end

    def measures
      [English::Kinds.measures(@place.kind, @place.measures), Core::Fit::AskedOfKind.sides(@place.kind.to_s),
       Core::Fit::AskedOfKind.attributes(@place.kind.to_s)]
    end

    private

    def policy
      @background.policy
    end

    def measured
      fields = @place.kind_of_part.fields
      @observed.select { |name, _| fields.fetch(name).type == :measure }
    end
  end

  # The code's answers about the machines of one sheet.
  class OfSheet
    ASPECTS = %i[searches origins air].freeze
    PLACES = 9 # of a share that are told apart

    def initialize(sheet)
      @sheet = sheet
    end

    # For each complaint what may be behind it, what is done to find it, and what comes first.
    def searches
      Core::Faults::Complaints::ALL.sort_by(&:key).map do |complaint|
        search = Core::Faults::PlanSearch.new(@sheet, complaint.key).call
        [complaint.words, search.causes.sort_by(&:key).map do |cause|
          [English::Faults.cause(cause), cause.weight.round(PLACES)]
        end,
         search.checks.map { |check| check.to_h.merge(asked(check)) },
         Core::Faults::GreedyOrder.new(belief(search), search.checks, {}).first.key]
      end
    end

    def asked(check)
      { **English::Faults.look(check, @sheet).to_h, shows: check.shows.sort.to_h, codes: check.codes.sort.to_h }
    end

    def belief(search)
      search.causes.to_h { |cause| [cause.key, cause.weight] }.merge(nil => search.none)
    end

    # For each fault that a place may have, which other faults may have caused it.
    def origins
      @sheet.walk.flat_map do |place|
        Core::Faults::Possible.at(place.kind).sort.map do |key, fault|
          cause = setting_or_fault(place, key, fault)
          [place.key, key, Core::Faults::Origins.new(@sheet).of(cause).map(&:key).sort]
        end
      end
    end

    def setting_or_fault(place, key, fault)
      return Core::Faults::Cause.setting(key, 0.0) if Core::Faults::Cause.setting?(place, key)

      Core::Faults::Cause.at(place, fault, 0.0)
    end

    def air
      Core::Suction::Expected.of(@sheet).stages.map { |stage| stage.to_h.transform_values(&:to_s) }
    end
  end

  module_function

  # @param sheets [Hash{String=>Core::Sheets::Sheet}] by a name
  # @return [Hash{String=>Array<String>}] aspect => a digest for each hundred findings, or for each sheet
  def digests(sheets)
    groups = (0...CASES).map { |seed| OfFinding.new(**RandomFindings.new(seed).one) }.each_slice(GROUP)
    machines = sheets.sort.map { |_, sheet| [OfSheet.new(sheet)] }
    [[OfFinding, groups], [OfSheet, machines]].flat_map do |told, all|
      told::ASPECTS.map { |aspect| [aspect.to_s, all.map { |some| digest(some.map(&aspect)) }] }
    end.to_h
  end

  def digest(said)
    Digest::SHA256.hexdigest(JSON.generate(said))[0, LETTERS]
  end
end
