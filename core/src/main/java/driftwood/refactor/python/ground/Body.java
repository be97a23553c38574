package driftwood.refactor.python.ground;

import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The statements of a block, with the comments around them.
 *
 * @param module     its file
 * @param from       offset of the first line, or of the first statement where it stands behind a colon
 * @param to         offset behind the last line or statement
 * @param statements in order, at least one
 * @param notes      comments on the line of the colon before it, and right above that line
 */
public record Body(Module module, int from, int to, List<Cst> statements, List<String> notes) {
    private static final Set<String> LOOPS = Set.of("for_statement", "while_statement");
    private static final Set<String> SCOPES = Set.of("function_definition", "class_definition", "lambda");
    private static final Set<String> WAITING = Set.of("yield", "await");

    /** A block. @param header offset from which the colon before it is looked for */
    static Body of(Module module, Cst block, int header) {
        List<Cst> all = block.inner();
        Cst first = all.get(0);
        Cst last = all.get(all.size() - 1);
        if (!module.beginsLine(first.start())) {
            return new Body(module, first.start(), last.end(), all, List.of());
        }
        int colon = module.text().indexOf(':', header);
        String said = module.text().substring(colon + 1, module.lineEnd(colon)).strip();
        return new Body(module, module.lineEnd(colon), behind(module, last), all, said.startsWith("#") ? List.of(said) : List.of());
    }

    /** The same, with the comments that stand right above a line. @param offset in the line */
    Body noted(int offset) {
        List<String> all = new ArrayList<>(notes);
        int at = module.lineStart(offset);
        while (at > 0 && module.text().substring(module.lineStart(at - 1), at).strip().startsWith("#")
                && module.indentAt(at - 1).equals(module.indentAt(offset))) {
            at = module.lineStart(at - 1);
            all.add(0, module.text().substring(at, module.lineEnd(at)).strip());
        }
        return new Body(module, from, to, statements, all);
    }

    private String noted(String indent) {
        return notes.stream().map(each -> indent + each + module.newLine()).collect(Collectors.joining());
    }

    /** Statements that follow one another. */
    public static Body of(Module module, List<Cst> statements) {
        Cst first = statements.get(0);
        return new Body(module, module.beginsLine(first.start()) ? module.lineStart(first.start()) : first.start(), behind(module, statements.get(statements.size() - 1)), statements, List.of());
    }

    /** Behind the line of a statement, and behind comments that stand as deep as it does. */
    private static int behind(Module module, Cst last) {
        String indent = module.indentAt(last.start());
        int end = module.lineEnd(Math.max(last.start(), last.end() - 1));
        while (end < module.text().length() && module.text().startsWith(indent + "#", end) && !indent.isEmpty()) {
            end = module.lineEnd(end);
        }
        return end;
    }

    /** Its lines at another indentation, without the last line end. */
    public String moved(String indent) {
        return noted(indent) + (module.beginsLine(statements.get(0).start()) ? module.moved(module.lineStart(from), to, indent) : indent + module.text().substring(from, to).strip());
    }

    /** The same, where the last statement gives a local its value: that is given back instead. */
    public String returning(String indent, String local) {
        Cst last = statements.get(statements.size() - 1);
        Optional<Cst> value = Outcome.assigned(module, last, local);
        if (value.isEmpty()) {
            return moved(indent) + (exits() ? "" : module.newLine() + indent + "return " + local.replaceFirst(" .*", ""));
        }
        String before = !module.beginsLine(last.start()) ? "" : module.moved(module.lineStart(from), module.lineStart(last.start()), indent);
        String said = module.text().substring(last.start(), value.get().start());
        String end = module.beginsLine(last.start()) ? module.moved(module.lineStart(last.start()), to, indent) : indent + module.text(last);
        return noted(indent) + before + (before.isEmpty() ? "" : module.newLine()) + indent + "return " + end.substring(indent.length() + said.length());
    }

