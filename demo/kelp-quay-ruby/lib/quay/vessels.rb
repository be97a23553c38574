# frozen_string_literal: true

module Quay
  # A vessel, as the office knows it.
  class Vessel
    attr_reader :name, :kind, :tonnage

    # @param name [String]
    # @param kind [Symbol] :tug, :tanker or :yacht
    # @param tonnage [Integer]
    def initialize(name, kind, tonnage: 0, hazardous: false)
      @name = name
      @kind = kind
      @tonnage = tonnage
      @hazardous = hazardous
    end

    def hazardous? = @hazardous
  end

  # Something in a hold.
  class Cargo
    attr_reader :weight

    def initialize(weight)
      @weight = weight
    end
  end

  class Sack < Cargo
  end

  # Holds other cargo.
  class Crate < Cargo
    attr_reader :contents

    def initialize(weight, contents)
      super(weight)
      @contents = contents
    end
  end

  # The scales on the quay.
  class Scales
    def weigh(hold)
      total = 0
      hold.each do |cargo|
        if cargo.is_a?(Crate)
          total += weigh(cargo.contents)
        else
          total += cargo.weight
        end
      end
      total
    end
  end
end
