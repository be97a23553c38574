package quay

/** One day at Kelp Quay, told line by line. */
fun main(arguments: Array<String>) {
    val nights = arguments.firstOrNull()?.toInt() ?: 3
    val roster = PilotRoster()
    roster.report(Pilot("Mira", 300))
    roster.report(Pilot("Odd", 2000))
    val desk = ArrivalDesk(roster)
    val dues = HarbourDues()
    val gate = LockGate()
    val vessels = listOf(Vessel("Patience", Kind.TUG, 150), Vessel("Grey Heron", Kind.TANKER, 1800, true),
        Vessel("Nonsuch", Kind.YACHT, 12), Vessel("Leviathan", Kind.TANKER, 9000))
    for (vessel in vessels) {
        gate.push()
        println("${vessel.name}: dues ${dues.quote(vessel, nights)}, pilot ${desk.admit(vessel)}, " +
            "bill ${desk.bill(vessel)}, toll ${gate.toll(vessel.tonnage)}")
    }
}
