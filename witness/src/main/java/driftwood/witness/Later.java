package driftwood.witness;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.Year;
import java.time.YearMonth;
import java.time.ZonedDateTime;

/** A clock ahead of the real one by more than a year and by some hours, for telling what in an outcome is the time. */
public final class Later {
    private static final Duration AHEAD = Duration.ofDays(401).plusHours(7).plusMinutes(13).plusSeconds(29);

    private Later() {
    }

    private static Clock clock() {
        return Clock.offset(Clock.systemDefaultZone(), AHEAD);
    }

    /** The routine here that stands for a type's own {@code now()}. @param type its internal name */
    public static String named(String type) {
        String simple = type.substring(type.lastIndexOf('/') + 1);
        return Character.toLowerCase(simple.charAt(0)) + simple.substring(1);
    }

    public static long currentTimeMillis() {
        return clock().millis();
    }

    public static Instant instant() {
        return Instant.now(clock());
    }

    public static LocalDate localDate() {
        return LocalDate.now(clock());
    }

    public static LocalTime localTime() {
        return LocalTime.now(clock());
    }

    public static LocalDateTime localDateTime() {
        return LocalDateTime.now(clock());
    }

    public static ZonedDateTime zonedDateTime() {
        return ZonedDateTime.now(clock());
    }

    public static OffsetDateTime offsetDateTime() {
        return OffsetDateTime.now(clock());
    }

    public static Year year() {
        return Year.now(clock());
    }

    public static YearMonth yearMonth() {
        return YearMonth.now(clock());
    }
}
