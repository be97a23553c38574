package driftwood.read.java;

import com.sun.source.tree.Tree;

/** The signs of Java's operators. */
final class Operators {
    private Operators() {
    }

    /** The sign of a binary operation, or the one inside a compound assignment. */
    static String of(Tree.Kind kind) {
        return switch (kind) {
            case PLUS, PLUS_ASSIGNMENT -> "+";
            case MINUS, MINUS_ASSIGNMENT -> "-";
            case MULTIPLY, MULTIPLY_ASSIGNMENT -> "*";
            case DIVIDE, DIVIDE_ASSIGNMENT -> "/";
            case REMAINDER, REMAINDER_ASSIGNMENT -> "%";
            case AND, AND_ASSIGNMENT -> "&";
            case OR, OR_ASSIGNMENT -> "|";
            case XOR, XOR_ASSIGNMENT -> "^";
            case LEFT_SHIFT, LEFT_SHIFT_ASSIGNMENT -> "<<";
            case RIGHT_SHIFT, RIGHT_SHIFT_ASSIGNMENT -> ">>";
            case UNSIGNED_RIGHT_SHIFT, UNSIGNED_RIGHT_SHIFT_ASSIGNMENT -> ">>>";
            case CONDITIONAL_AND -> "&&";
            case CONDITIONAL_OR -> "||";
            case LESS_THAN -> "<";
            case LESS_THAN_EQUAL -> "<=";
            case GREATER_THAN -> ">";
            case GREATER_THAN_EQUAL -> ">=";
            default -> kind.name();
        };
    }
}
