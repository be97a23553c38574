package driftwood.read.ecmascript;

import driftwood.read.FileTree;
import driftwood.read.Unreadable;
import driftwood.read.sitter.Cst;
import driftwood.read.sitter.Grammar;
import driftwood.read.sitter.Grammar.Habits;
import driftwood.read.sitter.SitterReader;
import driftwood.source.SourceText;
import driftwood.tree.Unit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.treesitter.TreeSitterJavascript;
import org.treesitter.TreeSitterTsx;
import org.treesitter.TreeSitterTypescript;

/**
 * Reads JavaScript or TypeScript. A file becomes a type that holds its functions and values, with its classes nested inside:
 * {@code quay.office.Tug} is the class Tug of quay/office.ts.
 */
public final class EcmaReader extends SitterReader {
    private static final Habits HABITS = new Habits(
            Set.of("identifier", "comment", "html_comment", "hash_bang_line", "property_identifier", "private_property_identifier", "type_identifier",
                    "number", "string", "regex", "null", "undefined", "true", "false", "this", "super", "shorthand_property_identifier",
                    "shorthand_property_identifier_pattern", "accessibility_modifier", "override_modifier", "type_annotation", "type_arguments",
                    "optional_chain", "statement_identifier", "jsx_text", "meta_property", "nested_type_identifier", "predefined_type"),
            Set.of("program", "statement_block", "arguments", "expression_statement", "parenthesized_expression", "return_statement", "array", "object",
                    "class_heritage", "formal_parameters", "named_imports", "sequence_expression"),
            Set.of("comment", "html_comment", "hash_bang_line"), (kind, text, start) -> false);

    /** In the comments at the head of a file. */
    private static final Pattern FLOW = Pattern.compile("^\\s*(//|/?\\*+)\\s*@flow\\b", Pattern.MULTILINE);
    private static final int HEAD = 2000;
    /** Nobody writes a long file in lines of so many characters on average: a tool packed it. */
    private static final int PACKED_LINE = 500;
    private static final int PACKED = 20_000;

    /** Files with types and markup have a grammar of their own: a sharp bracket means something else there. */
    private static final String MARKED = ".tsx";

    private final Set<String> ruled;
    private final Optional<EcmaReader> marked;

    private EcmaReader(Supplier<Grammar> grammar, Set<String> ruled, Optional<EcmaReader> marked) {
        super(grammar);
        this.ruled = ruled;
        this.marked = marked;
    }

    static EcmaReader ofJavaScript() {
        return new EcmaReader(() -> new Grammar(Plain.pointer(), HABITS), with(EcmaRules.MARKUP), Optional.empty());
    }

    static EcmaReader ofTypeScript() {
        return new EcmaReader(() -> new Grammar(Typed.pointer(), HABITS), with(EcmaRules.TYPES), Optional.of(ofMarkedTypeScript()));
    }

    /** Only files with both. */
    public static EcmaReader ofMarkedTypeScript() {
        Set<String> own = new TreeSet<>(EcmaRules.TYPES);
        own.addAll(EcmaRules.MARKUP);
        own.removeAll(EcmaRules.NOT_WITH_TYPES);
        return new EcmaReader(() -> new Grammar(Marked.pointer(), HABITS), with(own), Optional.empty());
    }

    @Override
    public void read(List<SourceText> sources, Consumer<FileTree> take) {
        Map<Boolean, List<SourceText>> apart = sources.stream().collect(Collectors.partitioningBy(each ->
                marked.isPresent() && each.file().path().endsWith(MARKED)));
        if (!apart.get(false).isEmpty()) {
            super.read(apart.get(false), take);
        }
        if (!apart.get(true).isEmpty()) {
            marked.orElseThrow().read(apart.get(true), take);
        }
    }

    private static Set<String> with(Set<String> own) {
        Set<String> kinds = new TreeSet<>(EcmaRules.EXPRESSIONS.kinds());
        kinds.addAll(EcmaRules.STATEMENTS.kinds());
        kinds.removeAll(EcmaRules.TYPES);
        kinds.removeAll(EcmaRules.MARKUP);
        kinds.addAll(own);
        return kinds;
    }

    /** Hands out the grammar's address, which its class keeps for subclasses. */
    private static final class Plain extends TreeSitterJavascript {
        static Object pointer() {
            return new Plain().getPtr();
        }
    }

    /** The same for the other grammar. */
    private static final class Typed extends TreeSitterTypescript {
        static Object pointer() {
            return new Typed().getPtr();
        }
    }

    /** The same for both together. */
    private static final class Marked extends TreeSitterTsx {
        static Object pointer() {
            return new Marked().getPtr();
        }
    }

    /** @throws Unreadable where the file says that it is written with types that belong to neither language, or a tool packed it */
    @Override
    protected String parsable(String text) {
        if (FLOW.matcher(text.substring(0, Math.min(HEAD, text.length()))).find()) {
            throw new Unreadable("written with Flow's types, which Driftwood does not read");
        }
        long average = text.length() < PACKED ? 0 : text.length() / (text.chars().filter(each -> each == '\n').count() + 1);
        if (average >= PACKED_LINE) {
            throw new Unreadable("packed by a tool: " + average + " characters to a line");
        }
        return text;
    }

    @Override
    public int version() {
        return 11;
    }

    @Override
    protected Unit unit(SourceText source, Cst root) {
        return new EcmaModule(source, root).unit();
    }

    @Override
    public Set<String> ruled() {
        return ruled;
    }
}
