# frozen_string_literal: true

module Quay
  # What happened, on disk.
  class HarbourLog
    def initialize
      @out = File.open("harbour.log", "a")
    end

    def note(vessel)
      @out.puts(vessel.name)
    end
  end

  class Ledger
    attr_reader :total

    def initialize
      @total = 0
    end

    def book(vessel)
      @total += vessel.tonnage
    end
  end

  class SignalTower
    attr_reader :shown

    def announce(vessel)
      @shown = vessel.name
    end
  end

  class Permit
    def initialize(vessel)
      @vessel = vessel
    end
  end

  class HeavyPermit < Permit
    def fee = 100 + @vessel.tonnage / 4
  end

  class LightPermit < Permit
    def fee = 15
  end

  # Where all of it comes together.
  class HarbourOffice
    attr_reader :permits

    # @param ledger [Ledger]
    # @param tower [SignalTower]
    def initialize(ledger, tower)
      @ledger = ledger
      @tower = tower
      @log = HarbourLog.new
      @moored = []
      @permits = []
    end

    def arrive(vessel)
      @moored << vessel
      @ledger.book(vessel)
      @tower.announce(vessel)
      @log.note(vessel)
    end

    def permit(vessel)
      if vessel.tonnage > 500
        permit = HeavyPermit.new(vessel)
      else
        permit = LightPermit.new(vessel)
      end
      @permits << permit
      permit.fee
    end

    def berth(vessel, row, place, tidal, tug, nights)
      "#{vessel.name}:#{row}/#{place} #{tidal} #{tug} #{nights}"
    end
  end

  class NightWatch
    def initialize
      @log = HarbourLog.new
    end

    def round(vessel)
      @log.note(vessel) unless vessel.kind == :yacht
    end
  end
end
