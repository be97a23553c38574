# frozen_string_literal: true

require_relative "vessels"

module Quay
  # What a stay costs, in whole crowns.
  class HarbourDues
    def initialize(night_rate = 90)
      @night_rate = night_rate
    end

    def quote(vessel, nights)
      case vessel.kind
      when :tug
        base = nights * @night_rate
        base / 2
      when :tanker
        extra = vessel.hazardous? ? 200 : 0
        nights * (@night_rate + extra)
      else
        nights * @night_rate
      end
    end

    def line_up(vessel, queue)
      if vessel.kind == :tug
        queue.unshift(vessel)
      elsif vessel.kind == :tanker
        queue.insert(1, vessel)
      else
        queue << vessel
      end
    end

    def surcharge(vessel, holiday = false)
      if holiday
        @night_rate * 2 + vessel.tonnage / 10
      else
        @night_rate / 4
      end
    end

    def estimate(vessel)
      quote(vessel, 3) + surcharge(vessel)
    end

    def holiday_estimate(vessel)
      quote(vessel, 3) + surcharge(vessel, true)
    end
  end
end
