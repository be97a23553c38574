package driftwood.refactor.python;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.refactor.Refused;
import driftwood.refactor.Stage;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a stage leaves is understood, and its names are known. */
class StandingTest {
    private static final String BEFORE = "import math\n\n\ndef quote(nights):\n    return math.ceil(nights) + missing\n";

    private static void check(String now) {
        new Standing(Map.of("quay.py", BEFORE)).check(List.of(new Stage("Do it", List.of(), Map.of("quay.py", Optional.of(now)), false)));
    }

    @Test
    void namesThatNothingGivesAreRefused() {
        assertThatThrownBy(() -> check(BEFORE.replace("import math\n", ""))).isInstanceOf(Refused.class).hasMessageContaining("names that nothing there gives: math");
        assertThatThrownBy(() -> check(BEFORE.replace("nights) +", "night) +"))).hasMessageContaining("night");
    }

    @Test
    void whatWasUnknownBeforeIsNobodysFault() {
        assertThatCode(() -> check(BEFORE.replace("+ missing", "+ len(str(missing))"))).doesNotThrowAnyException();
    }

    @Test
    void wrongSyntaxIsRefused() {
        assertThatThrownBy(() -> check(BEFORE + "def broken(:\n    return\n")).isInstanceOf(Refused.class).hasMessageContaining("wrong syntax");
    }

    @Test
    void aNewFileKnowsWhatTheLanguageGives() {
        Standing standing = new Standing(Map.of());
        assertThatCode(() -> standing.check(List.of(new Stage("Add", List.of(), Map.of("new.py", Optional.of("print(len([]))\n")), false)))).doesNotThrowAnyException();
        assertThatThrownBy(() -> standing.check(List.of(new Stage("Add", List.of(), Map.of("new.py", Optional.of("print(quay)\n")), false)))).hasMessageContaining("quay");
    }

    @Test
    void aFileThatTakesAllNamesOfAnotherMayKnowAny() {
        assertThatCode(() -> check("from quay.all import *\n" + BEFORE.replace("import math\n", ""))).doesNotThrowAnyException();
    }
}
