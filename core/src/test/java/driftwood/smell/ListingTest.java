package driftwood.smell;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.program.TypeOutline;
import driftwood.scan.Scan;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Names and numbers in sentences. */
class ListingTest {
    @TempDir
    Path root;

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '|', value = {
        "quay.Tide office.Desk | Desk Tide",
        "quay.Tide office.Tide | office.Tide quay.Tide",
        "north.quay.Tide south.quay.Tide | north.quay.Tide south.quay.Tide",
        "quay.Tide office.Tide office.Desk | office.Desk office.Tide quay.Tide",
        "quay.Tide | Tide"})
    void asMuchOfANameAsTellsItApart(String names, String said) {
        for (String each : names.split(" ")) {
            String type = each.substring(each.lastIndexOf('.') + 1);
            Given.write(root.resolve(each.replace('.', '/') + ".java"), "package " + each.substring(0, each.lastIndexOf('.')) + ";\nclass " + type + " { }\n");
        }
        List<TypeOutline> types = new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root)).site().program().outlines().stream()
                .flatMap(each -> each.types().stream()).sorted(Comparator.comparing(TypeOutline::name)).toList();
        assertThat(Listing.apart(types)).containsExactly(said.split(" "));
    }

    @ParameterizedTest
    @CsvSource({"Office, an Office", "Berth, a Berth", "order, an order"})
    void articles(String name, String said) {
        assertThat(Listing.a(name)).isEqualTo(said);
    }

    @ParameterizedTest
    @CsvSource({"1, 1 routine", "2, 2 routines", "0, 0 routines"})
    void counts(int count, String said) {
        assertThat(Listing.count(count, "routine")).isEqualTo(said);
    }
}
