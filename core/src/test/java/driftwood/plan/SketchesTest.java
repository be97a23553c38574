package driftwood.plan;

import static driftwood.plan.PlannedCode.BERTH;
import static driftwood.plan.PlannedCode.DUES;
import static driftwood.plan.PlannedCode.GATE;
import static driftwood.plan.PlannedCode.OFFICE;
import static driftwood.plan.PlannedCode.ROSTER;
import static driftwood.plan.PlannedCode.TANKER;
import static driftwood.plan.PlannedCode.TUG;
import static driftwood.plan.PlannedCode.VESSELS;
import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.pattern.Change;
import driftwood.pattern.Patterns;
import driftwood.scan.Scan;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The sketches of all patterns in full, read and found right: whoever changes one reads it again. */
class SketchesTest {
    @TempDir
    Path root;

    private String sketch(String smell, String pattern, String... sources) throws Change.Overlap {
        Given.written(root, sources);
        Scan.Result result = new Scan(Scan.Options.DEFAULT.only(smell).on(1)).run(root, List.of(root));
        Change change = Patterns.answer(Patterns.byKey(pattern).orElseThrow(), result.findings().get(0), result.site()).sketch();
        Map<String, String> before = new LinkedHashMap<>();
        Map<String, String> after = new LinkedHashMap<>(change.added());
        for (String file : change.edited()) {
            before.put(file, result.site().text(file).orElseThrow());
            after.put(file, change.after(file, before.get(file)));
        }
        return Sketched.diff(before, after);
    }

    @Test
    void typesByStrategy() throws Change.Overlap {
        assertThat(sketch("type-switch", "strategy", VESSELS, TUG, TANKER, DUES)).isEqualTo("""
                --- a/quay/Vessel.java
                +++ b/quay/Vessel.java
                @@ -1,4 +1,6 @@
                 package quay;
                 abstract class Vessel {
                     int tonnage() { return 4; }
                +
                +    abstract int quote(int nights);
                 }
                --- a/quay/Tug.java
                +++ b/quay/Tug.java
                @@ -1,3 +1,8 @@
                 package quay;
                 class Tug extends Vessel {
                +
                +    @Override
                +    int quote(int nights) {
                +        return tonnage() * nights;
                +    }
                 }
                --- a/quay/Tanker.java
                +++ b/quay/Tanker.java
                @@ -1,4 +1,9 @@
                 package quay;
                 class Tanker extends Vessel {
                     int load;
                +
                +    @Override
                +    int quote(int nights) {
                +        return load * nights + 1;
                +    }
                 }
                --- a/quay/Dues.java
                +++ b/quay/Dues.java
                @@ -1,12 +1,7 @@
                 package quay;
                 class Dues {
                     int quote(Vessel vessel, int nights) {
                -        if (vessel instanceof Tug) {
                -            Tug tug = (Tug) vessel;
                -            return tug.tonnage() * nights;
                -        } else if (vessel instanceof Tanker) {
                -            return ((Tanker) vessel).load * nights + 1;
                -        }
                +        return vessel.quote(nights);
                         return 0;
                     }
                 }
                """);
    }

