package quay

import java.io.File

enum class Kind { TUG, TANKER, YACHT }

class Vessel(val kind: Kind, val length: Int, val tonnage: Int)

class Pilot(private val fee: Int, val name: String) {
    fun cost(n: Int): Int = fee * n
}

class PilotRoster {
    private val pilots: List<Pilot>

    init {
        pilots = File("pilots.txt").readLines().map { Pilot(it.length, it) }
    }

    fun find(name: String): Pilot? {
        for (each in pilots) {
            if (each.name == name) {
                return each
            }
        }
        return null
    }
}

class Dues {
    private val roster = PilotRoster()
    private var quoted = 0

    fun quote(vessel: Vessel): Int {
        when (vessel.kind) {
            Kind.TUG -> {
                quoted++
                return vessel.length * 2
            }
            Kind.TANKER -> {
                quoted += 2
                return vessel.tonnage * 3 + vessel.length
            }
            else -> return 10
        }
    }

    fun guide(name: String): Int {
        val pilot = roster.find(name)
        if (pilot == null) {
            return 0
        }
        return pilot.cost(3)
    }

    fun call(name: String): String {
        val pilot = roster.find(name)
        return if (pilot == null) "none" else pilot.name
    }

    fun tell(name: String) {
        val pilot = roster.find(name)
        if (pilot != null) {
            quoted += pilot.cost(1)
        }
    }
}

interface Cargo

class Crate(val parts: List<Cargo>) : Cargo

class Barrel(val weight: Int) : Cargo

fun weigh(all: List<Cargo>): Int {
    var sum = 0
    for (each in all) {
        if (each is Crate) {
            sum += weigh(each.parts)
        } else if (each is Barrel) {
            sum += each.weight
        }
    }
    return sum
}
