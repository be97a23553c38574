package driftwood.scan;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.Finding;
import driftwood.smell.Seer;
import driftwood.source.SourceFinder;
import driftwood.source.Unread;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ScanTest {
    private static final String SMELLY = """
            package quay;
            class Desk%d {
                int sum;
                enum Kind { A, B }
                void f(Kind k) { switch (k) { case A: sum++; log(); break; case B: sum--; log(); break; } }
                void log() { }
            }
            """;

    @TempDir
    Path root;

    private Scan.Result scan(int threads) {
        return new Scan(Scan.Options.DEFAULT.only("type-switch").on(threads)).run(root, List.of(root));
    }

    @Test
    void findingsAreTheSameWithAnyNumberOfThreads() {
        for (int i = 0; i < 200; i++) {
            Given.write(root.resolve("quay/Desk" + i + ".java"), SMELLY.formatted(i));
        }
        Scan.Result one = scan(1);
        assertThat(one.findings()).hasSize(200).isEqualTo(scan(8).findings());
        assertThat(one.files()).hasSize(200);
    }

    @Test
    void anIdStaysWhenLinesMove() {
        Given.write(root.resolve("quay/Desk1.java"), SMELLY.formatted(1));
        Finding before = scan(1).findings().get(0);
        Given.write(root.resolve("quay/Desk1.java"), "// moved\n\n\n" + SMELLY.formatted(1));
        Finding after = scan(1).findings().get(0);
        assertThat(after.id()).isEqualTo(before.id()).matches("ts-[2-9a-z]{6}");
        assertThat(after.line()).isEqualTo(before.line() + 3);
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 7})
    void copiesOfOneTreeAreJudgedEachByItself(int copies) {
        for (int i = 0; i < copies; i++) {
            Given.write(root.resolve("copy" + i + "/quay/Kind.java"), "package quay; enum Kind { A, B }");
            Given.write(root.resolve("copy" + i + "/quay/Desk.java"), SMELLY.formatted(1).replace("enum Kind { A, B }", ""));
        }
        Scan.Result result = scan(1);
        assertThat(result.findings()).hasSize(copies).extracting(Finding::file).doesNotHaveDuplicates();
        assertThat(result.findings()).extracting(Finding::message).allMatch(each -> !each.contains("other chain"));
    }

    @Test
    void anotherTreeSeesWhatItDoesNotContradict() {
        Given.write(root.resolve("main/quay/Kind.java"), "package quay; enum Kind { A, B }");
        Given.write(root.resolve("main/quay/Desk.java"), "package quay; class Desk { }");
        Given.write(root.resolve("newer/quay/Desk.java"), SMELLY.replace("%d", "").replace("enum Kind { A, B }", ""));
        Scan.Result result = scan(1);
        assertThat(result.findings()).extracting(Finding::file).containsExactly("newer/quay/Desk.java");
        assertThat(result.around("newer/quay/Desk.java").program().type("quay.Kind")).isPresent();
        assertThat(result.program().type("quay.Desk").orElseThrow().file()).isEqualTo("main/quay/Desk.java");
    }

    @Test
    void equalSymbolsGetDifferentIds() {
        String twice = SMELLY.replace("void log() { }", "").replace("void f(Kind k) {", "void f(Kind k) { switch (k) "
                + "{ case A: sum++; log(); break; case B: sum--; log(); break; } log();");
        Given.write(root.resolve("Desk.java"), twice);
        assertThat(scan(1).findings()).hasSize(2).extracting(Finding::id).doesNotHaveDuplicates();
    }

    @Test
    void whatCannotBeReadIsListedAndTheRestIsRead() throws IOException {
        Given.write(root.resolve("quay/Desk1.java"), SMELLY.formatted(1));
        Files.write(root.resolve("Blob.java"), new byte[] {(byte) 0xCA, 0, 2});
        Given.write(root.resolve("Broken.java"), "class Broken { void f( }");
        Scan.Result result = scan(2);
        assertThat(result.findings()).hasSize(1);
        assertThat(result.unread()).extracting(Unread::file).contains("Blob.java", "Broken.java");
        assertThat(result.unread().get(0).why()).isEqualTo("not text (it holds zero bytes and is no UTF-8)");
    }

    @Test
    void otherEncodingsAreReadAndTold() throws IOException {
        Files.write(root.resolve("Cafe.java"), "class Caf\u00e9 { }".getBytes(StandardCharsets.ISO_8859_1));
        Scan.Result result = scan(1);
        assertThat(result.latin()).containsExactly("Cafe.java");
        assertThat(result.unread()).isEmpty();
        assertThat(result.program().type("Caf\u00e9")).isPresent();
    }

    @Test
    void expressionsNestedThousandsOfLevelsDeepAreRead() {
        Given.write(root.resolve("Deep.java"), "class Deep { int x = " + "(".repeat(5000) + "1" + ")".repeat(5000) + "; }");
        Given.write(root.resolve("Sum.java"), "class Sum { String x = \"a\"" + " + \"a\"".repeat(5000) + "; }");
        Scan.Result result = scan(1);
        assertThat(result.unread()).isEmpty();
        assertThat(result.files()).hasSize(2);
    }

    @Test
    void onlyTheSmellsAskedForAreLookedFor() {
        Given.write(root.resolve("quay/Desk1.java"), SMELLY.formatted(1));
        Scan.Options only = Scan.Options.DEFAULT.only("null-check").on(1);
        assertThat(new Scan(only).run(root, List.of(root)).findings()).isEmpty();
    }

    @Test
    void testCodeIsJudgedOnRequest() {
        Given.write(root.resolve("src/test/quay/Desk1.java"), SMELLY.formatted(1));
        assertThat(scan(1).findings()).isEmpty();
        Scan.Options tests = Scan.Options.DEFAULT.withTests().on(1);
        assertThat(new Scan(tests).run(root, List.of(root)).findings()).hasSize(1);
    }

    @Test
    void aFileThatCannotBeReadForAReasonOfOursCostsThatFileOnly() {
        Given.write(root.resolve("quay/Desk.java"), SMELLY.formatted(1));
        Given.write(root.resolve("quay/Broken.java"), "class Broken { }");
        List<String> kept = new ArrayList<>();
        Scan.Options options = Scan.Options.DEFAULT.only("type-switch").on(1).with((Mishaps) (what, problem) -> {
            kept.add(what);
            return "; see details";
        });
        Seer<String> failing = new Seer<>("failing", 1, String.class, file -> {
            if (file.file().path().endsWith("Broken.java")) {
                throw new IllegalStateException("boom");
            }
            return List.of();
        });
        Reading seeing = new Reading(List.of(failing), options);
        assertThat(seeing.see(new SourceFinder(root).find(List.of(root)).files())).extracting(each -> each.file().path())
                .containsExactly("quay/Desk.java");
        assertThat(seeing.unread()).containsExactly(new Unread("quay/Broken.java", 1, "a defect in Driftwood (IllegalStateException); see details"));
        assertThat(kept).containsExactly("quay/Broken.java");
    }

    @ParameterizedTest(name = "{0}")
    @ValueSource(strings = {"x = f\"{x:=10}\"\n", ">as", ">>>or", "unicode = unicode\nprint(unicode.x)\n", "a = b.c\nb = a.c\nb.c.d()\n"})
    void oddPythonEndsNoScan(String text) {
        Given.write(root.resolve("odd.py"), text);
        Scan.Result result = new Scan(Scan.Options.DEFAULT).run(root, List.of(root));
        assertThat(result.files()).hasSize(1);
        assertThat(result.unread()).noneMatch(each -> each.why().contains("defect"));
    }

    @Test
    void whatAProgramWroteIsReadAndSaidNotToBeJudged() {
        Given.write(root.resolve("quay/Desk1.java"), "// Generated by the harbour compiler. Do not edit.\n" + SMELLY.formatted(1));
        Given.write(root.resolve("quay/Desk2.java"), SMELLY.formatted(2));
        for (int i = 0; i < 2; i++) {
            Scan.Result result = scan(2);
            assertThat(result.findings()).extracting(Finding::file).containsExactly("quay/Desk2.java");
            assertThat(result.files()).extracting(Scan.Read::path, Scan.Read::aside, Scan.Read::test)
                    .containsExactlyInAnyOrder(org.assertj.core.groups.Tuple.tuple("quay/Desk1.java", true, false),
                            org.assertj.core.groups.Tuple.tuple("quay/Desk2.java", false, false));
        }
    }
}