    @Test
    void typesByVisitor() throws Change.Overlap {
        assertThat(sketch("type-switch", "visitor", VESSELS, TUG, TANKER, DUES)).isEqualTo("""
                --- /dev/null
                +++ b/quay/VesselVisitor.java
                @@ -0,0 +1,7 @@
                +package quay;
                +
                +/** One routine for each kind of Vessel. */
                +interface VesselVisitor<R> {
                +    R visitTug(Tug tug);
                +    R visitTanker(Tanker tanker);
                +}
                --- /dev/null
                +++ b/quay/QuoteVesselVisitor.java
                @@ -0,0 +1,19 @@
                +package quay;
                +
                +final class QuoteVesselVisitor implements VesselVisitor<Integer> {
                +    private final int nights;
                +
                +    QuoteVesselVisitor(int nights) {
                +        this.nights = nights;
                +    }
                +
                +    @Override
                +    public Integer visitTug(Tug tug) {
                +        return tug.tonnage() * nights;
                +    }
                +
                +    @Override
                +    public Integer visitTanker(Tanker tanker) {
                +        return tanker.load * nights + 1;
                +    }
                +}
                --- a/quay/Tug.java
                +++ b/quay/Tug.java
                @@ -1,3 +1,8 @@
                 package quay;
                 class Tug extends Vessel {
                +
                +    @Override
                +    <R> R accept(VesselVisitor<R> visitor) {
                +        return visitor.visitTug(this);
                +    }
                 }
                --- a/quay/Tanker.java
                +++ b/quay/Tanker.java
                @@ -1,4 +1,9 @@
                 package quay;
                 class Tanker extends Vessel {
                     int load;
                +
                +    @Override
                +    <R> R accept(VesselVisitor<R> visitor) {
                +        return visitor.visitTanker(this);
                +    }
                 }
                --- a/quay/Dues.java
                +++ b/quay/Dues.java
                @@ -1,12 +1,7 @@
                 package quay;
                 class Dues {
                     int quote(Vessel vessel, int nights) {
                -        if (vessel instanceof Tug) {
                -            Tug tug = (Tug) vessel;
                -            return tug.tonnage() * nights;
                -        } else if (vessel instanceof Tanker) {
                -            return ((Tanker) vessel).load * nights + 1;
                -        }
                +        return vessel.accept(new QuoteVesselVisitor(nights));
                         return 0;
                     }
                 }
                """);
    }

    @Test
    void gateByState() throws Change.Overlap {
        assertThat(sketch("state-switch", "state", GATE)).isEqualTo("""
                --- /dev/null
                +++ b/quay/GateState.java
                @@ -0,0 +1,20 @@
                +package quay;
                +
                +/** A condition that a Gate can be in. */
                +interface GateState {
                +    void push();
                +
                +    final class Open implements GateState {
                +        @Override
                +        public void push() {
                +            position = Position.SHUT; turns++;
                +        }
                +    }
                +
                +    final class Shut implements GateState {
                +        @Override
                +        public void push() {
                +            position = Position.OPEN; turns++;
                +        }
                +    }
                +}
                --- a/quay/Gate.java
                +++ b/quay/Gate.java
                @@ -4,10 +4,7 @@
                     private Position position = Position.SHUT;
                     int turns;
                     void push() {
                -        switch (position) {
                -            case OPEN: position = Position.SHUT; turns++; break;
                -            case SHUT: position = Position.OPEN; turns++; break;
                -        }
                +        state.push();
                     }
                     int toll(int weight) {
                         switch (position) {
                """);
    }

    @Test
    void gateByStrategy() throws Change.Overlap {
        assertThat(sketch("state-switch", "strategy", GATE)).isEqualTo("""
                --- /dev/null
                +++ b/quay/PushRule.java
                @@ -0,0 +1,22 @@
                +package quay;
                +
                +/** What depends on position in push(). */
                +interface PushRule {
                +    void push();
                +
                +    /** For OPEN. */
                +    final class OpenPush implements PushRule {
                +        @Override
                +        public void push() {
                +            position = Position.SHUT; turns++;
                +        }
                +    }
                +
                +    /** For SHUT. */
                +    final class ShutPush implements PushRule {
                +        @Override
                +        public void push() {
                +            position = Position.OPEN; turns++;
                +        }
                +    }
                +}
                --- a/quay/Gate.java
                +++ b/quay/Gate.java
                @@ -4,10 +4,7 @@
                     private Position position = Position.SHUT;
                     int turns;
                     void push() {
                -        switch (position) {
                -            case OPEN: position = Position.SHUT; turns++; break;
                -            case SHUT: position = Position.OPEN; turns++; break;
                -        }
                +        pushRuleFor(position).push();
                     }
                     int toll(int weight) {
                         switch (position) {
                """);
    }

