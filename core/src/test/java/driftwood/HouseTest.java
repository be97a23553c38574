package driftwood;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.spi.ToolProvider;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/** The house as docs/architecture.md draws it, asked of the compiled classes. */
class HouseTest {
    /** A package may use those before it, and none behind it. */
    private static final List<String> ORDER = List.of("words", "pack", "source", "tree", "read", "program", "history", "smell", "pattern", "scan",
            "store", "refactor", "plan", "behaviour");
    private static final Path SOURCES = Path.of("src/main/java");
    private static final int MOST_LINES = 300;
    private static final int MOST_FILES = 25;
    /** One node kind a file, and one pattern a file. */
    private static final Set<String> LARGE = Set.of("driftwood.tree", "driftwood.pattern");
    private static final Pattern USE = Pattern.compile("\\s+(driftwood\\.\\S+)\\s+-> (\\S+)\\s.*");

    /** Which classes each class uses, by qualified names; nested ones count as those around them. */
    private static final Map<String, Set<String>> USES = new TreeMap<>();

    @BeforeAll
    static void look() {
        StringWriter told = new StringWriter();
        ToolProvider.findFirst("jdeps").orElseThrow().run(new PrintWriter(told, true), new PrintWriter(System.err, true), "--multi-release", "base",
                "-verbose:class", "-filter:none", "target/classes");
        told.toString().lines().map(USE::matcher).filter(Matcher::matches).forEach(use ->
                USES.computeIfAbsent(whole(use.group(1)), key -> new TreeSet<>()).add(whole(use.group(2))));
        assertThat(USES).hasSizeGreaterThan(300);
    }

    private static String whole(String name) {
        return name.contains("$") ? name.substring(0, name.indexOf('$')) : name;
    }

    private static String room(String name) {
        return name.substring(0, name.lastIndexOf('.'));
    }

    private static int floor(String name) {
        return ORDER.indexOf(name.split("\\.")[1]);
    }

    private static boolean isOurs(String name) {
        return name.startsWith("driftwood.") && !name.startsWith("driftwood.witness.");
    }

    @Test
    void everyPackageHasItsPlaceInTheOrder() {
        assertThat(USES.keySet()).allMatch(each -> floor(each) >= 0);
    }

    @Test
    void noPackageUsesOneBehindIt() {
        List<String> wrong = new ArrayList<>();
        USES.forEach((user, used) -> used.stream().filter(each -> isOurs(each) && floor(each) > floor(user))
                .forEach(each -> wrong.add(user + " uses " + each)));
        assertThat(wrong).isEmpty();
    }

    @Test
    void noPackagesUseEachOtherInACircle() {
        Map<String, Set<String>> rooms = new HashMap<>();
        USES.forEach((user, used) -> used.stream().filter(each -> isOurs(each) && !room(each).equals(room(user)))
                .forEach(each -> rooms.computeIfAbsent(room(user), key -> new TreeSet<>()).add(room(each))));
        List<String> circles = new ArrayList<>();
        for (String room : rooms.keySet()) {
            Set<String> reached = new TreeSet<>();
            Deque<String> next = new ArrayDeque<>(rooms.get(room));
            while (!next.isEmpty()) {
                String at = next.pop();
                if (reached.add(at)) {
                    next.addAll(rooms.getOrDefault(at, Set.of()));
                }
            }
            if (reached.contains(room)) {
                circles.add(room);
            }
        }
        assertThat(circles).isEmpty();
    }

    /** Asked of the byte code, so that texts and comments may have the words. */
    @Test
    void theCorePrintsNothingAndNeverExits() throws IOException {
        List<String> wrong = new ArrayList<>();
        try (Stream<Path> files = Files.walk(Path.of("target/classes"))) {
            for (Path file : files.filter(each -> each.toString().endsWith(".class")).toList()) {
                new ClassReader(Files.readAllBytes(file)).accept(new Looking(file.toString(), wrong), ClassReader.SKIP_DEBUG);
            }
        }
        assertThat(wrong).isEmpty();
    }

