# frozen_string_literal: true

module Quay
  # Somebody who may bring vessels in, up to a tonnage.
  class Pilot
    attr_reader :name, :most

    def initialize(name, most)
      @name = name
      @most = most
    end

    def fee
      40 + name.length
    end
  end

  # Who is on duty.
  class PilotRoster
    def initialize
      @on_duty = []
    end

    def report(pilot)
      @on_duty << pilot
    end

    # @return [Pilot, nil]
    def pilot_for(vessel)
      @on_duty.each do |pilot|
        return pilot if vessel.tonnage <= pilot.most
      end
      nil
    end
  end

  # Takes vessels in.
  class ArrivalDesk
    # @param roster [PilotRoster]
    def initialize(roster)
      @roster = roster
      @waiting = []
    end

    def admit(vessel)
      pilot = @roster.pilot_for(vessel)
      if pilot.nil?
        @waiting << vessel
        return 0
      end
      pilot.fee
    end

    def bill(vessel)
      pilot = @roster.pilot_for(vessel)
      pilot ? pilot.fee : 15
    end

    def rush(vessel)
      @roster.pilot_for(vessel).fee * 2
    end
  end
end