    @Test
    void gateByRegistry() throws Change.Overlap {
        assertThat(sketch("state-switch", "registry", GATE)).isEqualTo("""
                --- a/quay/Gate.java
                +++ b/quay/Gate.java
                @@ -4,10 +4,11 @@
                     private Position position = Position.SHUT;
                     int turns;
                     void push() {
                -        switch (position) {
                -            case OPEN: position = Position.SHUT; turns++; break;
                -            case SHUT: position = Position.OPEN; turns++; break;
                +        var found = POSITION_HANDLERS.get(position);
                +        if (found == null) {
                +            throw new IllegalArgumentException("unknown position: " + position);
                         }
                +        found.run();
                     }
                     int toll(int weight) {
                         switch (position) {
                @@ -16,4 +17,8 @@
                             default: return 0;
                         }
                     }
                +
                +    private final Map<Position, Runnable> POSITION_HANDLERS = Map.of(
                +            Position.OPEN, () -> { position = Position.SHUT; turns++; },
                +            Position.SHUT, () -> { position = Position.OPEN; turns++; });
                 }
                """);
    }

    @Test
    void berthByBuilder() throws Change.Overlap {
        assertThat(sketch("telescoping-constructor", "builder", BERTH)).isEqualTo("""
                --- a/quay/Berth.java
                +++ b/quay/Berth.java
                @@ -4,4 +4,35 @@
                     Berth(String name, int depth) { this(name, depth, 30); }
                     Berth(String name, int depth, int length) { this(name, depth, length, false); }
                     Berth(String name, int depth, int length, boolean tidal) { }
                +
                +    /** Builds a Berth: required parts first, optional ones by name. */
                +    static final class Builder {
                +        private final String name;
                +        private int depth;
                +        private int length;
                +        private boolean tidal;
                +
                +        Builder(String name) {
                +            this.name = name;
                +        }
                +
                +        Builder depth(int value) {
                +            this.depth = value;
                +            return this;
                +        }
                +
                +        Builder length(int value) {
                +            this.length = value;
                +            return this;
                +        }
                +
                +        Builder tidal(boolean value) {
                +            this.tidal = value;
                +            return this;
                +        }
                +
                +        Berth build() {
                +            return new Berth(name, depth, length, tidal);
                +        }
                +    }
                 }
                """);
    }

    @Test
    void berthByFactoryMethod() throws Change.Overlap {
        assertThat(sketch("telescoping-constructor", "factory-method", BERTH)).isEqualTo("""
                --- a/quay/Berth.java
                +++ b/quay/Berth.java
                @@ -4,4 +4,20 @@
                     Berth(String name, int depth) { this(name, depth, 30); }
                     Berth(String name, int depth, int length) { this(name, depth, length, false); }
                     Berth(String name, int depth, int length, boolean tidal) { }
                +
                +    static Berth of(String name) {
                +        return new Berth(name);
                +    }
                +
                +    static Berth withDepth(String name, int depth) {
                +        return new Berth(name, depth);
                +    }
                +
                +    static Berth withDepthAndLength(String name, int depth, int length) {
                +        return new Berth(name, depth, length);
                +    }
                +
                +    static Berth withDepthAndLengthAndMore(String name, int depth, int length, boolean tidal) {
                +        return new Berth(name, depth, length, tidal);
                +    }
                 }
                """);
    }

    @Test
    void rosterByNullObject() throws Change.Overlap {
        assertThat(sketch("null-check", "null-object", ROSTER)).isEqualTo("""
                --- /dev/null
                +++ b/quay/NoPilot.java
                @@ -0,0 +1,23 @@
                +package quay;
                +
                +/** Stands for no Pilot: answers every operation neutrally and holds no state. */
                +final class NoPilot extends Pilot {
                +    static final NoPilot INSTANCE = new NoPilot();
                +
                +    private NoPilot() {
                +    }
                +
                +    @Override
                +    void board() {
                +    }
                +
                +    @Override
                +    int trips() {
                +        return 0;
                +    }
                +
                +    @Override
                +    Pilot next() {
                +        return this;
                +    }
                +}
                --- a/quay/Roster.java
                +++ b/quay/Roster.java
                @@ -1,6 +1,6 @@
                 package quay;
                 class Roster {
                -    Pilot find(int t) { if (t > 3) { return null; } return new Pilot(); }
                +    Pilot find(int t) { if (t > 3) { return NoPilot.INSTANCE; } return new Pilot(); }
                 }
                 class Pilot { void board() { } int trips() { return 1; } Pilot next() { return this; } }
                 class Desk { Roster roster; void f() { Pilot p = roster.find(1); if (p != null) { p.board(); } } }
                """);
    }

