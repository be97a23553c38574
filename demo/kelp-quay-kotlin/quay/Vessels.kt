package quay

/** The kinds of vessels that call at Kelp Quay. */
enum class Kind { TUG, TANKER, YACHT }

/** A vessel, as the office knows it. */
data class Vessel(val name: String, val kind: Kind, val tonnage: Int = 0, val hazardous: Boolean = false)

/** Something in a hold. */
sealed class Cargo

class Sack(val weight: Int) : Cargo()

/** Holds other cargo. */
class Crate(val contents: List<Cargo>) : Cargo()

/** Pounds of everything in a hold. */
fun weigh(hold: List<Cargo>): Int {
    var total = 0
    for (cargo in hold) {
        if (cargo is Crate) {
            total += weigh(cargo.contents)
        } else if (cargo is Sack) {
            total += cargo.weight
        }
    }
    return total
}
