package driftwood.behaviour.replay;

import driftwood.witness.Make;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Library types that can be written as a text: how to make them and which texts are worth trying.
 *
 * @param type    qualified name
 * @param how     makes one of a text
 * @param samples texts worth trying
 */
public record TextForm(String type, Function<String, Make> how, List<String> samples) {
    private static final Map<String, TextForm> BY_SIMPLE_NAME = new LinkedHashMap<>();

    static {
        constructed("java.math.BigDecimal", "0", "1.50", "-3.25", "1000000");
        constructed("java.math.BigInteger", "0", "7", "-1", "123456789012345678901");
        parsed("java.time.LocalDate", "2026-03-01", "2024-02-29", "1999-12-31");
        parsed("java.time.LocalTime", "00:00", "12:30", "23:59:59");
        parsed("java.time.LocalDateTime", "2026-03-01T08:15", "2024-02-29T23:59:59");
        parsed("java.time.Instant", "2026-03-01T08:15:00Z", "1970-01-01T00:00:00Z");
        parsed("java.time.ZonedDateTime", "2026-03-01T08:15:30.250Z[UTC]", "2024-06-30T23:59:59+01:00[Europe/Lisbon]");
        parsed("java.time.OffsetDateTime", "2026-03-01T08:15:30.250Z", "2024-06-30T23:59:59+01:00");
        parsed("java.time.Duration", "PT0S", "PT90M", "-PT1S", "PT25H1.0015S");
        parsed("java.time.Period", "P0D", "P1Y2M3D", "P-1M");
        parsed("java.time.Year", "2026", "2024");
        parsed("java.time.YearMonth", "2026-03", "2024-02");
        parsed("java.time.MonthDay", "--03-01", "--02-29");
        given("java.time.ZoneId", "of", "UTC", "Europe/Lisbon");
        given("java.time.ZoneOffset", "of", "Z", "+05:30");
        given("java.time.format.DateTimeFormatter", "ofPattern", "uuuu-MM-dd HH:mm", "EEE d MMM");
        add("java.util.Date", text -> call("java.util.Date", "from", "Instant", parse("java.time.Instant", text)),
                "2026-03-01T08:15:30.250Z", "2024-02-29T23:59:59.999Z", "1970-01-01T00:00:00Z", "2026-08-15T12:30:00Z");
        add("java.util.GregorianCalendar", text -> call("java.util.GregorianCalendar", "from", "ZonedDateTime",
                parse("java.time.ZonedDateTime", text)), "2026-03-01T08:15:30.250Z[UTC]", "2024-02-29T23:59:59.999Z[UTC]",
                "2026-06-30T12:00:00+01:00[Europe/Lisbon]", "1970-01-01T00:00:00Z[UTC]");
        given("java.util.TimeZone", "getTimeZone", "UTC", "Europe/Lisbon", "GMT+05:30");
        given("java.util.UUID", "fromString", "00000000-0000-0000-0000-000000000001");
        given("java.util.Locale", "forLanguageTag", "en", "pt-PT");
        given("java.util.Currency", "getInstance", "EUR", "JPY");
        given("java.util.regex.Pattern", "compile", "[a-z]+", "");
        given("java.nio.charset.Charset", "forName", "UTF-8", "ISO-8859-1", "UTF-16");
        given("java.lang.Class", "forName", "java.lang.String", "java.util.ArrayList", "java.lang.Runnable");
        given("java.net.URI", "create", "pilots/roster.txt", "mailto:watch@kelp-quay.example");
        constructed("java.lang.StringBuilder", "", "abc");
        constructed("java.lang.StringBuffer", "", "abc");
        constructed("java.io.File", "absent.txt");
        add("java.nio.file.Path", text -> new Make.Call("java.io.File", List.of(new Make.New("java.io.File",
                List.of("String"), List.of(literal(text)))), "toPath", List.of(), List.of()), "absent.txt", "");
        constructed("java.io.StringReader", "", "first\nsecond\n");
        add("java.io.BufferedReader", text -> new Make.New("java.io.BufferedReader", List.of("Reader"),
                List.of(BY_SIMPLE_NAME.get("StringReader").make(text))), "", "first\nsecond\n");
        add("java.io.ByteArrayInputStream", text -> new Make.New("java.io.ByteArrayInputStream", List.of("byte[]"),
                List.of(new Make.Call("java.lang.String", List.of(literal(text)), "getBytes", List.of("Charset"),
                        List.of(new Make.Constant("java.nio.charset.StandardCharsets", "UTF_8"))))),
                "", "first\nsecond\n");
        constructed("java.util.Scanner", "", "7 tugs\n12 yachts\n");
        constructed("java.lang.RuntimeException", "fog");
        constructed("java.lang.Exception", "fog");
        bare("java.io.StringWriter", "java.io.ByteArrayOutputStream", "java.util.BitSet", "java.util.Properties",
                "java.util.concurrent.atomic.AtomicInteger", "java.util.concurrent.atomic.AtomicLong",
                "java.util.concurrent.atomic.AtomicBoolean");
        Map.of("Writer", "StringWriter", "Reader", "StringReader", "InputStream", "ByteArrayInputStream", "OutputStream",
                "ByteArrayOutputStream", "Appendable", "StringBuilder", "Calendar", "GregorianCalendar", "Throwable",
                "RuntimeException").forEach((wide, narrow) -> BY_SIMPLE_NAME.put(wide, BY_SIMPLE_NAME.get(narrow)));
    }

    private static void add(String type, Function<String, Make> how, String... samples) {
        BY_SIMPLE_NAME.put(type.substring(type.lastIndexOf('.') + 1), new TextForm(type, how, List.of(samples)));
    }

    private static void parsed(String type, String... samples) {
        add(type, text -> parse(type, text), samples);
    }

    /** By a static routine that takes the text. */
    private static void given(String type, String routine, String... samples) {
        add(type, text -> call(type, routine, "String", literal(text)), samples);
    }

    private static void constructed(String type, String... samples) {
        add(type, text -> new Make.New(type, List.of("String"), List.of(literal(text))), samples);
    }

    /** By the constructor without parameters. */
    private static void bare(String... types) {
        for (String type : types) {
            add(type, text -> new Make.New(type, List.of(), List.of()), "");
        }
    }

    private static Make parse(String type, String text) {
        return call(type, "parse", "CharSequence", literal(text));
    }

    private static Make call(String type, String routine, String parameter, Make argument) {
        return new Make.Call(type, List.of(), routine, List.of(parameter), List.of(argument));
    }

    private static Make literal(String text) {
        return new Make.Literal("String", text);
    }

    /** The form of a type by its simple or qualified name. */
    public static Optional<TextForm> of(String name) {
        TextForm form = BY_SIMPLE_NAME.get(name.substring(name.lastIndexOf('.') + 1));
        return Optional.ofNullable(form).filter(each -> name.indexOf('.') < 0 || each.type().equals(name));
    }

    Make make(String text) {
        return how.apply(text);
    }
}
