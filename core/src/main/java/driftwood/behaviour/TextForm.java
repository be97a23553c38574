package driftwood.behaviour;

import driftwood.witness.Make;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Library types that can be written as a text: how to make them and which texts are worth trying.
 *
 * @param type      qualified name
 * @param routine   static routine that takes the text; empty for the constructor
 * @param parameter simple name of its parameter's type
 * @param samples   texts worth trying
 */
record TextForm(String type, String routine, String parameter, List<String> samples) {
    private static final Map<String, TextForm> BY_SIMPLE_NAME = new LinkedHashMap<>();

    static {
        add("java.math.BigDecimal", "", "String", "0", "1.50", "-3.25", "1000000");
        add("java.math.BigInteger", "", "String", "0", "7", "-1", "123456789012345678901");
        add("java.time.LocalDate", "parse", "CharSequence", "2026-03-01", "2024-02-29", "1999-12-31");
        add("java.time.LocalTime", "parse", "CharSequence", "00:00", "12:30", "23:59:59");
        add("java.time.LocalDateTime", "parse", "CharSequence", "2026-03-01T08:15", "2024-02-29T23:59:59");
        add("java.time.Instant", "parse", "CharSequence", "2026-03-01T08:15:00Z", "1970-01-01T00:00:00Z");
        add("java.time.Duration", "parse", "CharSequence", "PT0S", "PT90M", "-PT1S");
        add("java.time.ZoneId", "of", "String", "UTC", "Europe/Lisbon");
        add("java.time.Year", "parse", "CharSequence", "2026", "2024");
        add("java.util.UUID", "fromString", "String", "00000000-0000-0000-0000-000000000001");
        add("java.util.Locale", "forLanguageTag", "String", "en", "pt-PT");
        add("java.util.regex.Pattern", "compile", "String", "[a-z]+", "");
        add("java.lang.StringBuilder", "", "String", "", "abc");
        add("java.lang.StringBuffer", "", "String", "", "abc");
        add("java.io.File", "", "String", "absent.txt");
        add("java.io.StringReader", "", "String", "", "first\nsecond\n");
        add("java.io.StringWriter", "", "", "");
        BY_SIMPLE_NAME.put("Writer", BY_SIMPLE_NAME.get("StringWriter"));
        BY_SIMPLE_NAME.put("Reader", BY_SIMPLE_NAME.get("StringReader"));
        BY_SIMPLE_NAME.put("Appendable", BY_SIMPLE_NAME.get("StringBuilder"));
        add("java.util.BitSet", "", "", "");
        add("java.util.concurrent.atomic.AtomicInteger", "", "", "");
        add("java.util.concurrent.atomic.AtomicLong", "", "", "");
    }

    private static void add(String type, String routine, String parameter, String... samples) {
        BY_SIMPLE_NAME.put(type.substring(type.lastIndexOf('.') + 1),
                new TextForm(type, routine, parameter, List.of(samples)));
    }

    /** The form of a type by its simple or qualified name. */
    static Optional<TextForm> of(String name) {
        TextForm form = BY_SIMPLE_NAME.get(name.substring(name.lastIndexOf('.') + 1));
        return Optional.ofNullable(form).filter(each -> name.indexOf('.') < 0 || each.type().equals(name));
    }

    Make make(String text) {
        List<Make> arguments = parameter.isEmpty() ? List.of() : List.of(new Make.Literal("String", text));
        List<String> parameters = parameter.isEmpty() ? List.of() : List.of(parameter);
        return routine.isEmpty() ? new Make.New(type, parameters, arguments)
                : new Make.Call(type, List.of(), routine, parameters, arguments);
    }
}
