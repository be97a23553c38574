package driftwood.refactor.python.ground;

import driftwood.read.sitter.Cst;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The names that a stretch of code reads and binds in the scope around it (Python Language Reference 4.2). Attributes and
 * names of arguments are none of them; parameters of lambdas and what a comprehension goes through belong to themselves.
 */
public final class Names {
    private final Module module;
    private final Set<String> read = new LinkedHashSet<>();
    private final Set<String> bound = new LinkedHashSet<>();
    private final Set<String> shared = new LinkedHashSet<>();

    private Names(Module module) {
        this.module = module;
    }

    public static Names of(Module module, Collection<Cst> code) {
        Names names = new Names(module);
        code.forEach(each -> names.see(each, Set.of()));
        return names;
    }

    /** Those that are read before or after they are bound, in the order of the text. */
    public Set<String> read() {
        return read;
    }

    /** Those that are given a value, are declared or imported. */
    public Set<String> bound() {
        return bound;
    }

    /** Those that are said to be of a scope further out. */
    public Set<String> shared() {
        return shared;
    }

    /** What a kind of node reads and binds. */
    private interface Rule {
        void see(Names to, Cst node, Set<String> inner);
    }

    private static final Map<String, Rule> RULES = Map.ofEntries(
            Map.entry("identifier", (to, node, inner) -> to.read(to.module.text(node), inner)),
            Map.entry("attribute", (to, node, inner) -> to.see(node.inner().get(0), inner)),
            Map.entry("keyword_argument", (to, node, inner) -> to.see(node.inner().get(node.inner().size() - 1), inner)),
            Map.entry("lambda", Names::lambda),
            Map.entry("function_definition", Names::declaration),
            Map.entry("class_definition", Names::declaration),
            Map.entry("assignment", Names::assignment),
            Map.entry("augmented_assignment", Names::augmented),
            Map.entry("for_statement", (to, node, inner) -> {
                node.part("left").ifPresent(each -> to.target(each, inner));
                node.inner().stream().filter(each -> !each.field().equals("left")).forEach(each -> to.see(each, inner));
            }),
            Map.entry("as_pattern_target", (to, node, inner) -> node.inner().forEach(each -> to.target(each, inner))),
            Map.entry("named_expression", (to, node, inner) -> {
                to.target(node.inner().get(0), inner);
                to.see(node.inner().get(1), inner);
            }),
            Map.entry("delete_statement", (to, node, inner) -> node.inner().forEach(each -> {
                to.see(each, inner);
                to.target(each, inner);
            })),
            Map.entry("import_statement", (to, node, inner) -> to.imported(node)),
            Map.entry("import_from_statement", (to, node, inner) -> to.imported(node)),
            Map.entry("future_import_statement", (to, node, inner) -> to.imported(node)),
            Map.entry("global_statement", (to, node, inner) -> node.inner().forEach(each -> to.shared.add(to.module.text(each)))),
            Map.entry("nonlocal_statement", (to, node, inner) -> node.inner().forEach(each -> to.shared.add(to.module.text(each)))),
            Map.entry("case_clause", Names::caseClause),
            Map.entry("list_comprehension", Names::comprehension),
            Map.entry("set_comprehension", Names::comprehension),
            Map.entry("dictionary_comprehension", Names::comprehension),
            Map.entry("generator_expression", Names::comprehension));

    private void see(Cst node, Set<String> inner) {
        Rule rule = RULES.get(node.kind());
        if (rule == null) {
            node.inner().forEach(each -> see(each, inner));
        } else {
            rule.see(this, node, inner);
        }
    }

    private void assignment(Cst node, Set<String> inner) {
        node.part("left").ifPresent(each -> target(each, inner));
        node.part("type").ifPresent(each -> see(each, inner));
        node.part("right").ifPresent(each -> see(each, inner));
    }

    private void augmented(Cst node, Set<String> inner) {
        node.part("left").ifPresent(each -> {
            see(each, inner);
            target(each, inner);
        });
        node.part("right").ifPresent(each -> see(each, inner));
    }

    private void read(String name, Set<String> inner) {
        if (!inner.contains(name)) {
            read.add(name);
        }
    }

    /** What a value goes to: names are bound, parts of others are only reached through them. */
    private void target(Cst node, Set<String> inner) {
        switch (node.kind()) {
            case "identifier" -> bound.add(module.text(node));
            case "attribute", "subscript" -> see(node, inner);
            default -> node.inner().forEach(each -> target(each, inner));
        }
    }

    private void lambda(Cst node, Set<String> inner) {
        Set<String> own = new LinkedHashSet<>(inner);
        node.part("parameters").ifPresent(each -> own.addAll(Function.parameters(module, each).stream().map(Parameter::name).toList()));
        node.part("parameters").ifPresent(each -> defaults(each, inner));
        node.part("body").ifPresent(each -> see(each, own));
    }

    private void defaults(Cst parameters, Set<String> inner) {
        Function.parameters(module, parameters).forEach(each -> {
            each.initial().ifPresent(value -> see(value, inner));
            each.type().ifPresent(type -> see(type, inner));
        });
    }

    private void declaration(Cst node, Set<String> inner) {
        node.part("name").ifPresent(each -> bound.add(module.text(each)));
        node.part("superclasses").ifPresent(each -> see(each, inner));
        node.part("return_type").ifPresent(each -> see(each, inner));
        Names own = new Names(module);
        node.part("body").ifPresent(each -> own.see(each, Set.of()));
        node.part("parameters").ifPresent(each -> {
            defaults(each, inner);
            own.bound.addAll(Function.parameters(module, each).stream().map(Parameter::name).toList());
        });
        own.read.stream().filter(each -> !own.bound.contains(each) || own.shared.contains(each)).forEach(each -> read(each, inner));
        own.bound.stream().filter(own.shared::contains).forEach(bound::add);
    }

    private void comprehension(Cst node, Set<String> inner) {
        Set<String> own = new LinkedHashSet<>(inner);
        Names targets = new Names(module);
        for (Cst each : node.inner()) {
            if (each.is("for_in_clause")) {
                each.part("left").ifPresent(left -> targets.target(left, Set.of()));
            }
        }
        own.addAll(targets.bound);
        node.inner().forEach(each -> see(each, own));
    }

    private void imported(Cst node) {
        for (Cst each : node.parts("name")) {
            Cst name = each.part("alias").orElse(each.is("aliased_import") ? each.inner().get(0) : each);
            bound.add(node.is("import_statement") ? module.text(name).replaceFirst("\\..*", "") : module.text(name));
        }
    }

    private void caseClause(Cst node, Set<String> inner) {
        for (Cst each : node.inner()) {
            if (each.is("case_pattern")) {
                pattern(each, inner);
            } else {
                see(each, inner);
            }
        }
    }

    private void pattern(Cst node, Set<String> inner) {
        if (node.is("dotted_name") || node.is("identifier")) {
            List<String> parts = List.of(module.text(node).split("\\."));
            if (parts.size() == 1) {
                bound.add(parts.get(0));
            } else {
                read(parts.get(0), inner);
            }
        } else if (node.is("class_pattern")) {
            read(module.text(node.inner().get(0)).replaceFirst("\\..*", ""), inner);
            node.inner().stream().skip(1).forEach(each -> pattern(each, inner));
        } else if (node.is("keyword_pattern")) {
            node.inner().stream().skip(1).forEach(each -> pattern(each, inner));
        } else {
            node.inner().forEach(each -> pattern(each, inner));
        }
    }
}
