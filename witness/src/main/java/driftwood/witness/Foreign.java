package driftwood.witness;

import java.util.Date;
import java.util.GregorianCalendar;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** Values of the platform and of libraries, by their own text. */
final class Foreign {
    private static final Pattern IDENTITY = Pattern.compile("@[0-9a-f]{5,8}(?![0-9A-Za-z])");
    /** The platform tells of classes, and of the loaders they came from, in words of its own. */
    private static final Pattern CAST = Pattern.compile("(?s).* cannot be cast to .*");
    private static final int LONGEST = 4000;

    private Foreign() {
    }

    /** Nothing, truth, numbers, texts, constants, classes; empty for any other. */
    static Optional<Value> scalar(Object object) {
        if (object == null) {
            return Optional.of(Value.NULL);
        }
        if (object instanceof Boolean flag) {
            return Optional.of(Value.scalar("flag", flag.toString()));
        }
        if (object instanceof Number number && object.getClass().getName().startsWith("java.lang.")) {
            return Optional.of(Value.scalar("number", number.toString()));
        }
        if (object instanceof String text) {
            return Optional.of(Value.scalar("text", shortened(blurred(text))));
        }
        if (object instanceof Character character) {
            return Optional.of(Value.scalar("char", character.toString()));
        }
        if (object instanceof Enum<?> constant) {
            return Optional.of(Value.scalar("enum", constant.getDeclaringClass().getName() + "." + constant.name()));
        }
        return object instanceof Class<?> type ? Optional.of(Value.scalar("opaque", "class " + type.getName()))
                : Optional.empty();
    }

    private static String shortened(String text) {
        return text.length() > LONGEST ? text.substring(0, LONGEST) + "..." : text;
    }

    /**
     * A text without the identities of objects, such as those that end what {@link Object#toString} gives: they are the
     * same from run to run of the same code, and others as soon as it makes one object more.
     */
    static String blurred(String text) {
        return text.indexOf('@') < 0 ? text : IDENTITY.matcher(text).replaceAll("@...");
    }

    /** The message of a problem, where it has one. What the platform says of a wrong cast names inner classes. */
    static Optional<String> message(Throwable problem) {
        String message;
        try {
            message = problem.getMessage();
        } catch (RuntimeException e) {
            return Optional.empty();
        }
        boolean cast = problem instanceof ClassCastException && message != null && CAST.matcher(message).matches();
        return message == null || cast ? Optional.empty() : Optional.of(blurred(shortened(message)));
    }

    /** By its own text, unless that is only an identity. */
    static Value described(Object object) {
        String type = object.getClass().getName();
        String text;
        try {
            text = String.valueOf(object);
        } catch (RuntimeException e) {
            text = "";
        }
        String identity = "@" + Integer.toHexString(System.identityHashCode(object));
        if (text.isEmpty() || text.contains(identity) || text.matches("(?s).*@[0-9a-f]{4,}.*")) {
            return Value.scalar("opaque", type);
        }
        return told(object, shortened(text));
    }

    static Value told(Object object, String text) {
        return new Value("object", object.getClass().getName(), List.of("text"), List.of(Value.scalar("text", text)));
    }

    /** The older dates of the platform leave the fraction out of their texts, or tell how they are built. */
    static Optional<String> moment(Object object) {
        if (object.getClass() == Date.class) {
            return Optional.of(((Date) object).toInstant().toString());
        }
        return object instanceof GregorianCalendar calendar ? Optional.of(calendar.toZonedDateTime().toString())
                : Optional.empty();
    }
}
