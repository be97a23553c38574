package driftwood.behaviour.input;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZonedDateTime;
import java.util.HashSet;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class MomentsTest {

    private static Set<String> near(String text) {
        Set<String> near = new HashSet<>();
        for (int seed = 0; seed < 60; seed++) {
            Moments.near(text, new Random(seed)).ifPresent(near::add);
        }
        return near;
    }

    static Stream<Arguments> forms() {
        return Stream.of(form("2024-02-29", LocalDate::parse), form("2026-03-01T08:15", LocalDateTime::parse),
                form("2026-03-01T08:15:30.250Z", Instant::parse), form("2026-03-01T08:15:30.250+01:00", OffsetDateTime::parse),
                form("2026-06-30T12:00+01:00[Europe/Lisbon]", ZonedDateTime::parse), form("PT90M", Duration::parse),
                form("-PT1S", Duration::parse));
    }

    private static Arguments form(String text, Function<CharSequence, Object> parse) {
        return Arguments.of(text, parse);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("forms")
    void neighboursAreOfTheSameForm(String text, Function<CharSequence, Object> parse) {
        assertThat(near(text)).hasSizeGreaterThan(4).allSatisfy(each -> assertThatCode(() -> parse.apply(each))
                .doesNotThrowAnyException());
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "Ada", "2026", "12:30", "2026-13-41", "PT", "P1D later"})
    void otherTextsMeanNoMoment(String text) {
        assertThat(Moments.near(text, new Random(1))).isEqualTo(Optional.empty());
    }
}
