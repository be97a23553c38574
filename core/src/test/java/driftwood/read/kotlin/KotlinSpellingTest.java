package driftwood.read.kotlin;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class KotlinSpellingTest {

    /** What is written for the grammar, and what is left as it is. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '\'', textBlock = """
            roster().pilot = name                      | roster!!.pilot = name
            desk.roster(2).pilot = name                | desk.roster[2].pilot = name
            desk.roster(berth(2), n)[3] += 1           | desk.roster[berth(2), n][3] += 1
            desk.roster().pilot().name = name          | desk.roster!!.pilot!!.name = name
            desk.at(" (").name = name                  | desk.at[" ("].name = name
            desk.at("a=\\")").name = name              | desk.at["a=\\")"].name = name
            desk.at(" (") -> moor()                    | desk.at[" ("] -> moor()
            vessel.fits(berth) -> moor()               | vessel.fits[berth] -> moor()
            !vessel.fits(berth) -> moor()              | -vessel.fits[berth] -> moor()
            a && vessel.fits(berth) -> moor()          | a && vessel.fits[berth] -> moor()
            -> if (late) fee() else "none"             | -> if (late) fee() else ______
            for (i in 0..<size) { moor(i) }            | for (i in 0.. size) { moor(i) }
            fun interface Watch { fun see() }          | '    interface Watch { fun see() }'
            class Berth internal constructor(n: Int)   | 'class Berth                     (n: Int)'
            internal actual val berth: Int,            | 'internal        val berth: Int,'
            fun fee(tons: Int) = tons * 2              | fun fee(tons: Int) = tons * 2
            val fee: (Int) -> Int = { it * 2 }         | val fee: (Int) -> Int = { it * 2 }
            fun each(does: Berth.(Int) -> Unit)        | fun each(does: Berth.(Int) -> Unit)
            berths.forEach { (name, tons) -> moor() }  | berths.forEach { (name, tons) -> moor() }
            if (vessel.fits(berth) == true) moor()     | if (vessel.fits(berth) == true) moor()
            vessel.fits(berth) != other.fits(berth)    | vessel.fits(berth) != other.fits(berth)
            moor(berth = quay.berth(2), tons = 3)      | moor(berth = quay.berth(2), tons = 3)
            val berth = quay.berth(2).free()           | val berth = quay.berth(2).free()
            quay.berth(number = 2).free = true         | quay.berth(number = 2).free = true
            else -> "none"                             | else -> "none"
            """)
    void isAsTheGrammarKnowsIt(String written, String spelled) {
        assertThat(KotlinSpelling.of(written)).isEqualTo(spelled).hasSameSizeAs(written);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '\'', textBlock = """
            'when (n) {~  1 -> fee()~  in 2..4 -> dues()~}'       | 'when (n) {~  1 -> fee();  in 2..4 -> dues()~}'
            'when (n) {~  1 -> fee() // one~  in 2..4 -> dues()~}' | 'when (n) {~  1 -> fee() ;     ~  in 2..4 -> dues()~}'
            'when (n) {~  in 2..4 -> dues()~}'                     | 'when (n) {~  in 2..4 -> dues()~}'
            """)
    void anArmThatBeginsWithARangeIsCutOffFromTheOneBefore(String written, String spelled) {
        assertThat(KotlinSpelling.of(written.replace('~', '\n'))).isEqualTo(spelled.replace('~', '\n'));
    }
}
