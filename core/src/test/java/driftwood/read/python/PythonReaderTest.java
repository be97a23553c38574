package driftwood.read.python;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.read.AssignedFields.Told;
import driftwood.program.Outline;
import driftwood.program.OutlineBuilder;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.read.FileTree;
import driftwood.source.SourceFinder;
import driftwood.source.SourceText;
import driftwood.tree.*;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PythonReaderTest {
    @TempDir
    Path root;

    private FileTree tree(String text) throws Exception {
        Given.write(root.resolve("desk.py"), text);
        List<FileTree> trees = new ArrayList<>();
        SourceText source = SourceText.read(new SourceFinder(root).find(List.of(root.resolve("desk.py"))).files().get(0));
        new PythonReader().read(List.of(source), trees::add);
        return trees.get(0);
    }

    private Program program(String... filesAndTexts) throws Exception {
        for (int i = 0; i < filesAndTexts.length; i += 2) {
            Given.write(root.resolve(filesAndTexts[i]), filesAndTexts[i + 1]);
        }
        List<SourceText> sources = new ArrayList<>();
        for (var file : new SourceFinder(root).find(List.of(root)).files()) {
            sources.add(SourceText.read(file));
        }
        List<Outline> outlines = new ArrayList<>();
        new PythonReader().read(sources, each -> outlines.add(OutlineBuilder.of(each)));
        return Program.link(outlines);
    }

    /** The first node of a kind in {@code def f(v): return <code>}. */
    private Node value(String code) throws Exception {
        FileTree tree = tree("def f(v, w=None):\n    return " + code + "\n");
        return Search.all(tree.unit(), Return.class).get(0).value().orElseThrow();
    }

    @ParameterizedTest(name = "{0} is a {1}")
    @CsvSource(delimiter = '|', quoteCharacter = '`', value = {
        "v is None|NullTest", "v is not None|NullTest", "v == None|NullTest", "not v is None|NullTest",
        "isinstance(v, Tug)|TypeTest", "type(v) is Tug|TypeTest", "isinstance(v, (Tug, Yacht))|Binary",
        "v == 4|EqualityTest", "v != 4|EqualityTest", "v in (1, 2)|Binary", "v < 4|Binary", "1 < v < 4|Binary",
        "not v|Unary", "-v|Unary", "v and w|Binary", "v if w else 4|Conditional", "lambda x: x|Lambda",
        "Tug(v)|Creation", "quay.Tug(v)|Creation", "tug(v)|Call", "v.tow(w)|Call", "TUG(v)|Call", "v.depth|Member",
        "v[3]|Index", "'a'|Literal", "f'a{v}'|Binary", "4.5|Literal", "True|Literal", "None|Literal", "[x for x in v]|Loop",
        "(v)|Name", "await v|Name", "(v := w)|Assignment"})
    void expressionsBecomeTheNodesTheyStandFor(String code, String kind) throws Exception {
        assertThat(value(code).getClass().getSimpleName()).isEqualTo(kind);
    }

    @Test
    void negationsOfNothingAreOneTest() throws Exception {
        assertThat(((NullTest) value("v is not None")).negated()).isTrue();
        assertThat(((NullTest) value("not v is None")).negated()).isTrue();
        assertThat(((NullTest) value("v is None")).negated()).isFalse();
    }

    @Test
    void offsetsAreInCharactersWhateverTheText() throws Exception {
        FileTree tree = tree("# ünïcode 😀\ndef f(v):\n    return 'é😀' + v.depth\n");
        Member member = Search.all(tree.unit(), Member.class).get(0);
        assertThat(member.text(tree.source().text())).isEqualTo("v.depth");
        assertThat(tree.line(member)).isEqualTo(3);
    }

    @Test
    void whatIsNotUnderstoodIsToldAndTheRestIsRead() throws Exception {
        FileTree tree = tree("class Berth:\n    def ok(self):\n        return 4\n\ndef broken(:\n    )(\n\nclass Tug:\n    pass\n");
        assertThat(tree.unread()).isNotEmpty();
        assertThat(Search.all(tree.unit(), TypeDeclaration.class)).extracting(TypeDeclaration::name).contains("Berth");
    }

    @Test
    void aModuleIsATypeWithItsClassesInside() throws Exception {
        Program program = program("quay/__init__.py", "", "quay/desk.py", "LIMIT = 4\nclass Desk:\n    pass\ndef open(): pass\n");
        TypeOutline module = program.type("quay.desk").orElseThrow();
        assertThat(module.isModule()).isTrue();
        assertThat(module.routines()).extracting(RoutineOutline::name).containsExactly("open");
        assertThat(module.field("LIMIT")).isPresent();
        assertThat(program.type("quay.desk.Desk").orElseThrow().outer()).isEqualTo("quay.desk");
    }

    @Test
    void fieldsAreWhatTheConstructorAssigns() throws Exception {
        Program program = program("desk.py", "class Desk:\n    SIZE = 4\n    def __init__(self, roster: Roster, n):\n        self.roster = roster\n"
                + "        self.tug = Tug()\n        self.last = None\n        self.n = n\n    def go(self):\n        self.late = Pilot()\n        self.due: list[Leg] = []\n");
        TypeOutline desk = program.type("desk.Desk").orElseThrow();
        assertThat(desk.fields()).extracting(each -> each.name() + ":" + each.type().text())
                .containsExactly("SIZE:", "roster:Roster", "tug:Tug", "last:", "n:", "late:Pilot", "due:list<Leg>");
        assertThat(desk.constructors().get(0).parameters()).hasSize(2);
    }

    @Test
    void dataClassesEnumsProtocolsAndAbstractOnesAreKnown() throws Exception {
        Program program = program("kinds.py", "@dataclass\nclass Leg:\n    start: str\n    miles: int = 4\nclass Kind(Enum):\n    TUG = 1\n    YACHT = 2\n"
                + "class Port(Protocol):\n    def open(self): ...\nclass Base(ABC):\n    @abstractmethod\n    def go(self): pass\n");
        TypeOutline leg = program.type("kinds.Leg").orElseThrow();
        assertThat(leg.constructors().get(0).parameters()).extracting(RoutineOutline.ParameterOutline::optional)
                .containsExactly(false, true);
        assertThat(program.type("kinds.Kind").orElseThrow().constants()).containsExactly("TUG", "YACHT");
        assertThat(program.type("kinds.Port").orElseThrow().isInterface()).isTrue();
        assertThat(program.type("kinds.Base").orElseThrow().isConcrete()).isFalse();
    }

    @Test
    void namesAreResolvedThroughImportsAliasesAndReexports() throws Exception {
        Program program = program("quay/__init__.py", "from .tide import Gauge\n", "quay/tide.py", "class Gauge:\n    def depth(self): return 4\n",
                "a.py", "from quay import Gauge as G\nclass A:\n    def go(self):\n        g = G()\n        return g.depth()\n",
                "b.py", "import quay.tide\nclass B:\n    def go(self, g: quay.tide.Gauge):\n        return g.depth()\n");
        for (String type : List.of("a.A", "b.B")) {
            Outline file = program.fileOf(program.type(type).orElseThrow());
            assertThat(program.routinesAt(file.calls().get(file.calls().size() - 1).trail(), type))
                    .extracting(RoutineOutline::owner).containsExactly("quay.tide.Gauge");
        }
    }

    @Test
    void aBareCallMeansTheModuleAndNeverTheObjectItself() throws Exception {
        Program program = program("desk.py", "def log(x): pass\nclass Desk:\n    def log(self, x): pass\n    def go(self):\n        log(4)\n");
        Outline file = program.outlines().get(0);
        assertThat(program.routinesAt(file.calls().get(0).trail(), "desk.Desk")).extracting(RoutineOutline::owner)
                .containsExactly("desk");
    }

    @ParameterizedTest(name = "{0} is {1}, nullable {2}")
    @CsvSource(delimiter = ';', value = {"Berth;Berth;false", "Optional[Berth];Berth;true", "Berth | None;Berth;true",
        "'Berth';Berth;false", "Annotated[Berth, 4];Berth;false", "list[Berth];list<Berth>;false", "dict[str, list[Berth]];dict<str,list<Berth>>;false",
        "Union[Berth, None];Berth;true", "Final[int];int;false", "A | B;'';false"})
    void annotationsAreTypes(String written, String type, boolean nullable) {
        Told annotated = PythonTypes.of(written);
        assertThat(annotated.type().text()).isEqualTo(type == null ? "" : type);
        assertThat(annotated.nullable()).isEqualTo(nullable);
    }
}
