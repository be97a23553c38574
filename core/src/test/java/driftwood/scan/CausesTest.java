package driftwood.scan;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.smell.Finding;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What has one cause stands together and counts once. */
class CausesTest {
    @TempDir
    Path root;

    private List<List<Finding>> together(String source) throws Exception {
        Files.writeString(root.resolve("Quay.java"), source);
        return Causes.together(new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root)).findings());
    }

    private static List<String> smells(List<Finding> group) {
        return group.stream().map(Finding::smell).toList();
    }

    @Test
    void overloadsThatHandOverTheSame() throws Exception {
        List<List<Finding>> groups = together("""
                class Quay {
                    void moor(String ship, int berth, int draught, int length, String flag, boolean pilot) { System.out.println(ship); }
                    void moor(String ship, int berth, int draught, int length, String flag, boolean pilot, int tugs) { System.out.println(ship + tugs); }
                    void bill(String payer, int tons, int days, int rate, String code, boolean paid) { System.out.println(payer); }
                }
                """);
        assertThat(groups).hasSize(2);
        assertThat(groups.stream().map(List::size)).containsExactlyInAnyOrder(2, 1);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"Quay|int berth, int draught, int length, String cargo, String agent, boolean tidal|1",
            "Quay|int fee, int days, int rate, String code, boolean paid, int berth|2", "Roads|int berth, int draught, int length, String cargo, String agent, boolean tidal|2"})
    void routinesOfOneTypeThatHaveHalfOfTheirParametersInCommon(String type, String parameters, int causes) throws Exception {
        String other = "void shift(" + parameters + ") { System.out.println(berth); }";
        assertThat(together("class Quay { void moor(String ship, int berth, int draught, int length, String flag, boolean pilot) { System.out.println(ship); }"
                + (type.equals("Quay") ? other + "}" : "} class Roads { " + other + "}"))).hasSize(causes);
    }

    @Test
    void chainsThatAskForTypesOfOneHierarchy() throws Exception {
        assertThat(together("""
                abstract class Ship { int tons; }
                class Tug extends Ship { }
                class Ferry extends Ship { }
                class Barge extends Ship { }
                class Liner extends Ship { }
                class Desk {
                    int sum;
                    void bill(Ship ship) {
                        if (ship instanceof Tug) { sum += ship.tons; System.out.println("tug"); } else if (ship instanceof Ferry) { sum += 2; System.out.println("ferry"); }
                    }
                    void berth(Ship ship) {
                        if (ship instanceof Barge) { sum -= ship.tons; System.out.println("barge"); } else if (ship instanceof Liner) { sum -= 2; System.out.println("liner"); }
                    }
                }
                """)).hasSize(1);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"String ship, int berth, int draught, int length, String flag, boolean pilot|1", "String ship, int length, int draught, int berth, String flag, boolean tug|2"})
    void theSameParametersInTwoTypes(String parameters, int causes) throws Exception {
        assertThat(together("interface Quay { void moor(String ship, int berth, int draught, int length, String flag, boolean pilot); }\ninterface Roads { void anchor(" + parameters + "); }\n")).hasSize(causes);
    }

    @Test
    void chainsOnTheSameVariantsAndTheStateThatTheyBranchOn() throws Exception {
        List<List<Finding>> groups = together("""
                class Gate {
                    enum State { OPEN, SHUT, JAMMED }
                    private State state = State.SHUT;
                    private int count;
                    void push() {
                        switch (state) { case OPEN: count++; state = State.SHUT; break; case SHUT: count--; state = State.OPEN; break; default: }
                    }
                    void kick() {
                        switch (state) { case OPEN: count += 2; state = State.JAMMED; break; case JAMMED: count -= 2; state = State.OPEN; break; default: }
                    }
                }
                class Watch {
                    void look(Gate.State state) {
                        switch (state) { case OPEN: System.out.println("o"); System.out.println("p"); break; case SHUT: System.out.println("s"); System.out.println("t"); break; default: }
                    }
                    void tell(Gate.State state) {
                        switch (state) { case OPEN: System.out.println("1"); System.out.println("2"); break; case JAMMED: System.out.println("3"); System.out.println("4"); break; default: }
                    }
                }
                """);
        assertThat(groups).hasSize(1);
        assertThat(smells(groups.get(0))).contains("state-switch", "type-switch");
    }

    @ParameterizedTest
    @CsvSource({"form, 1", "other, 2"})
    void typesThatAreCopiedBetweenTheSamePackages(String second, int causes) throws Exception {
        String body = "{ int sum; void add(int tons) { sum += tons; System.out.println(sum); System.out.println(tons); }\nvoid less(int tons) { sum -= tons; System.out.println(sum); System.out.println(tons); } }";
        String other = body.replace("tons", "days").replace("sum", "all").replace("add", "go").replace("System.out.println(all);", "all++; System.out.println(all);");
        for (String folder : List.of("layout", "form", second)) {
            Files.createDirectories(root.resolve(folder));
        }
        for (String folder : List.of("layout", "form")) {
            Files.writeString(root.resolve(folder + "/Load.java"), "package " + folder + ";\npublic class Load " + body);
        }
        for (String folder : List.of("layout", second)) {
            Files.writeString(root.resolve(folder + "/Stay.java"), "package " + folder + ";\npublic class Stay " + other);
        }
        assertThat(together("class Nothing { }")).hasSize(causes);
    }

    /** A walk over parts that asks for each whether it is a container. */
    private static String walk(String name, String container) {
        return """
                    static int NAME(Part part) {
                        if (part instanceof CONTAINER) {
                            int sum = 0;
                            for (Part each : ((CONTAINER) part).parts) {
                                sum += NAME(each);
                            }
                            return sum;
                        }
                        return part.toString().length();
                    }
                """.replace("NAME", name).replace("CONTAINER", container);
    }

    @ParameterizedTest(name = "weight of {0}, price of {1}")
    @CsvSource({"Jetty, Jetty, 1", "Jetty, Raft, 2"})
    void walksThatAskForTheSameContainer(String one, String other, int causes) throws Exception {
        List<List<Finding>> groups = together("import java.util.*;\ninterface Part { }\nclass Plank implements Part { }\n"
                + "class Jetty implements Part { List<Part> parts = new ArrayList<>(); }\nclass Raft implements Part { List<Part> parts = new ArrayList<>(); }\n"
                + "class Weights {\n" + walk("weight", one) + "}\nclass Prices {\n" + walk("price", other) + "}\n");
        groups.removeIf(each -> !smells(each).contains("container-type-check"));
        assertThat(groups).hasSize(causes);
        assertThat(groups.stream().flatMap(List::stream)).hasSize(2);
    }

    @ParameterizedTest(name = "and a chain on kinds of {0}")
    @CsvSource({"Part, 1", "Gauge, 2"})
    void aChainThatHasTheContainerAmongItsKinds(String kinds, int causes) throws Exception {
        String chain = """
                class Labels {
                    void label(KINDS one) {
                        if (one instanceof FIRST) { System.out.println("first"); System.out.println(((FIRST) one).name()); }
                        else if (one instanceof SECOND) { System.out.println("second"); System.out.println(((SECOND) one).name()); }
                    }
                    void price(KINDS one) {
                        if (one instanceof FIRST) { System.out.println(1); System.out.println(((FIRST) one).name()); }
                        else if (one instanceof SECOND) { System.out.println(2); System.out.println(((SECOND) one).name()); }
                    }
                }
                """.replace("KINDS", kinds).replace("FIRST", kinds.equals("Part") ? "Jetty" : "Staff").replace("SECOND", kinds.equals("Part") ? "Plank" : "Float");
        List<List<Finding>> groups = together("import java.util.*;\ninterface Part { }\nclass Plank implements Part { String name() { return \"p\"; } }\n"
                + "interface Gauge { }\nclass Staff implements Gauge { String name() { return \"s\"; } }\nclass Float implements Gauge { String name() { return \"f\"; } }\n"
                + "class Jetty implements Part { List<Part> parts = new ArrayList<>(); String name() { return \"j\"; } }\n"
                + "class Weights {\n" + walk("weight", "Jetty") + "}\n" + chain);
        assertThat(groups.stream().flatMap(List::stream).map(Finding::smell).distinct()).contains("container-type-check", "type-switch");
        assertThat(groups).hasSize(causes);
    }

    @ParameterizedTest(name = "the second creates a {0}")
    @CsvSource({"Log, 1", "Radio, 2"})
    void clientsThatCreateTheSame(String second, int causes) throws Exception {
        String made = """
                class NAME { void put(String text) {
                    try { java.nio.file.Files.writeString(java.nio.file.Path.of("NAME"), text); } catch (java.io.IOException e) { throw new RuntimeException(e); } } }
                """;
        String client = """
                class CLIENT { void run(int n) { NAME it = new NAME(); it.put("a" + n); it.put("b"); if (n > 3) { it.put("c"); } } }
                """;
        List<List<Finding>> groups = together(made.replace("NAME", "Log") + made.replace("NAME", "Radio")
                + client.replace("CLIENT", "Desk").replace("NAME", "Log") + client.replace("CLIENT", "Gate").replace("NAME", second));
        groups.removeIf(each -> !smells(each).contains("hard-coded-instantiation"));
        assertThat(groups).hasSize(causes);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {"four side by side | int first, int at, int to, int step, String a, String b | 1", "three side by side | int first, int at, int to, String a, int step, String b | 2"})
    void clumpsThatTravelThroughSeveralTypes(String what, String other, int causes) throws Exception {
        List<List<Finding>> groups = together("class Tides { void draw(int first, int at, int to, int step, boolean now, boolean then) { System.out.println(first); } }\n"
                + "class Charts { void measure(" + other + ") { System.out.println(at); } }");
        assertThat(groups).hasSize(causes);
    }

    @ParameterizedTest(name = "the second calls {0}")
    @CsvSource({"book, 1", "bill, 2"})
    void whoeverCrossesTheSame(String second, int causes) throws Exception {
        List<List<Finding>> groups = together("class Desk { void book(String vessel, String berth) { System.out.println(vessel); }\n"
                + "void bill(String vessel, String berth) { System.out.println(berth); } }\n"
                + "class Gate { void in(Desk desk, String vessel, String berth) { desk.book(berth, vessel); } }\n"
                + "class Radio { void hear(Desk desk, String vessel, String berth) { desk." + second + "(berth, vessel); } }");
        groups.removeIf(each -> !smells(each).contains("swapped-arguments"));
        assertThat(groups).hasSize(causes);
    }

    /** Overloads that take the same object apart. */
    @ParameterizedTest(name = "the second takes a {0} apart")
    @CsvSource({"Berth, 1", "Lock, 2"})
    void routinesThatTakeThePartsOfOneType(String second, int causes) throws Exception {
        String body = "{ int sum = each.getDepth() * each.getLength() + each.getRate(); if (sum > 9) { sum -= each.getFee(); } return sum; }";
        String parts = "{ private int depth, length, rate, fee; int getDepth() { return depth; } int getLength() { return length; } int getRate() { return rate; } int getFee() { return fee; } }\n";
        assertThat(together("class Berth " + parts + "class Lock " + parts + "class Desk { int n; int dues(Berth each) " + body + "\nint fees(" + second + " each) " + body.replace("9", "4").replace("sum", "all")
                + " }\n").stream().filter(each -> smells(each).contains("misplaced-behaviour"))).hasSize(causes);
    }

    /** Grids of the same words below different parents. */
    @ParameterizedTest(name = "by {0} and {1}")
    @CsvSource({"Day, Night, 1", "Wet, Dry, 2"})
    void gridsOfTheSameWordsAreOneChoice(String one, String other, int causes) throws Exception {
        StringBuilder source = new StringBuilder();
        for (String[] grid : new String[][] {{"Day", "Night", "Tug", "Barge", "Tariff"}, {one, other, "Yacht", "Ferry", "Notice"}}) {
            source.append("abstract class " + grid[4] + " { int n; abstract int quote(int n); }\n");
            for (int i = 0; i < 4; i++) {
                source.append("class " + grid[i / 2] + grid[2 + i % 2] + grid[4] + " extends " + grid[4] + " { int quote(int n) { int sum = n * " + (i % 2 + 2) + "; sum += 4; return sum; } "
                        + "void more(int k) { n += k; n *= " + (i / 2 + 2) + "; n -= k; } }\n");
            }
        }
        assertThat(together(source.toString()).stream().filter(each -> smells(each).contains("subclass-explosion"))).hasSize(causes);
    }

    @Test
    void aGroupKeepsTheOrderAndLosesNothing() throws Exception {
        Files.writeString(root.resolve("Quay.java"), "interface Quay { void moor(String ship, int berth, int draught, int length, String flag, boolean pilot); }\n"
                + "class Bill { Bill(String payer) { this(payer, 1); } Bill(String payer, int tons) { this(payer, tons, 2); }\n"
                + "Bill(String payer, int tons, int days) { this(payer, tons, days, false); } Bill(String payer, int tons, int days, boolean paid) { } }\n"
                + "interface Roads { void anchor(String ship, int berth, int draught, int length, String flag, boolean pilot); }\n");
        List<Finding> all = new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root)).findings();
        List<List<Finding>> groups = Causes.together(all);
        assertThat(groups.stream().flatMap(List::stream)).containsExactlyInAnyOrderElementsOf(all);
        assertThat(groups.stream().map(each -> each.get(0)).toList()).isSubsetOf(all).isSortedAccordingTo((a, b) -> all.indexOf(a) - all.indexOf(b));
        assertThat(groups).anySatisfy(each -> assertThat(smells(each)).containsExactly("long-parameter-list", "long-parameter-list"));
    }

    @Test
    void theCauseIsTheFirstOfItsGroup() throws Exception {
        List<List<Finding>> groups = together("interface Quay { void moor(String ship, int berth, int draught, int length, String flag, boolean pilot);\n"
                + "void leave(String ship, int berth, int draught, int length, String flag, boolean pilot); }");
        List<Finding> all = groups.stream().flatMap(List::stream).toList();
        Map<String, String> causes = Causes.of(groups);
        assertThat(causes).hasSize(2).allSatisfy((id, cause) -> assertThat(cause).isEqualTo(all.get(0).id()));
    }

    @Test
    void chainsOfOneRoutineOnOneValue() throws Exception {
        assertThat(together("""
                class Quay {
                    int sum;
                    void enter(String kind, int tons) {
                        if (kind.equals("tug")) { note(tons); sum += tons; } else if (kind.equals("ferry")) { note(2); sum -= tons; }
                        sum++;
                        note(sum);
                        if (kind.equals("barge")) { note(tons * 3); sum += 9; } else if (kind.equals("liner")) { note(7); sum -= 1; }
                    }
                    void note(int n) { System.out.println(n); }
                }
                """)).singleElement().satisfies(group -> assertThat(smells(group)).containsExactly("type-switch", "type-switch"));
    }

    @ParameterizedTest
    @CsvSource({"load, load, 1", "load, check, 2"})
    void constructorsThatCallAnOverridableRoutineOfOneName(String one, String other, int causes) throws Exception {
        String made = """
                class %1$s { %1$s() { %2$s(); } void %2$s() { } }
                class Small%1$s extends %1$s { int n; @Override void %2$s() { n = 3; } }
                """;
        assertThat(together(made.formatted("Chart", one) + made.formatted("Almanac", other)).stream().filter(each ->
                each.get(0).smell().equals("constructor-work"))).hasSize(causes);
    }

    /** Two that carry out one routine do not count each other, but both do the same as a third. */
    @Test
    void chainsThatDoTheSameAsOthersOfACause() throws Exception {
        String chain = "if (kind.equals(\"out\")) { sum += 2; System.out.println(sum); } else if (kind.equals(\"err\")) { sum -= 2; System.out.println(-sum); }"
                + " else if (kind.equals(\"log\")) { sum *= 2; System.out.println(sum + 1); }";
        List<List<Finding>> groups = together("""
                abstract class Reader { int sum; abstract void take(String kind); }
                class Near extends Reader { void take(String kind) { %1$s } }
                class Far extends Reader { void take(String kind) { %1$s } }
                class Desk { int sum; void told(String kind) { %1$s } }
                """.formatted(chain));
        assertThat(groups.stream().filter(each -> smells(each).contains("type-switch"))).hasSize(1);
    }
}
