package quay

/** Somebody who may bring vessels in, up to a tonnage. */
class Pilot(val name: String, val most: Int) {
    fun fee() = 40 + name.length
}

/** Who is on duty. */
class PilotRoster {
    private val onDuty = mutableListOf<Pilot>()

    fun report(pilot: Pilot) {
        onDuty.add(pilot)
    }

    fun pilotFor(vessel: Vessel): Pilot? = onDuty.firstOrNull { vessel.tonnage <= it.most }
}

/** Takes vessels in. */
class ArrivalDesk(private val roster: PilotRoster) {
    private val waiting = mutableListOf<Vessel>()

    fun admit(vessel: Vessel): Int {
        val pilot = roster.pilotFor(vessel)
        if (pilot == null) {
            waiting.add(vessel)
            return 0
        }
        return pilot.fee()
    }

    fun bill(vessel: Vessel): Int = roster.pilotFor(vessel)?.fee() ?: 15

    fun rush(vessel: Vessel): Int = roster.pilotFor(vessel)!!.fee() * 2
}
