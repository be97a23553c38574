package driftwood.scan;

import driftwood.pattern.Answer;
import driftwood.pattern.Computed;
import driftwood.pattern.Fit;
import driftwood.pattern.Pattern;
import driftwood.pattern.Pattern.Answering;
import driftwood.pattern.Site;
import driftwood.program.Program;
import driftwood.smell.Finding;
import driftwood.smell.detect.Catalogue;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** A pattern that answers every smell with what it asks the program. */
public record Asking(Function<Program, Optional<Fit>> asks) implements Computed {

    public static Pattern pattern(Function<Program, Optional<Fit>> asks) {
        Map<String, Answering> all = Catalogue.keys().stream().collect(Collectors.toMap(key -> key,
                key -> new Answering(1, Optional.empty(), Optional.empty())));
        return new Pattern("asking", "Asks.", "Never.", List.of("asker"), all, Optional.of(new Asking(asks)));
    }

    @Override
    public String key() {
        return "asking";
    }

    @Override
    public Optional<Fit> fit(Finding finding, Program program) {
        return asks.apply(program);
    }

    @Override
    public Answer answer(Finding finding, Site site) {
        throw new UnsupportedOperationException("it only asks");
    }
}
