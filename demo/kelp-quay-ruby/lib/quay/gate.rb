# frozen_string_literal: true

module Quay
  # The lock gate: shut, turning or open.
  class LockGate
    def initialize
      @position = :shut
      @turns = 0
    end

    def push
      case @position
      when :shut
        @position = :turning
        @turns += 1
      when :turning
        @position = :open
      when :open
        @position = :shut
        @turns += 1
      end
    end

    def toll(tonnage)
      if @position == :open
        tonnage * 2 + @turns
      elsif @position == :turning
        tonnage * 3 + @turns
      else
        0
      end
    end
  end
end