    /**
     * The same with some stretches replaced, in a copy of its file.
     *
     * @param edits in the order of the text, inside it, none on another
     */
    public Body edited(List<Edit> edits) {
        StringBuilder text = new StringBuilder(module.text());
        for (int i = edits.size() - 1; i >= 0; i--) {
            text.replace(edits.get(i).from(), edits.get(i).to(), edits.get(i).with());
        }
        int behind = to + text.length() - module.text().length();
        Module copy = new Module(module.file(), text.toString(), module.isTest());
        int start = statements.get(0).start();
        for (Cst each : copy.path(start)) {
            List<Cst> same = each.inner().stream().filter(inner -> start <= inner.start() && inner.end() <= behind).toList();
            if (!same.isEmpty() && same.get(0).start() == start && (each.is("block") || each.is("module"))) {
                return new Body(copy, from, behind, same, notes);
            }
        }
        throw new Refused("the code at line " + module.line(start) + " cannot be taken apart");
    }

    /** A stretch that is replaced. */
    public record Edit(int from, int to, String with) {
    }

    public Names names() {
        return Names.of(module, statements);
    }

    /** Whether what follows it is never reached from it. */
    public boolean exits() {
        return exits(statements);
    }

    private static boolean exits(List<Cst> statements) {
        if (statements.isEmpty()) {
            return false;
        }
        Cst last = statements.get(statements.size() - 1);
        return switch (last.kind()) {
            case "return_statement", "raise_statement", "continue_statement", "break_statement" -> true;
            case "if_statement" -> last.parts("alternative").stream().anyMatch(each -> each.is("else_clause"))
                    && last.part("consequence").filter(each -> exits(each.inner())).isPresent()
                    && last.parts("alternative").stream().allMatch(each -> each.part(each.is("else_clause") ? "body" : "consequence").filter(block -> exits(block.inner())).isPresent());
            case "with_statement" -> last.part("body").filter(each -> exits(each.inner())).isPresent();
            default -> false;
        };
    }

    /** Whether its last statement gives something its value, or throws. @param stored with the sign */
    public boolean endsBySetting(String stored) {
        Cst last = statements.get(statements.size() - 1);
        return last.is("raise_statement") || Outcome.assigned(module, last, stored).isPresent();
    }

    /** Whether a value is given back anywhere in it. */
    public boolean returnsValue() {
        return statements.stream().anyMatch(each -> has(each, node -> node.is("return_statement") && !node.inner().isEmpty(), Set.of()));
    }

    /** Whether the function is left anywhere in it. */
    public boolean returns() {
        return statements.stream().anyMatch(each -> has(each, node -> node.is("return_statement"), Set.of()));
    }

    /** Whether it leaves a loop that is around it, or goes on to its next round. */
    public boolean jumps() {
        return statements.stream().anyMatch(each -> has(each, node -> node.is("break_statement") || node.is("continue_statement"), LOOPS));
    }

    /** Whether it gives control away in the middle. */
    public boolean waits() {
        return statements.stream().anyMatch(each -> has(each, node -> WAITING.contains(node.kind()), Set.of()) || module.text(each).startsWith("async"));
    }

    /** Whether something that is not a plain local is given another value. @param target as written */
    public boolean sets(String target) {
        return statements.stream().flatMap(each -> Stream.concat(Module.all(each, "assignment").stream(), Module.all(each, "augmented_assignment").stream()))
                .anyMatch(each -> each.part("left").map(module::text).orElse("").equals(target));
    }

    /** Whether a lambda, comprehension or function in it has one of some names for itself. */
    public boolean hides(Set<String> names) {
        return statements.stream().flatMap(each -> Stream.of("lambda", "function_definition", "for_in_clause").flatMap(kind -> Module.all(each, kind).stream()))
                .map(each -> each.part("parameters").or(() -> each.part("left"))).flatMap(Optional::stream).flatMap(each -> Module.all(each, "identifier").stream())
                .map(module::text).anyMatch(names::contains);
    }

    /** Whether one of some names is said in it. */
    public boolean says(Set<String> words) {
        return statements.stream().flatMap(each -> Module.all(each, "identifier").stream()).map(module::text).anyMatch(words::contains);
    }

    private static boolean has(Cst node, java.util.function.Predicate<Cst> wanted, Set<String> barred) {
        return wanted.test(node) || !SCOPES.contains(node.kind()) && !barred.contains(node.kind()) && node.inner().stream().anyMatch(each -> has(each, wanted, barred));
    }
}
