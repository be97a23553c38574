package driftwood.pattern;

import java.util.Locale;

/** Proposed names: from the words that are there already. */
public final class Words {
    private Words() {
    }

    /** {@code quote} becomes {@code Quote}, {@code line_up} becomes {@code LineUp}. */
    public static String upper(String word) {
        StringBuilder name = new StringBuilder();
        for (String part : word.split("_")) {
            name.append(part.isEmpty() ? part : part.substring(0, 1).toUpperCase(Locale.ROOT) + part.substring(1));
        }
        return name.toString();
    }

    /** {@code TugQuote} becomes {@code tugQuote}, {@code URLQuote} {@code urlQuote}. */
    public static String lower(String word) {
        int capitals = 0;
        while (capitals < word.length() && Character.isUpperCase(word.charAt(capitals))) {
            capitals++;
        }
        int first = capitals == word.length() || capitals <= 1 ? capitals : capitals - 1;
        return word.substring(0, first).toLowerCase(Locale.ROOT) + word.substring(first);
    }

    /** One thing of a kind: {@code a Berth}, {@code an Anchor}. */
    public static String one(CharSequence name) {
        return ("AEIOUaeiou".indexOf(name.charAt(0)) >= 0 ? "an " : "a ") + name;
    }

    /** A label as part of a type name: {@code FIRST_CLASS}, {@code "first-class"} and {@code 4} become words. */
    public static String ofLabel(String label) {
        StringBuilder name = new StringBuilder();
        boolean allCaps = label.equals(label.toUpperCase(Locale.ROOT));
        boolean begin = true;
        for (char c : label.toCharArray()) {
            if (!Character.isJavaIdentifierPart(c) || c == '_') {
                begin = true;
            } else {
                name.append(begin ? Character.toUpperCase(c) : allCaps ? Character.toLowerCase(c) : c);
                begin = false;
            }
        }
        return name.isEmpty() || Character.isDigit(name.charAt(0)) ? "Case" + name : name.toString();
    }

    /** {@code paymentKind} becomes {@code PAYMENT_KIND}. */
    public static String constant(String word) {
        return word.replaceAll("(?<=[a-z0-9])(?=[A-Z])", "_").toUpperCase(Locale.ROOT);
    }

    /** {@code PaymentKind} becomes {@code payment_kind}. */
    public static String snake(String word) {
        return constant(word).toLowerCase(Locale.ROOT);
    }

    static String simple(String qualified) {
        return qualified.substring(qualified.lastIndexOf('.') + 1);
    }
}
