package driftwood.witness;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotSame;
import static org.junit.jupiter.api.Assertions.assertSame;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which classes hold what a case may leave in them. */
class ProjectLoaderTest {

    static final class Plain {
        static final int BERTHS = 12;
        static final String NAME = "quay";
        final List<String> ships = new ArrayList<>();
        int calls;
    }

    static final class Counting {
        static int calls;
    }

    static final class Keeping {
        static final List<String> SHIPS = new ArrayList<>();
    }

    enum Tide {
        LOW(1), HIGH(4);

        final int metres;

        Tide(int metres) {
            this.metres = metres;
        }
    }

    enum Watch {
        DAY, NIGHT;

        int called;
    }

    enum Roster {
        DAY {
            private int asked;

            @Override
            int ask() {
                return asked++;
            }
        };

        abstract int ask();
    }

    enum Board {
        ALL;

        static final Map<String, Board> BY_NAME = Map.of();
    }

    interface Harbour {
        String NAME = "quay";
    }

    private static ProjectLoader loader() throws Exception {
        Path home = Path.of(ProjectLoaderTest.class.getProtectionDomain().getCodeSource().getLocation().toURI());
        return new Projects(List.of(home.toString()), List.of(home.toString())).loader(Map.of());
    }

    @ParameterizedTest
    @CsvSource({"Plain, false", "Counting, true", "Keeping, true", "Tide, false", "Watch, true", "Roster$1, true", "Board, true",
            "Harbour, false"})
    void onlyStaticFieldsThatMayChangeRemember(String type, boolean remembers) throws Exception {
        ProjectLoader loader = loader();
        loader.loadClass(ProjectLoaderTest.class.getName() + "$" + type);
        assertEquals(remembers, loader.remembers());
    }

    @Test
    void whatOneClassRemembersStays() throws Exception {
        ProjectLoader loader = loader();
        loader.loadClass(Counting.class.getName());
        assertEquals(true, loader.remembers());
        loader.loadClass(Plain.class.getName());
        assertEquals(true, loader.remembers());
    }

    @Test
    void eachLoaderHasTheProjectsClassesForItselfAndSharesTheOthers() throws Exception {
        Class<?> one = loader().loadClass(Plain.class.getName());
        assertNotSame(one, loader().loadClass(Plain.class.getName()));
        assertNotSame(Plain.class, one);
        assertSame(String.class, loader().loadClass("java.lang.String"));
    }
}
