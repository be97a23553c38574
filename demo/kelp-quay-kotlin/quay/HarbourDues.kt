package quay

/** What a stay costs, in whole crowns. */
class HarbourDues(private val nightRate: Int = 90) {
    fun quote(vessel: Vessel, nights: Int): Int = when (vessel.kind) {
        Kind.TUG -> nights * nightRate / 2
        Kind.TANKER -> {
            val extra = if (vessel.hazardous) 200 else 0
            nights * (nightRate + extra)
        }
        Kind.YACHT -> nights * nightRate
    }

    fun lineUp(vessel: Vessel, queue: MutableList<Vessel>) {
        when (vessel.kind) {
            Kind.TUG -> queue.add(0, vessel)
            Kind.TANKER -> queue.add(1, vessel)
            else -> queue.add(vessel)
        }
    }

    fun surcharge(vessel: Vessel, holiday: Boolean): Int {
        if (holiday) {
            return nightRate * 2 + vessel.tonnage / 10
        }
        return nightRate / 4
    }
}

fun estimate(dues: HarbourDues, vessel: Vessel) = dues.quote(vessel, 3) + dues.surcharge(vessel, false)

fun holidayEstimate(dues: HarbourDues, vessel: Vessel) = dues.quote(vessel, 3) + dues.surcharge(vessel, holiday = true)
