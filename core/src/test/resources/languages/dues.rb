module Quay
  class Pilot
    attr_reader :name
    def initialize(fee, name)
      @fee = fee
      @name = name
    end
    def cost(n)
      @fee * n
    end
  end
  class PilotRoster
    def initialize
      @pilots = File.read('pilots.txt').lines
    end
    def seek(name)
      @pilots.each do |each|
        return each if each.name == name
      end
      nil
    end
  end
  class Dues
    def initialize
      @roster = PilotRoster.new
      @quoted = 0
    end
    def quote(vessel)
      case vessel.kind
      when :tug
        @quoted += 1
        vessel.length * 2
      when :tanker
        @quoted += 2
        vessel.tonnage * 3 + vessel.length
      else
        10
      end
    end
    def label(vessel)
      case vessel.kind
      when :tug then paint(vessel.name, 1)
      when :tanker then paint(vessel.name, 2)
      when :yacht then paint(vessel.name, 3)
      end
    end
    def guide(name)
      pilot = @roster.seek(name)
      return 0 if pilot.nil?
      pilot.cost(3)
    end
    def call(name)
      pilot = @roster.seek(name)
      pilot ? pilot.name : 'none'
    end
    def tell(name)
      pilot = @roster.seek(name)
      @quoted += pilot.cost(1) unless pilot.nil?
    end
  end
  class Crate
    attr_reader :parts
    def initialize(parts)
      @parts = parts
    end
  end
  class Barrel
    attr_reader :weight
    def initialize(weight)
      @weight = weight
    end
  end
  class Hold
    def weigh(all)
      sum = 0
      all.each do |each|
        if each.is_a?(Crate)
          sum += weigh(each.parts)
        else
          sum += each.weight
        end
      end
      sum
    end
  end
end
