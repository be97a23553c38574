package driftwood.read.java;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.read.FileTree;
import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import driftwood.tree.*;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class JavaReaderTest {

    private static FileTree read(String text) {
        List<FileTree> trees = new ArrayList<>();
        SourceFile file = new SourceFile("Gate.java", Path.of("Gate.java"), Given.JAVA, false);
        new JavaReader().read(List.of(new SourceText(file, text, false)), trees::add);
        return trees.get(0);
    }

    private static TypeDeclaration type(String text) {
        return (TypeDeclaration) read(text).unit().members().get(0);
    }

    private static Node expression(String code) {
        TypeDeclaration type = type("class Gate { Object x = " + code + "; }");
        return ((Field) type.members().get(0)).initial().orElseThrow();
    }

    private static List<Node> statements(String code) {
        TypeDeclaration type = type("class Gate { void f(Object o) { " + code + " } }");
        return ((Routine) type.members().get(0)).body().orElseThrow().statements();
    }

    static Stream<Arguments> questions() {
        return Stream.of(
                Arguments.of("v == null", NullTest.class), Arguments.of("null != v", NullTest.class),
                Arguments.of("!(v == null)", NullTest.class), Arguments.of("Objects.isNull(v)", NullTest.class),
                Arguments.of("java.util.Objects.hash(v)", Call.class),
                Arguments.of("v instanceof Tug", TypeTest.class), Arguments.of("v instanceof Tug t", TypeTest.class),
                Arguments.of("v.getClass() == Tug.class", TypeTest.class),
                Arguments.of("Tug.class == v.getClass()", TypeTest.class),
                Arguments.of("Tug.class.isInstance(v)", TypeTest.class),
                Arguments.of("kind == Kind.TUG", EqualityTest.class), Arguments.of("\"a\".equals(b)", EqualityTest.class),
                Arguments.of("Objects.equals(a, b)", EqualityTest.class),
                Arguments.of("a.equalsIgnoreCase(b)", EqualityTest.class), Arguments.of("!a.equals(b)", EqualityTest.class),
                Arguments.of("!(v instanceof Tug)", Unary.class), Arguments.of("a < b", Binary.class));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("questions")
    void theManyWaysToAskBecomeOneNode(String code, Class<? extends Node> kind) {
        assertThat(expression(code)).isInstanceOf(kind);
    }

    static Stream<Arguments> expressions() {
        return Stream.of(
                Arguments.of("new Tug(\"Ada\", 4)", Creation.class), Arguments.of("new int[] {1, 2}", Creation.class),
                Arguments.of("a.b.c", Member.class), Arguments.of("a[3]", Index.class), Arguments.of("(Tug) v", Cast.class),
                Arguments.of("a ? b : c", Conditional.class), Arguments.of("() -> 3", Lambda.class),
                Arguments.of("Vessel::dues", Lambda.class), Arguments.of("a += 2", Assignment.class),
                Arguments.of("i++", Unary.class), Arguments.of("Tug.class", Literal.class), Arguments.of("(((a)))", Name.class),
                Arguments.of("switch (a) { case 1 -> 2; default -> 3; }", Match.class));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("expressions")
    void eachExpressionHasItsNode(String code, Class<? extends Node> kind) {
        assertThat(expression(code)).isInstanceOf(kind);
    }

    @Test
    void doubleNegationOfATestForNothingIsResolved() {
        assertThat(((NullTest) expression("!(v != null)")).negated()).isFalse();
        assertThat(((EqualityTest) expression("!(a != b)")).negated()).isFalse();
    }

    @Test
    void constructorReferencesAreCreations() {
        Lambda lambda = (Lambda) expression("Tug::new");
        assertThat(lambda.body()).isInstanceOf(Creation.class);
    }

    @Test
    void positionsCoverTheSourceOfANode() {
        String text = "class Gate { Object x = a.f(1) + 2; }";
        Node sum = ((Field) type(text).members().get(0)).initial().orElseThrow();
        assertThat(sum.text(text)).isEqualTo("a.f(1) + 2");
    }

    @Test
    void aDeclarationBeginsBehindItsAnnotations() {
        FileTree file = read("""
                class Gate {
                    @Deprecated
                    @SuppressWarnings("x")
                    void shut() { }
                }
                """);
        Node routine = ((TypeDeclaration) file.unit().members().get(0)).members().get(0);
        assertThat(file.line(routine)).isEqualTo(4);
        assertThat(((Routine) routine).traits().isDeprecated()).isTrue();
    }

    @Test
    void recordsHaveComponentsAndFields() {
        TypeDeclaration type = type("record Leg(String from, int miles) { static int n; Leg { n++; } }");
        assertThat(type.components()).extracting(Parameter::name).containsExactly("from", "miles");
        assertThat(type.members()).filteredOn(Field.class::isInstance).hasSize(3);
        Routine compact = (Routine) type.members().stream().filter(Routine.class::isInstance).findFirst().orElseThrow();
        assertThat(compact.kind()).isEqualTo(RoutineKind.CONSTRUCTOR);
        assertThat(compact.parameters()).hasSize(2);
    }

    @Test
    void enumConstantsAreNoFields() {
        TypeDeclaration type = type("enum Kind { TUG(4) { int f() { return 1; } }, YACHT; static Kind last; Kind() { } Kind(int n) { } }");
        assertThat(type.members()).filteredOn(EnumConstant.class::isInstance)
                .extracting(each -> ((EnumConstant) each).name()).containsExactly("TUG", "YACHT");
        assertThat(type.members()).filteredOn(Field.class::isInstance).hasSize(1);
    }

    @Test
    void sealedTypesNameWhatTheyPermit() {
        TypeDeclaration type = type("sealed interface Vessel permits Tug, Yacht { } ");
        assertThat(type.permitted()).extracting(TypeRef::text).containsExactly("Tug", "Yacht");
        assertThat(type.traits().has(driftwood.tree.Mark.SEALED)).isTrue();
    }

    @Test
    void typesAreWrittenWithoutBlanksAndAnnotations() {
        Field field = (Field) type("class G { java.util.Map<String, ? extends List<int[]>> x; }").members().get(0);
        assertThat(field.type().text()).isEqualTo("java.util.Map<String,?extendsList<int[]>>");
        assertThat(field.type().simpleName()).isEqualTo("Map");
        assertThat(field.type().arguments()).extracting(TypeRef::text).containsExactly("String", "List<int[]>");
    }

    @Test
    void oldAndNewSwitchesAreMatches() {
        Match old = (Match) statements("switch (o.hashCode()) { case 1: case 2: f(o); break; case 3: f(o); default: f(o); }").get(0);
        assertThat(old.arms()).extracting(Arm::fallsThrough).containsExactly(true, false, true, true);
        assertThat(old.arms()).extracting(Arm::isDefault).containsExactly(false, false, false, true);
        Match fresh = (Match) statements("switch (o.hashCode()) { case 1, 2 -> f(o); default -> { } }").get(0);
        assertThat(fresh.arms().get(0).labels()).hasSize(2);
        assertThat(fresh.arms().get(0).fallsThrough()).isFalse();
    }

    @Test
    void typePatternsInASwitchAreTypeTests() {
        Match match = (Match) statements("switch (o) { case String s -> f(s); case Integer i -> f(i); default -> { } }").get(0);
        assertThat(match.arms().get(0).labels().get(0)).isInstanceOfSatisfying(TypeTest.class, test -> {
            assertThat(test.type().text()).isEqualTo("String");
            assertThat(test.binding()).isEqualTo(Optional.of("s"));
        });
    }

    @Test
    void loopsSayWhatTheyAre() {
        List<Node> loops = statements("for (Object x : a) { } for (int i = 0; i < 3; i++) { } while (b) { } do { } while (b);");
        assertThat(loops).extracting(each -> ((Loop) each).kind())
                .containsExactly(LoopKind.EACH, LoopKind.COUNTED, LoopKind.WHILE, LoopKind.UNTIL);
    }

    @Test
    void whatHasNoCommonMeaningKeepsItsParts() {
        Node node = statements("synchronized (o) { f(o); }").get(0);
        List<String> calls = new ArrayList<>();
        new TreeScanner() {
            @Override
            public Void visitCall(Call call) {
                calls.add(call.name());
                return visitNode(call);
            }
        }.scan(node);
        assertThat(node).isInstanceOf(Other.class);
        assertThat(calls).containsExactly("f");
    }

    @Test
    void aFileWithAnErrorIsReadAsFarAsItGoes() {
        FileTree file = read("""
                class Gate {
                    void open() { }
                    int broken = ;
                    void shut() { }
                }
                """);
        assertThat(file.unread()).singleElement().satisfies(unread -> {
            assertThat(unread.line()).isEqualTo(3);
            assertThat(unread.why()).isEqualTo("syntax: illegal start of expression");
        });
        assertThat(((TypeDeclaration) file.unit().members().get(0)).members())
                .filteredOn(Routine.class::isInstance).hasSize(2);
    }

    @Test
    void textThatIsNoJavaAtAllIsUnreadAndNothingMore() {
        assertThat(read("Dear harbour master, ...").unread()).isNotEmpty();
        assertThat(read("").unread()).isEmpty();
    }

    @Test
    void everyNodeHandsItselfToItsOwnVisit() {
        List<String> seen = new ArrayList<>();
        TreeVisitor<Void> visitor = new TreeVisitor<>() {
            @Override
            public Void visitNode(Node node) {
                seen.add(node.getClass().getSimpleName());
                node.eachChild(child -> child.accept(this));
                return null;
            }
        };
        read("import java.util.List; class A { int f(int x) { try (R r = g()) { throw e; } finally { } } }").unit().accept(visitor);
        assertThat(seen).startsWith("Unit", "Import", "TypeDeclaration", "Routine", "Parameter", "Block", "Try")
                .contains("Throw", "Local", "Call");
    }
}
