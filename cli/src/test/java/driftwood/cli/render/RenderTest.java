package driftwood.cli.render;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RenderTest {

    @Test
    void controlCharactersOfSourcesNeverReachTheTerminal() {
        assertThat(Style.safe("a\u001B[31mb\u0007c\td")).isEqualTo("a\uFFFD[31mb\uFFFDc    d");
        assertThat(Style.safe("\u202Eevil\u2066")).isEqualTo("\uFFFDevil\uFFFD");
    }

    @Test
    void withoutColourNothingIsPainted() {
        assertThat(new Style(false).strong("a") + new Style(false).drag(4.2)).isEqualTo("a4.2");
        assertThat(new Style(true).strong("a")).isEqualTo("\u001B[1ma\u001B[0m");
    }

    @Test
    void paragraphsWrapAtBlanksAndHang() {
        assertThat(Paragraph.of("one two three four", 12, 2, 2)).isEqualTo("  one two\n    three\n    four\n");
        assertThat(Paragraph.of("ab  cdefghijkl  m", 6, 0, 2)).isEqualTo("ab\n  cdefghijkl\n  m\n");
        assertThat(Paragraph.of(new Style(true).strong("one") + " two", 9, 0, 0)).isEqualTo("\u001B[1mone\u001B[0m two\n");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', quoteCharacter = '`', value = {
        "{'is':'quay.Tug','name':'Ada','tonnage':80}|Tug{name: 'Ada', tonnage: 80}", "{'enum':'quay.Kind.TUG'}|Kind.TUG",
        "[1,null,true]|[1, null, true]", "{'set':[1]}|{set: [1]}", "{'is':'java.time.LocalDate','text':'2026-03-01'}|LocalDate '2026-03-01'"})
    void recordedValuesReadLikeCode(String json, String text) throws JsonProcessingException {
        assertThat(Parts.of(new ObjectMapper().readTree(json.replace('\'', '"')))).isEqualTo(text.replace('\'', '"'));
    }

    @Test
    void whatIsMissingIsNothing() {
        assertThat(Parts.of(null)).isEqualTo("nothing");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {"quay.Tariff#quote(Vessel)|Tariff#quote(Vessel)", "Desk#f()|Desk#f()",
        "a.b.Berth#Berth|Berth", "a.Office.Desk#f()|Office.Desk#f()", "quay.Berth|Berth", "quay.functions#()|functions (outside of routines)"})
    void symbolsLoseTheirPackage(String symbol, String text) {
        assertThat(FindingsText.unqualified(symbol)).isEqualTo(text);
    }

    @ParameterizedTest(name = "{0} in {1}")
    @CsvSource(delimiter = '|', value = {"Quay.Helper.TideTable#at(int)|src/TideTable.php|TideTable#at(int)", "Quay.Office.Desk|lib/quay/office.rb|Office.Desk",
        "Quay.Office.Desk#f()|lib/quay/rooms.rb|Office.Desk#f()", "TideTable.TideTable#at(n)|src/TideTable.js|TideTable#at(n)", "a.b.Office.Desk#f()|a/b/Office.java|Office.Desk#f()",
        "Office.Desk#f()|Office.java|Office.Desk#f()"})
    void packagesThatAreWrittenLikeTypesAreToldByThePath(String symbol, String file, String text) {
        assertThat(FindingsText.unqualified(symbol, file)).isEqualTo(text);
    }
}
