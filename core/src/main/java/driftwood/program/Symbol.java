package driftwood.program;

import java.util.Arrays;
import java.util.List;

/**
 * What a name in full stands for: {@code quay.Tariff}, its member {@code quay.Tariff#base} or its routine
 * {@code quay.Tariff#quote(Vessel,int)}. The only place that knows how they are written.
 *
 * @param type       qualified name
 * @param member     name of a routine or field; empty for the type itself
 * @param isRoutine  whether it is a routine
 * @param parameters simple names of a routine's parameter types, or the names of undeclared ones
 */
public record Symbol(String type, String member, boolean isRoutine, List<String> parameters) {
    static final char BEFORE_MEMBER = '#';

    /** @param text as a finding or a recording names it */
    public static Symbol of(String text) {
        int hash = text.indexOf(BEFORE_MEMBER);
        if (hash < 0) {
            return new Symbol(text, "", false, List.of());
        }
        String type = text.substring(0, hash);
        int open = text.indexOf('(', hash);
        if (open < 0) {
            return new Symbol(type, text.substring(hash + 1), false, List.of());
        }
        String inside = text.substring(open + 1, Math.max(open + 1, text.lastIndexOf(')')));
        return new Symbol(type, text.substring(hash + 1, open), true, inside.isEmpty() ? List.of() : Arrays.asList(inside.split(",")));
    }

    /** A type's member, or all of its routines of that name. */
    public static String member(String type, String name) {
        return type + BEFORE_MEMBER + name;
    }

    static String routine(String type, String name, List<String> parameters) {
        StringBuilder text = new StringBuilder(type.length() + name.length() + 3 + 12 * parameters.size());
        text.append(type).append(BEFORE_MEMBER).append(name).append('(');
        for (int i = 0; i < parameters.size(); i++) {
            text.append(i == 0 ? "" : ",").append(parameters.get(i));
        }
        return text.append(')').toString();
    }

    /** A routine of this type, with the parameters of this one, under another name. */
    public Symbol named(String other) {
        return new Symbol(type, other, isRoutine, parameters);
    }

    /** The type's name without its package and the types around it. */
    public String simpleType() {
        return type.substring(type.lastIndexOf('.') + 1);
    }

    /** The member with its parameters, without the type. */
    public String local() {
        return isRoutine ? member + '(' + String.join(",", parameters) + ')' : member;
    }

    /** As it is written. */
    public String text() {
        return member.isEmpty() ? type : member(type, local());
    }
}
