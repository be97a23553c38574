package quay

import java.io.FileWriter

/** What happened, on disk. */
class HarbourLog {
    private val out = FileWriter("harbour.log", true)

    fun note(vessel: Vessel) {
        out.write(vessel.name + "\n")
    }
}

class Ledger {
    var total = 0
        private set

    fun book(vessel: Vessel) {
        total += vessel.tonnage
    }
}

class SignalTower {
    var shown = ""
        private set

    fun announce(vessel: Vessel) {
        shown = vessel.name
    }
}

interface Permit {
    fun fee(): Int
}

class HeavyPermit(private val vessel: Vessel) : Permit {
    override fun fee() = 100 + vessel.tonnage / 4
}

class LightPermit(private val vessel: Vessel) : Permit {
    override fun fee() = 15
}

/** Where all of it comes together. */
class HarbourOffice(private val ledger: Ledger, private val tower: SignalTower) {
    private val log = HarbourLog()
    private val moored = mutableListOf<Vessel>()
    private val permits = mutableListOf<Permit>()

    fun arrive(vessel: Vessel) {
        moored.add(vessel)
        ledger.book(vessel)
        tower.announce(vessel)
        log.note(vessel)
    }

    fun permit(vessel: Vessel): Int {
        val permit = if (vessel.tonnage > 500) HeavyPermit(vessel) else LightPermit(vessel)
        permits.add(permit)
        return permit.fee()
    }

    fun berth(vessel: Vessel, row: Int, place: Int, tidal: Boolean, tug: Boolean, nights: Int): String =
        "${vessel.name}:$row/$place ${if (tidal) "tidal " else ""}${if (tug) "tug " else ""}$nights"
}

class NightWatch {
    private val log = HarbourLog()

    fun round(vessel: Vessel) {
        if (vessel.kind != Kind.YACHT) {
            log.note(vessel)
        }
    }
}
