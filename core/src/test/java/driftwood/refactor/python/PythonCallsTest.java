package driftwood.refactor.python;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.program.RoutineOutline;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.python.ground.Calls;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.Modules;
import driftwood.scan.Scan;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Who calls a function, or creates a class: all are known, or it is said. */
class PythonCallsTest {
    private static final String DUES = """
            class Dues:
                def quote(self, tons, nights=1):
                    return tons * nights


            class NightDues(Dues):
                pass


            class Desk:
                def __init__(self, dues: Dues):
                    self.dues = dues
            """;
    @TempDir
    Path root;

    /** Where the routine is called in {@code use.py}, as written. */
    private List<String> calls(String routine, String use) throws IOException {
        Files.writeString(root.resolve("dues.py"), DUES);
        Files.writeString(root.resolve("use.py"), use.replace("\\n", "\n").replace("~", "    ") + "\n");
        Scan.Result result = new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root));
        Modules modules = new Modules(result.site());
        RoutineOutline wanted = result.program().types().stream().flatMap(each -> each.routines().stream())
                .filter(each -> each.name().equals(routine) || each.isConstructor() && each.owner().endsWith(routine)).findFirst().orElseThrow();
        return new Calls(new Draft(null, result.program(), modules, new Script(modules.texts()), Map.of())).to(wanted).stream()
                .filter(each -> each.module().file().equals("use.py")).map(each -> each.module().text(each.node())).toList();
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            from dues import Dues\\ndef go(dues: Dues):\\n~return dues.quote(1)                   | dues.quote(1)
            def go(desk):\\n~return desk.dues.quote(2, nights=3)                                  | desk.dues.quote(2, nights=3)
            import market\\ndef go():\\n~return market.quote(3)                                   |
            def go():\\n~return "text".quote(3)                                                   |
            from market import Stall\\nclass Shop(Stall):\\n~def go(self):\\n~~return self.quote(3) |
            def go(dues):\\n~quote = 4\\n~return quote                                            |
            def go(dues):\\n~return other(quote=dues)                                             |
            """)
    void callsAreToldFromWhatIsNone(String use, String call) throws IOException {
        assertThat(calls("quote", use)).isEqualTo(call == null ? List.of() : List.of(call));
    }

    @ParameterizedTest(name = "{1}")
    @CsvSource(delimiter = '|', textBlock = """
            def go(dues):\\n~return map(dues.quote, [1])                            | handed on as a value
            def go(dues):\\n~return getattr(dues, "quote")(1)                        | looked up by its name
            class Market:\\n~def quote(self):\\n~~return 1\\ndef go(it):\\n~return it.quote() | 2 routines have that name
            from dues import Dues\\nclass Harbour(Dues):\\n~def quote(self, tons, nights=1):\\n~~return 0 | of its own that takes its place
            def go(dues):\\n~return dues.quote(1, 2, 3, 4)                          | hands over more than quote() takes
            """)
    void whoeverIsNotKnownIsTold(String use, String because) {
        assertThatThrownBy(() -> calls("quote", use)).isInstanceOf(Refused.class).hasMessageContaining(because);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            from dues import Desk\\ndef go():\\n~return Desk(None)                               | Desk(None)
            import dues\\ndef go():\\n~return dues.Desk(1)                                       | dues.Desk(1)
            from dues import Desk\\nclass Own(Desk):\\n~pass\\ndef go():\\n~return Own(2)        | Own(2)
            from dues import Desk\\nclass Own(Desk):\\n~def __init__(self):\\n~~super().__init__(3) | super().__init__(3)
            from dues import Desk\\ndef go(it: Desk):\\n~return isinstance(it, Desk)             |
            """)
    void creationsComeInManyWays(String use, String call) throws IOException {
        assertThat(calls("Desk", use)).isEqualTo(call == null ? List.of() : List.of(call));
    }

    @ParameterizedTest(name = "{1}")
    @CsvSource(delimiter = '|', textBlock = """
            from dues import Desk\\nKINDS = [Desk]                                       | handed on as a value
            from dues import Desk\\ndef go(make):\\n~return make(Desk)                    | handed on as a value
            LOADED = "dues.Desk"                                                         | loaded by its name
            from dues import Desk\\nclass Other:\\n~pass\\nclass Own(Desk, Other):\\n~pass | several base classes
            from dues import Desk\\nclass Own(Desk):\\n~def __init__(self):\\n~~Desk.__init__(self, 1) | by name
            """)
    void classesThatOthersMakeAreLeftAlone(String use, String because) {
        assertThatThrownBy(() -> calls("Desk", use)).isInstanceOf(Refused.class).hasMessageContaining(because);
    }

    @Test
    void whatAModuleOffersIsKnown() {
        assertThat(Calls.isExported(new driftwood.refactor.python.ground.Module("a.py", "__all__ = ['Desk']\nx = 'Dues'\n", false), "Desk")).isTrue();
        assertThat(Calls.isExported(new driftwood.refactor.python.ground.Module("a.py", "__all__ = ['Desk']\nx = 'Dues'\n", false), "Dues")).isFalse();
    }
}
