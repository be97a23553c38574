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
import java.util.concurrent.atomic.AtomicLong;

/**
 * A clock ahead of the real one by more than a year and by some hours, for telling what in an outcome is the time. It goes on
 * between two readings as on a machine that has much else to do: what depends on how fast the code runs shows as well.
 */
public final class Later {
    private static final Duration AHEAD = Duration.ofDays(401).plusHours(7).plusMinutes(13).plusSeconds(29);

    /** Milliseconds from one reading to the next, at least. */
    private static final long STEP = 61;
    private static final AtomicLong READINGS = new AtomicLong();

    private Later() {
    }

    private static Clock clock() {
        return Clock.offset(Clock.systemDefaultZone(), AHEAD.plusMillis(STEP * READINGS.incrementAndGet()));
    }

    /** The routine here that stands for a type's own {@code now()}. @param type its internal name */
    public static String named(String type) {
        String simple = type.substring(type.lastIndexOf('/') + 1);
        return Character.toLowerCase(simple.charAt(0)) + simple.substring(1);
    }

    public static long currentTimeMillis() {
        return clock().millis();
    }

    public static long nanoTime() {
        return System.nanoTime() + STEP * 1_000_000 * READINGS.incrementAndGet();
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
