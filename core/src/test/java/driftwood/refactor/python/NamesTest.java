package driftwood.refactor.python;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.Names;
import java.util.Arrays;
import java.util.TreeSet;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What code reads and binds in the scope around it. */
class NamesTest {

    private static Names names(String code) {
        Module module = new Module("quay.py", code.replace("\\n", "\n").replace("~", "    ") + "\n", false);
        return Names.of(module, module.root().inner());
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            base = nights * self.rate                            | nights self             | base
            base += 1                                            | base                    | base
            base: Money = rate                                   | Money rate              | base
            self.total = vessel.total                            | self vessel             |
            rows[at] = left                                      | rows at left            |
            first, (second, *rest) = both                        | both                    | first second rest
            quote(vessel, nights=nights)                         | quote vessel nights     |
            [each.name for each in fleet if each.kind == kind]   | fleet kind              |
            {key: value for key, value in pairs}                 | pairs                   |
            sorted(fleet, key=lambda ship, by=rate: ship.age)    | sorted fleet rate       |
            if (last := log[-1]): print(last)                    | log print last          | last
            for ship in fleet:\\n~log.append(ship)               | fleet log ship          | ship
            with open(path) as out:\\n~out.write(text)           | open path out text      | out
            try:\\n~go()\\nexcept (Lost, Late) as e:\\n~note(e)  | go Lost Late note e     | e
            import quay.dues, math as m                          |                         | quay m
            from quay import Dues, Tug as Puller                 |                         | Dues Puller
            del log                                              | log                     | log
            f"{vessel.name}: {nights + 1:>{width}}"              | vessel nights width     |
            def quote(ship: Ship, at=NOW):\\n~own = ship\\n~return own + rate | Ship NOW rate | quote
            class Tug(Ship):\\n~power = BASE\\n~def go(self):\\n~~return power | Ship BASE    | Tug
            match kind:\\n~case Kind.TUG:\\n~~go()\\n~case Ferry(seats=n) if n > 3:\\n~~go(n)\\n~case other:\\n~~stop(other) | kind Kind go Ferry n stop other | n other
            """)
    void readsAndBinds(String code, String read, String bound) {
        assertThat(names(code).read()).containsExactlyInAnyOrderElementsOf(words(read));
        assertThat(names(code).bound()).containsExactlyInAnyOrderElementsOf(words(bound));
    }

    private static TreeSet<String> words(String text) {
        return text == null || text.isBlank() ? new TreeSet<>() : new TreeSet<>(Arrays.asList(text.strip().split(" ")));
    }

    @org.junit.jupiter.api.Test
    void namesOfScopesFurtherOutAreTold() {
        assertThat(names("global count\\ncount = 1").shared()).containsExactly("count");
        assertThat(names("def add():\\n~global count\\n~count = 1").bound()).containsExactlyInAnyOrder("add", "count");
    }
}
