package driftwood.refactor.python;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.python.ground.Function;
import driftwood.refactor.python.ground.Halves;
import driftwood.refactor.python.ground.Module;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a function does where its flag is known. */
class HalvesTest {

    private static Halves halves(String statements) {
        Module module = new Module("quay.py", "def quote(nights, night):\n" + ("~" + statements.replace("\\n", "\n~")).replace("~", "    ") + "\n", false);
        Cst node = Module.all(module.root(), "function_definition").get(0);
        return new Halves(Function.of(module, node), "night");
    }

    private static String told(String text) {
        return text.replace("\n", "\\n").replace("    ", "~");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            if night:\\n~return 2\\nreturn 1                          | return 2               | return 1
            if not night:\\n~go()\\nelse:\\n~stop()\\nend()           | stop()\\nend()         | go()\\nend()
            if night is True:\\n~go()                                 | go()                   | pass
            return 2 if night else nights                             | return 2               | return nights
            base = 1\\nif night:\\n~# more\\n~base = 2\\nreturn base  | base = 1\\n# more\\nbase = 2\\nreturn base | base = 1\\nreturn base
            go(night)\\nif night: stop()                              | go(True)\\nstop()      | go(False)
            if night:\\n~go(night=night)\\nelse:\\n~return            | go(night=True)         | return
            """)
    void theOtherHalfIsGone(String statements, String on, String off) {
        assertThat(told(halves(statements).of(true, ""))).isEqualTo(on);
        assertThat(told(halves(statements).of(false, ""))).isEqualTo(off);
    }

    @ParameterizedTest(name = "{1}")
    @CsvSource(delimiter = '|', textBlock = """
            night = not night\\nif night:\\n~go()                     | another value
            if nights:\\n~if night:\\n~~go()                          | in the middle of other work
            if night:\\n~go()\\nelif nights:\\n~stop()                | one of several things
            """)
    void whatIsWovenTogetherIsRefused(String statements, String because) {
        assertThatThrownBy(() -> halves(statements).of(true, "")).isInstanceOf(Refused.class).hasMessageContaining(because);
    }
}
