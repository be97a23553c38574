package driftwood.refactor.java.decision;

import com.sun.source.tree.Tree;
import java.util.Optional;

/** How results leave an arm. */
public enum OutcomeKind {
    /** It is an expression. */
    VALUE {
        @Override
        String use(Outcome outcome, String call) {
            return call;
        }
    },
    /** Every arm returns from the routine around. */
    RETURNS {
        @Override
        String use(Outcome outcome, String call) {
            return outcome.gives() ? "return " + call + ";" : call + ";\nreturn;";
        }
    },
    /** Every arm may set one local, or ends by setting one field. */
    SETS {
        @Override
        String use(Outcome outcome, String call) {
            return outcome.target() + " = " + call + ";";
        }

        @Override
        Optional<Tree.Kind> ending() {
            return Optional.of(Tree.Kind.ASSIGNMENT);
        }
    },
    /** Every arm adds a value of one type to one local or field at its end, and does not ask for it otherwise. */
    ADDS {
        @Override
        String use(Outcome outcome, String call) {
            return outcome.target() + " += " + call + ";";
        }

        @Override
        Optional<Tree.Kind> ending() {
            return Optional.of(Tree.Kind.PLUS_ASSIGNMENT);
        }
    },
    /** Arms have effects alone. */
    ACTS {
        @Override
        String use(Outcome outcome, String call) {
            return call + ";";
        }
    };

    /** What stands where the decision stood. @param call of the routine, without a semicolon */
    abstract String use(Outcome outcome, String call);

    /** What the last statement of an arm does with the local that they share; empty where they share none. */
    Optional<Tree.Kind> ending() {
        return Optional.empty();
    }
}
