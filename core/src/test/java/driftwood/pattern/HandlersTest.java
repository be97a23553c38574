package driftwood.pattern;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.Chain;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Detail.Choosing;
import driftwood.smell.Finding;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A table is called after what it is for: what is made, or what is done. */
class HandlersTest {

    @ParameterizedTest
    @CsvSource({
        "issue, LightPermit, HeavyPermit, PERMIT_MAKERS, PermitMaker",
        "makeSheet, Tide, Dues, SHEET_MAKERS, SheetMaker",
        "make, Tide, Dues, MAKERS, Maker",
        "issue, Tide, Dues, ISSUE_MAKERS, IssueMaker"
    })
    void whatMakesThingsIsAMaker(String routine, String one, String other, String table, String type) {
        Finding finding = Given.only("conditional-instantiation", """
                package quay;
                interface Made { String tell(); }
                class %s implements Made { public String tell() { return "1"; } }
                class %s implements Made { public String tell() { return "2"; } }
                class Office {
                    int n;
                    String %s(String kind) {
                        Made made;
                        n++;
                        switch (kind) {
                            case "a": made = new %s(); break;
                            case "b": made = new %s(); break;
                            default: throw new IllegalArgumentException(kind);
                        }
                        return made.tell() + n;
                    }
                }
                """.formatted(one, other, routine, one, other));
        Chain chain = ((Choosing) finding.detail()).chain();
        assertThat(Handlers.table(chain)).isEqualTo(table);
        assertThat(Handlers.type(chain)).isEqualTo(type);
    }

    @ParameterizedTest
    @CsvSource({"quote, QUOTE_HANDLERS, QuoteHandler", "sumUp, SUM_UP_HANDLERS, SumUpHandler"})
    void whatDoesThingsIsAHandler(String routine, String table, String type) {
        Finding finding = Given.only("type-switch", """
                package quay;
                class Office {
                    int n;
                    void %s(String kind) {
                        switch (kind) {
                            case "a": n += 2; System.out.println(n); break;
                            case "b": n += 3; System.out.println(kind); break;
                            default: throw new IllegalArgumentException(kind);
                        }
                    }
                }
                """.formatted(routine));
        Chain chain = ((Branching) finding.detail()).chain();
        assertThat(Handlers.table(chain)).isEqualTo(table);
        assertThat(Handlers.type(chain)).isEqualTo(type);
    }

    @ParameterizedTest
    @CsvSource({"short, long", "long, short", "ascending, descending", "tide, ''"})
    void oneWordSaysWhatTheOtherIsNot(String word, String opposite) {
        assertThat(Opposites.of(word).orElse("")).isEqualTo(opposite);
    }
}
