package driftwood.pattern;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Proposed names are made of the words that are there. */
class WordsTest {

    @ParameterizedTest
    @CsvSource({"quote, Quote", "line_up, LineUp", "LineUp, LineUp", "_dues, Dues", "'', ''", "x, X"})
    void upper(String word, String upper) {
        assertThat(Words.upper(word)).isEqualTo(upper);
    }

    @ParameterizedTest
    @CsvSource({"TugQuote, tugQuote", "quote, quote", "'', ''", "X, x", "URLQuote, urlQuote", "CPInt, cpInt", "BHSD, bhsd"})
    void lower(String word, String lower) {
        assertThat(Words.lower(word)).isEqualTo(lower);
    }

    @ParameterizedTest
    @CsvSource({"FIRST_CLASS, FirstClass", "first-class, FirstClass", "tug, Tug", "carFerry, CarFerry", "CAR, Car"})
    void labelsBecomePartsOfNames(String label, String part) {
        assertThat(Words.ofLabel(label)).isEqualTo(part);
    }

    @ParameterizedTest
    @CsvSource({"quoteTug, QUOTE_TUG", "quote, QUOTE", "Quote, QUOTE"})
    void constants(String word, String constant) {
        assertThat(Words.constant(word)).isEqualTo(constant);
    }

    @ParameterizedTest
    @CsvSource({"quoteTug, quote_tug", "quote, quote", "QuoteTug, quote_tug", "quote_tug, quote_tug"})
    void underscores(String word, String snake) {
        assertThat(Words.snake(word)).isEqualTo(snake);
    }

    @ParameterizedTest
    @CsvSource({"Berth, a Berth", "Anchor, an Anchor", "InternalGate, an InternalGate", "office, an office"})
    void oneOfAKind(String name, String one) {
        assertThat(Words.one(name)).isEqualTo(one);
    }
}
