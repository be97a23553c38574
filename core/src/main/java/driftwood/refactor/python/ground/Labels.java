package driftwood.refactor.python.ground;

import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * What the arms of a decision compare one value with.
 *
 * @param subject the value
 * @param byArm   for each arm its labels
 */
public record Labels(Cst subject, List<List<Cst>> byArm) {
    private static final Set<String> PLAIN = Set.of("string", "integer", "identifier", "attribute", "dotted_name");

    /** Labels that are equal to a value. @throws Refused where an arm asks anything else */
    public static Labels equal(Decision decision) {
        Reading reading = new Reading(decision.module(), false);
        decision.arms().forEach(reading::see);
        return reading.labels();
    }

    /** Classes that a value is of. @throws Refused where an arm asks anything else */
    public static Labels types(Decision decision) {
        Reading reading = new Reading(decision.module(), true);
        decision.arms().forEach(reading::see);
        return reading.labels();
    }

    private static final class Reading {
        private final Module module;
        private final boolean types;
        private final List<List<Cst>> byArm = new ArrayList<>();
        private Cst subject;

        Reading(Module module, boolean types) {
            this.module = module;
            this.types = types;
        }

        Labels labels() {
            if (subject == null) {
                throw new Refused("nothing is asked that could be a key");
            }
            if (Module.all(subject, "call").size() > 0 && byArm.size() > 1 && !isMatched) {
                throw new Refused("what is asked is computed anew for each arm: " + module.text(subject));
            }
            return new Labels(subject, byArm);
        }

        private boolean isMatched;

        void see(Decision.Arm arm) {
            List<Cst> labels = new ArrayList<>();
            if (arm.guarded()) {
                throw new Refused("the case " + module.text(arm.test()) + " has a condition of its own");
            }
            if (arm.of().isPresent()) {
                isMatched = true;
                subject(arm.of().get());
                pattern(arm.test(), labels);
            } else {
                condition(arm.test(), labels);
            }
            byArm.add(labels);
        }

        private void subject(Cst node) {
            if (subject != null && !module.text(subject).equals(module.text(node))) {
                throw new Refused("the arms ask about different things: " + module.text(subject) + ", " + module.text(node));
            }
            subject = node;
        }

        private void pattern(Cst node, List<Cst> labels) {
            if (node.is("case_pattern") || node.is("union_pattern")) {
                node.inner().forEach(each -> pattern(each, labels));
            } else if (types ? node.is("class_pattern") && node.inner().size() == 1 : node.is("string") || node.is("integer") || node.is("dotted_name") && module.text(node).contains(".")) {
                labels.add(types ? node.inner().get(0) : node);
            } else {
                throw refused(node);
            }
        }

        private void condition(Cst node, List<Cst> labels) {
            Cst bare = node.is("parenthesized_expression") ? node.inner().get(0) : node;
            if (bare.is("boolean_operator") && bare.has("or")) {
                bare.inner().forEach(each -> condition(each, labels));
            } else if (types) {
                instance(bare, labels);
            } else {
                comparison(bare, labels);
            }
        }

        private void instance(Cst node, List<Cst> labels) {
            List<Cst> arguments = node.is("call") ? node.part("arguments").map(Cst::inner).orElse(List.of()) : List.of();
            if (arguments.size() != 2 || !node.part("function").map(module::text).orElse("").equals("isinstance")) {
                throw refused(node);
            }
            subject(arguments.get(0));
            Cst asked = arguments.get(1).is("parenthesized_expression") ? arguments.get(1).inner().get(0) : arguments.get(1);
            (asked.is("tuple") ? asked.inner() : List.of(asked)).forEach(each -> {
                if (!each.is("identifier") && !each.is("attribute")) {
                    throw refused(node);
                }
                labels.add(each);
            });
        }

        private void comparison(Cst node, List<Cst> labels) {
            if (!node.is("comparison_operator") || node.inner().size() != 2) {
                throw refused(node);
            }
            Cst left = node.inner().get(0);
            Cst right = node.inner().get(1);
            if (node.has("in") && (right.is("tuple") || right.is("list") || right.is("set"))) {
                subject(left);
                right.inner().forEach(each -> label(each, node, labels));
            } else if (node.has("==") || node.has("is")) {
                boolean turned = isConstant(left) && !isConstant(right);
                subject(turned ? right : left);
                label(turned ? left : right, node, labels);
            } else {
                throw refused(node);
            }
        }

        private boolean isConstant(Cst node) {
            return node.is("string") || node.is("integer") || module.text(node).replaceFirst("^.*\\.", "").matches("[A-Z][A-Z0-9_]*");
        }

        private void label(Cst label, Cst within, List<Cst> labels) {
            if (!PLAIN.contains(label.kind()) || !isConstant(label)) {
                throw refused(within);
            }
            labels.add(label);
        }

        private Refused refused(Cst node) {
            return new Refused("an arm asks " + module.text(node).replaceAll("\\s+", " ") + ", which is no " + (types ? "class" : "key") + " of a table");
        }
    }
}