    private static final class Looking extends ClassVisitor {
        private static final Set<String> NEVER = Set.of("java/lang/System.out", "java/lang/System.err", "java/lang/System.exit",
                "java/lang/Runtime.exit", "java/lang/Runtime.halt", "java/lang/Throwable.printStackTrace");
        private final String file;
        private final List<String> wrong;

        Looking(String file, List<String> wrong) {
            super(Opcodes.ASM9);
            this.file = file;
            this.wrong = wrong;
        }

        private void used(String name) {
            if (NEVER.contains(name)) {
                wrong.add(file + " uses " + name);
            }
        }

        @Override
        public MethodVisitor visitMethod(int access, String name, String descriptor, String signature, String[] exceptions) {
            return new MethodVisitor(Opcodes.ASM9) {
                @Override
                public void visitFieldInsn(int opcode, String owner, String field, String type) {
                    used(owner + "." + field);
                }

                @Override
                public void visitMethodInsn(int opcode, String owner, String called, String type, boolean isInterface) {
                    used(owner + "." + called);
                }
            };
        }
    }

    @Test
    void filesAndPackagesStaySmall() {
        Map<String, String> sources = sources();
        List<String> wrong = new ArrayList<>();
        sources.forEach((file, text) -> {
            if (text.lines().count() > MOST_LINES) {
                wrong.add(file + " has " + text.lines().count() + " lines");
            }
        });
        sources.keySet().stream().filter(each -> !each.endsWith("package-info.java"))
                .collect(Collectors.groupingBy(each -> room(each.replaceFirst("\\.java$", "").replace('/', '.')), Collectors.counting()))
                .forEach((room, files) -> {
                    if (files > MOST_FILES && !LARGE.contains(room)) {
                        wrong.add(room + " has " + files + " files");
                    }
                });
        assertThat(wrong).isEmpty();
    }

    @Test
    void everyPackageSaysWhatItIsFor() {
        Set<String> rooms = USES.keySet().stream().map(HouseTest::room).collect(Collectors.toSet());
        assertThat(rooms).filteredOn(each -> !Files.exists(SOURCES.resolve(each.replace('.', '/')).resolve("package-info.java"))).isEmpty();
    }

    /** The many ways in which languages write a test become one node, in one place. */
    @Test
    void testsAreMadeInOnePlace() {
        assertThat(sources().entrySet().stream().filter(each -> each.getValue().matches("(?s).*new (NullTest|TypeTest|EqualityTest)\\(.*"))
                .map(Map.Entry::getKey)).containsExactly("driftwood/read/Normal.java");
    }

    /** Languages are known in their folders, in read and in refactor; behaviour has what runs a language in classes that say so in their names. */
    @Test
    void nobodyElseNamesALanguage() {
        Pattern named = Pattern.compile("\"(java|python|csharp|javascript|typescript|php|ruby|kotlin)\"|\\b(Java|Python|CSharp|JavaScript|TypeScript|Php|Ruby|Kotlin)Language\\b");
        assertThat(sources().entrySet().stream().filter(each -> !each.getKey().startsWith("driftwood/read/")
                && !each.getKey().startsWith("driftwood/behaviour/") && !each.getKey().matches("driftwood/refactor/(java|python)/.*") && named.matcher(each.getValue()).find()).map(Map.Entry::getKey)).isEmpty();
    }

    /** What is said for people is read by people: facts travel beside it. Rendering is above the core. */
    @Test
    void nobodyReadsWhatIsSaidForPeople() {
        Pattern asking = Pattern.compile("\\b(note|message|does|because)\\(\\)(\\.\\w+\\(\\))*\\.(contains|startsWith|endsWith|matches|indexOf|split)\\(");
        assertThat(sources().entrySet().stream().filter(each -> asking.matcher(each.getValue()).find()).map(Map.Entry::getKey)).isEmpty();
    }

    /** The text of every source file, by its path. */
    private static Map<String, String> sources() {
        Map<String, String> texts = new TreeMap<>();
        try (Stream<Path> files = Files.walk(SOURCES)) {
            for (Path file : files.filter(each -> each.toString().endsWith(".java")).toList()) {
                texts.put(SOURCES.relativize(file).toString().replace('\\', '/'), Files.readString(file));
            }
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return texts;
    }
}
