package driftwood.smell;

import driftwood.pack.Line;
import driftwood.program.Symbol;
import driftwood.program.Trail;
import java.util.List;
import java.util.Optional;

/**
 * A decision with several arms, as seen in one file. Else and default are not arms.
 *
 * @param within  qualified name of the type around
 * @param routine symbol of the routine or field around
 * @param line    first line
 * @param endLine last line
 * @param form    how it is written
 * @param subject the value that the arms' labels are compared with
 * @param arms    in order
 * @param otherwise what happens when no arm takes it; for early returns, the code behind the last guard
 * @param inLoop  whether a loop of the same routine is around it
 * @param alone   whether the routine does nothing but make this decision (checks that throw aside)
 */
public record Chain(String within, String routine, @Line int line, @Line int endLine, Form form, Subject subject,
        List<Arm> arms, Optional<Arm> otherwise, boolean inLoop, boolean alone) {

    /** The spelling of a chain. */
    public enum Form {
        LADDER, GUARDS, MATCH, MATCH_VALUE, CONDITIONAL
    }

    /**
     * The value that is asked about.
     *
     * @param text  as written; empty where the arms ask about different things
     * @param trail the way to it
     * @param plain whether it is a field, parameter, getter or local rather than something computed
     */
    public record Subject(String text, Trail trail, boolean plain) {
        /** The arms ask about different things. */
        public static final Subject NONE = new Subject("", Trail.UNKNOWN, false);

        /** The last word of the subject: {@code kind} for {@code vessel.getKind()}. */
        public String word() {
            String word = text.endsWith("()") ? text.substring(0, text.length() - 2) : text;
            word = word.replace("->", ".").replaceFirst("\\[[\"':]?(\\w+)[\"']?]$", ".$1");
            word = word.substring(Math.max(word.lastIndexOf('.'), word.lastIndexOf(')')) + 1).replaceFirst("^[@$]+", "");
            return word.regionMatches(true, 0, "get", 0, 3) && word.length() > 3 && (word.charAt(0) == 'g' || Character.isUpperCase(word.charAt(3)))
                    ? Character.toLowerCase(word.charAt(3)) + word.substring(4) : word;
        }
    }

    /**
     * A value stored.
     *
     * @param name  of the field or local, without what it is a field of
     * @param value as written, shortened
     */
    public record Stored(String name, String value) {
    }

    /**
     * One arm.
     *
     * @param line    of its condition or label
     * @param endLine of its last statement
     * @param labels  what the subject is compared with; one OTHER label for any other condition
     * @param guarded whether further conditions must hold
     * @param work    what the body amounts to
     * @param does    its first statement, shortened
     * @param product what it creates, where that is its result
     * @param casts   types that its body casts to
     * @param armCall the call that it comes down to, where there is one
     * @param stored  what its statements store under a name of the object or the routine, in order
     */
    public record Arm(@Line int line, @Line int endLine, List<Label> labels, boolean guarded, Work work, String does,
            Optional<Product> product, List<String> casts, Optional<ArmCall> armCall, List<Stored> stored) {

        public boolean isOn(Label.Kind kind) {
            return labels.stream().anyMatch(label -> label.kind() == kind);
        }

        /** The same, its value stored. @param name of the field or local */
        public Arm storing(String name) {
            return new Arm(line, endLine, labels, guarded, work, does, product, casts, armCall, List.of(new Stored(name, does)));
        }

        /** The same for the rest of a routine: what that makes in the end is no choice against what a guard makes. */
        public Arm makingNothing() {
            return new Arm(line, endLine, labels, guarded, work, does, Optional.empty(), casts, armCall, stored);
        }

        /** How many lines it takes, with its condition. */
        public int lines() {
            return endLine - line + 1;
        }

        /** The labels as a reader would name them. */
        public String title() {
            return String.join(", ", labels.stream().map(Label::text).toList());
        }
    }

    /**
     * A label of an arm.
     *
     * @param kind  what it compares with
     * @param text  type name, constant name without its qualifier, literal; the whole condition for OTHER
     * @param trail of a named constant
     */
    public record Label(Kind kind, String text, Trail trail) {

        /** What a label can compare with. */
        public enum Kind {
            TYPE, NAME, STRING, INTEGER, CHARACTER, NULL,
            /** A limit of an ordered value; the text is the whole condition. */
            LIMIT,
            /** A candidate that is asked; the text is the whole condition. */
            ASKED,
            OTHER
        }
    }

    /** What an arm's body amounts to. Only {@link #ACTS} is work in the sense of the catalogue. */
    public enum Work {
        NOTHING, LOOKS_UP, CREATES, THROWS, ACTS
    }

    /**
     * What an arm creates as its result.
     *
     * @param type as written
     * @param use  how it leaves the arm: "return", "= target" or "receiver.routine"
     * @param anonymous whether a body makes it an anonymous subtype
     */
    public record Product(String type, String use, boolean anonymous) {
    }

    /**
     * The call that an arm comes down to: its only statement, or its last.
     *
     * @param call the way to it, casts and bindings of the arm understood
     * @param use  what becomes of its result: "return", "= target" or "" where nothing does
     * @param text as written, shortened
     * @param alone whether the arm does nothing else
     * @param calls the ways to all calls of a short arm, in order; none in a long one
     * @param names what a short arm mentions by name
     */
    public record ArmCall(Trail call, String use, String text, boolean alone, List<Trail> calls, List<String> names) {

        /** Whether the arm is no call but one value that is worked out, however many lines it is written on. */
        public boolean isFormula() {
            return alone && !call.isKnown() && !use.isEmpty();
        }
    }

    /** Whether nothing at all is no case of it: it fails on that, or asks about its own field. */
    public boolean needsSubject() {
        return form == Form.MATCH || form == Form.MATCH_VALUE || subject.trail().start() == Trail.Start.THIS;
    }

    /** How many arms do work. */
    public long working() {
        return arms.stream().filter(arm -> arm.work() == Work.ACTS).count();
    }

    /** Name of the routine around, without type and parameters; that of the field in an initialiser. */
    public String routineName() {
        return Symbol.of(routine).member();
    }
}