    @Test
    void rosterByOptionalValue() throws Change.Overlap {
        assertThat(sketch("null-check", "optional-value", ROSTER)).isEqualTo("""
                --- a/quay/Roster.java
                +++ b/quay/Roster.java
                @@ -1,6 +1,10 @@
                 package quay;
                 class Roster {
                     Pilot find(int t) { if (t > 3) { return null; } return new Pilot(); }
                +
                +    java.util.Optional<Pilot> findIfAny(int t) {
                +        return java.util.Optional.ofNullable(find(t));
                +    }
                 }
                 class Pilot { void board() { } int trips() { return 1; } Pilot next() { return this; } }
                 class Desk { Roster roster; void f() { Pilot p = roster.find(1); if (p != null) { p.board(); } } }
                """);
    }

    @Test
    void officeByFactoryMethod() throws Change.Overlap {
        assertThat(sketch("conditional-instantiation", "factory-method", OFFICE)).isEqualTo("""
                --- a/quay/Office.java
                +++ b/quay/Office.java
                @@ -3,6 +3,10 @@
                     int n;
                     Permit issue(String kind) {
                         n++;
                +        return createPermit(kind);
                +    }
                +
                +    private Permit createPermit(String kind) {
                         switch (kind) {
                             case "light": return new Light();
                             case "heavy": return new Heavy();
                """);
    }

    @Test
    void officeByFactory() throws Change.Overlap {
        assertThat(sketch("conditional-instantiation", "factory", OFFICE)).isEqualTo("""
                --- /dev/null
                +++ b/quay/PermitFactory.java
                @@ -0,0 +1,12 @@
                +package quay;
                +
                +/** Decides which Permit to create. */
                +final class PermitFactory {
                +    Permit create(String kind) {
                +        switch (kind) {
                +            case "light": return new Light();
                +            case "heavy": return new Heavy();
                +            default: throw new IllegalArgumentException(kind);
                +        }
                +    }
                +}
                --- a/quay/Office.java
                +++ b/quay/Office.java
                @@ -3,11 +3,7 @@
                     int n;
                     Permit issue(String kind) {
                         n++;
                -        switch (kind) {
                -            case "light": return new Light();
                -            case "heavy": return new Heavy();
                -            default: throw new IllegalArgumentException(kind);
                -        }
                +        return permitFactory.create(kind);
                     }
                 }
                 interface Permit { }
                """);
    }

    @Test
    void officeByRegistry() throws Change.Overlap {
        assertThat(sketch("conditional-instantiation", "registry", OFFICE)).isEqualTo("""
                --- a/quay/Office.java
                +++ b/quay/Office.java
                @@ -3,12 +3,16 @@
                     int n;
                     Permit issue(String kind) {
                         n++;
                -        switch (kind) {
                -            case "light": return new Light();
                -            case "heavy": return new Heavy();
                -            default: throw new IllegalArgumentException(kind);
                +        var found = KIND_CREATORS.get(kind);
                +        if (found == null) {
                +            throw new IllegalArgumentException("unknown kind: " + kind);
                         }
                +        return found.get();
                     }
                +
                +    private static final Map<String, Supplier<Permit>> KIND_CREATORS = Map.of(
                +            "light", Light::new,
                +            "heavy", Heavy::new);
                 }
                 interface Permit { }
                 class Light implements Permit { }
                """);
    }
}
