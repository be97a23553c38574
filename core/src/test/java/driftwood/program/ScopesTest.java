package driftwood.program;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class ScopesTest {
    private final Scopes scopes = new Scopes();

    @Test
    void anInnerLocalHidesAnOuterOneUntilItsScopeEnds() {
        scopes.open();
        scopes.declare("depth", Trail.name("outer"));
        scopes.open();
        scopes.declare("depth", Trail.name("inner"));
        assertThat(scopes.of("depth")).isEqualTo(Trail.name("inner"));
        scopes.close();
        assertThat(scopes.of("depth")).isEqualTo(Trail.name("outer"));
        scopes.close();
        assertThat(scopes.of("depth")).isNull();
    }

    @Test
    void outsideOfAllScopesNothingIsDeclared() {
        scopes.declare("depth", Trail.name("field"));
        assertThat(scopes.of("depth")).isNull();
    }

    @Test
    void declaringAgainReplaces() {
        scopes.open();
        scopes.declare("tide", Trail.name("first"));
        scopes.declare("tide", Trail.name("second"));
        assertThat(scopes.of("tide")).isEqualTo(Trail.name("second"));
    }

    @Test
    void anAssignmentChangesTheNearest() {
        scopes.open();
        scopes.declare("tide", Trail.name("low"));
        scopes.open();
        scopes.replace("tide", scopes.of("tide").then(Step.get("risen")));
        scopes.close();
        assertThat(scopes.of("tide")).isEqualTo(Trail.name("low").then(Step.get("risen")));
    }

    @Test
    void hundredsOfLocalsFit() {
        scopes.open();
        for (int i = 0; i < 500; i++) {
            scopes.declare("v" + i, Trail.name("t" + i));
        }
        for (int depth = 0; depth < 40; depth++) {
            scopes.open();
        }
        assertThat(scopes.of("v0")).isEqualTo(Trail.name("t0"));
        assertThat(scopes.of("v499")).isEqualTo(Trail.name("t499"));
    }
}
