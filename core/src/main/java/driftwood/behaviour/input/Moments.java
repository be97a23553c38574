package driftwood.behaviour.input;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Texts that mean a date, a time or a duration, a little earlier, later, longer or shorter. */
public final class Moments {
    /** The date, the time of day with its fraction, and the zone. */
    private static final Pattern MOMENT = Pattern.compile("(\\d{4}-\\d\\d-\\d\\d)(T\\d\\d:\\d\\d[\\d:.]*)?(.*)");
    private static final Pattern DURATION = Pattern.compile("-?PT[\\dHMS.\\-]+");
    private static final List<ChronoUnit> OF_DAYS = List.of(ChronoUnit.DAYS, ChronoUnit.WEEKS, ChronoUnit.MONTHS,
            ChronoUnit.YEARS);
    private static final List<ChronoUnit> OF_TIMES = List.of(ChronoUnit.MILLIS, ChronoUnit.SECONDS, ChronoUnit.MINUTES,
            ChronoUnit.HOURS, ChronoUnit.HALF_DAYS, ChronoUnit.DAYS, ChronoUnit.MONTHS, ChronoUnit.YEARS);
    private static final List<Duration> STEPS = List.of(Duration.ofNanos(1), Duration.ofNanos(1_500), Duration.ofMillis(1),
            Duration.ofSeconds(1), Duration.ofMinutes(1), Duration.ofHours(1), Duration.ofDays(1), Duration.ofDays(30));

    private Moments() {
    }

    /** Another of the same form; empty where the text means no moment and no duration. */
    public static Optional<String> near(String text, Random random) {
        Matcher moment = MOMENT.matcher(text);
        try {
            if (DURATION.matcher(text).matches()) {
                return Optional.of(duration(Duration.parse(text), random).toString());
            }
            return moment.matches() ? Optional.of(moment(moment, random)) : Optional.empty();
        } catch (DateTimeException | ArithmeticException e) {
            return Optional.empty();
        }
    }

    private static Duration duration(Duration from, Random random) {
        Duration step = STEPS.get(random.nextInt(STEPS.size()));
        return switch (random.nextInt(6)) {
            case 0 -> from.negated();
            case 1 -> from.minus(step);
            case 2 -> step;
            case 3 -> Duration.ofMillis(Integer.MAX_VALUE).plusMillis(random.nextInt(3) - 1);
            default -> from.plus(step);
        };
    }

    private static String moment(Matcher moment, Random random) {
        boolean timed = moment.group(2) != null;
        LocalDateTime at = LocalDateTime.parse(moment.group(1) + (timed ? moment.group(2) : "T00:00"));
        List<ChronoUnit> units = timed ? OF_TIMES : OF_DAYS;
        LocalDateTime other = switch (random.nextInt(6)) {
            case 0 -> at.withDayOfMonth(1);
            case 1 -> at.withDayOfMonth(at.toLocalDate().lengthOfMonth());
            case 2 -> timed ? at.truncatedTo(ChronoUnit.HOURS) : at.withDayOfYear(1);
            default -> at.plus(random.nextBoolean() ? 1 : -1, units.get(random.nextInt(units.size())));
        };
        String date = other.toLocalDate().toString();
        // A zone that the clock was moved in may be at another distance from Greenwich then; its name decides.
        String zone = moment.group(3).replaceAll("^[+-][\\d:]+(\\[.*)$", "+00:00$1");
        return timed ? date + "T" + DateTimeFormatter.ISO_LOCAL_TIME.format(other) + zone : date + moment.group(3);
    }
}
