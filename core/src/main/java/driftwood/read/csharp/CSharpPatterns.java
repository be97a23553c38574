package driftwood.read.csharp;

import driftwood.read.Normal;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What C# asks of a value by a pattern, and the arms that begin with one. */
final class CSharpPatterns {
    /** Patterns that ask for nothing. */
    private static final Set<String> NAMES = Set.of("var_pattern", "discard", "declaration_pattern");
    private final CSharpExpressions reader;

    CSharpPatterns(CSharpExpressions reader) {
        this.reader = reader;
    }

    /** A pattern as a condition on its subject. */
    Node test(Node subject, Cst pattern) {
        int start = pattern.start();
        int end = pattern.end();
        List<Cst> inner = pattern.inner();
        // driftwood: leave type-switch because the grammar fixes the patterns
        return switch (pattern.kind()) {
            case "constant_pattern" -> constant(subject, pattern);
            case "declaration_pattern" -> Normal.ofType(subject.start(), end, subject, pattern.part("type").map(reader::type).orElse(TypeRef.NONE),
                    pattern.part("name").filter(each -> each.is("identifier")).map(reader::text));
            case "type_pattern" -> Normal.ofType(subject.start(), end, subject, reader.type(pattern), Optional.empty());
            case "recursive_pattern" -> Normal.all(start, end, Stream.concat(Stream.of(recursive(subject, pattern)), parts(subject, pattern)).toList()).orElseThrow();
            case "negated_pattern" -> Normal.negated(start, end, test(subject, inner.get(0)));
            case "parenthesized_pattern" -> test(subject, inner.get(0));
            case "or_pattern" -> Normal.any(start, end, inner.stream().map(each -> test(subject, each)).toList()).orElseThrow();
            case "and_pattern" -> Normal.all(start, end, inner.stream().map(each -> test(subject, each)).toList()).orElseThrow();
            case "relational_pattern" -> new Binary(start, end, CSharpExpressions.operator(pattern), subject, reader.only(pattern));
            case "identifier", "qualified_name", "generic_name", "predefined_type", "array_type" ->
                    Normal.ofType(subject.start(), end, subject, reader.type(pattern), Optional.empty());
            default -> new Other(start, end, pattern.kind(), List.of(subject));
        };
    }

    /** A constant is compared with; a bare name spelled like a type, which the parser takes for one, is a type. */
    private Node constant(Node subject, Cst pattern) {
        Node value = reader.only(pattern);
        boolean type = value instanceof Name name && Character.isUpperCase(name.name().charAt(0)) && !name.name().equals(name.name().toUpperCase(java.util.Locale.ROOT));
        return type ? Normal.ofType(subject.start(), pattern.end(), subject, new TypeRef(((Name) value).name()), Optional.empty())
                : Normal.equality(subject.start(), pattern.end(), subject, value, false);
    }

    /** {@code Tug { Big: true } t}: of a type if it names one, something at all if not. */
    private Node recursive(Node subject, Cst pattern) {
        Optional<TypeRef> type = pattern.part("type").map(reader::type);
        return type.isPresent() ? Normal.ofType(subject.start(), pattern.end(), subject, type.get(), pattern.part("name").map(reader::text))
                : Normal.nothing(subject.start(), pattern.end(), subject, true);
    }

    /** What it asks of the members of its subject, but those that only get a name. */
    private Stream<Node> parts(Node subject, Cst pattern) {
        return pattern.inner().stream().filter(each -> each.is("property_pattern_clause")).flatMap(each -> each.inner().stream())
                .filter(each -> each.is("subpattern") && each.inner().size() == 2 && !NAMES.contains(each.inner().get(1).kind()))
                .map(each -> test(new Member(each.start(), each.end(), subject, reader.text(each.inner().get(0))), each.inner().get(1)));
    }

    /** An arm of a selection. @param labels its patterns; a bare underscore, or none, takes what is left */
    Arm arm(Node subject, Cst whole, List<Cst> labels, List<Node> body, boolean fallsThrough) {
        List<Node> made = new ArrayList<>();
        boolean rest = labels.isEmpty();
        for (Cst each : labels) {
            if (each.is("discard") || each.is("var_pattern")) {
                rest = true;
            } else {
                made.addAll(label(subject, each));
            }
        }
        List<Node> guards = new ArrayList<>(labels.size() == 1 && labels.get(0).is("recursive_pattern") ? parts(subject, labels.get(0)).toList() : List.of());
        whole.inner().stream().filter(each -> each.is("when_clause")).findFirst().map(reader::only).ifPresent(guards::add);
        return new Arm(whole.start(), whole.end(), made, rest && made.isEmpty(), Normal.all(whole.start(), whole.end(), guards), body, fallsThrough);
    }

    /** Constants stand for themselves, alternatives for several labels. */
    private List<Node> label(Node subject, Cst pattern) {
        if (pattern.is("or_pattern")) {
            return pattern.inner().stream().flatMap(each -> label(subject, each).stream()).toList();
        }
        Node test = pattern.is("recursive_pattern") ? recursive(subject, pattern) : test(subject, pattern);
        if (test instanceof EqualityTest equal && !equal.negated()) {
            return List.of(equal.right());
        }
        return List.of(test instanceof NullTest nothing && !nothing.negated() ? new Literal(pattern.start(), pattern.end(), LiteralKind.NULL, "null") : test);
    }
}
