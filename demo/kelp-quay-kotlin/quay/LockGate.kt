package quay

/** The lock gate: shut, turning or open. */
class LockGate {
    private enum class Position { SHUT, TURNING, OPEN }

    private var position = Position.SHUT
    private var turns = 0

    fun push() {
        when (position) {
            Position.SHUT -> {
                position = Position.TURNING
                turns++
            }
            Position.TURNING -> position = Position.OPEN
            Position.OPEN -> {
                position = Position.SHUT
                turns++
            }
        }
    }

    fun toll(tonnage: Int): Int {
        if (position == Position.OPEN) {
            return tonnage * 2 + turns
        } else if (position == Position.TURNING) {
            return tonnage * 3 + turns
        }
        return 0
    }
}
