package driftwood.plan;

import driftwood.pattern.Site;
import driftwood.plan.Use.Rest;
import driftwood.plan.Use.Way;
import driftwood.program.Outline;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.read.Reader;
import driftwood.read.Readers;
import driftwood.smell.Detail;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Detail.Choosing;
import driftwood.smell.Detail.Place;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Listing;
import driftwood.source.Language;
import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import driftwood.tree.TypeKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Where else the variants of a finding are told apart, though it is no smell by itself: a look-up, a single arm, a
 * second decision. One variant more has to be seen there as well. (Catalogue, change drill.)
 */
final class OtherDecisions {
    /** A hierarchy with more than so many kinds for each that a finding names is wide. */
    private static final int WIDE = 3;
    /** So many files are read in one go. */
    private static final int BATCH = 24;
    private final String variant;
    private final Finding finding;
    private final Site site;
    /** Places that are told as such: they decide the same as the finding. */
    private final List<Place> known = new ArrayList<>();
    /** The types that the finding asks for; empty where it asks for none. */
    private final Set<String> named = new LinkedHashSet<>();
    private final List<Found> found = new ArrayList<>();

    private record Found(String file, Use use) {
        boolean meets(String other, int line, int endLine) {
            return file.equals(other) && use.line() <= endLine && line <= use.endLine();
        }
    }

    /** @param variant what one more is called, as in "the new Flag" */
    OtherDecisions(Finding finding, Site site, String variant) {
        this.variant = variant;
        this.finding = finding;
        this.site = site;
        finding.detail().accept(new Detail.Visitor<Void>() {
            @Override
            public Void visitDetail(Detail detail) {
                return null;
            }

            @Override
            public Void visitBranching(Branching branching) {
                known.addAll(branching.siblings());
                named.addAll(branching.onTypes() ? branching.variants() : List.of());
                site.type(branching.common()).ifPresent(type -> find(type, branching.onTypes() ? Set.of()
                        : new LinkedHashSet<>(type.kind() == TypeKind.ENUM ? type.constants() : branching.variants())));
                return null;
            }

            @Override
            public Void visitChoosing(Choosing choosing) {
                known.addAll(choosing.repeats());
                site.type(choosing.common()).ifPresent(type -> find(type, Set.of()));
                return null;
            }
        });
        found.sort(Comparator.comparing(Found::file).thenComparingInt(each -> each.use().line()).thenComparing(each -> each.use().about()));
    }

    /** The places, by file and line; none where the variants have no type of the project in common. */
    List<Evidence> places() {
        return found.stream().filter(each -> !each.meets(finding.file(), finding.line(), finding.endLine())
                        && known.stream().noneMatch(place -> each.meets(place.file(), place.line(), place.endLine())))
                .map(each -> new Evidence(each.file(), each.use().line(), each.use().endLine(), note(each.use()))).toList();
    }

    /** What becomes of a variant that is forgotten where the same is decided, as a clause behind others; empty where that is not known. */
    String forgotten(Place place) {
        return found.stream().filter(each -> each.use().way() == Way.CHOOSES && each.meets(place.file(), place.line(), place.endLine())).findFirst()
                .map(each -> forgotten(each.use())).orElse("");
    }

    /** @param constants of the type that are told apart; empty where its subtypes are */
    private void find(TypeOutline common, Set<String> constants) {
        Set<String> words = new LinkedHashSet<>(constants);
        if (constants.isEmpty()) {
            site.program().descendants(common).forEach(each -> words.add(each.simpleName()));
        }
        if (words.isEmpty()) {
            return;
        }
        Language language = site.program().fileOf(common).language();
        Pattern bare = Pattern.compile("\\b(?:case|import static)\\b[^\\n]*\\b(?:" + words.stream().map(Pattern::quote).collect(Collectors.joining("|")) + ")\\b");
        Kinds kinds = new Kinds(site.program(), common, constants);
        Readers readers = new Readers();
        Map<Language, List<SourceText>> texts = site.program().outlines().parallelStream().filter(each -> !each.test() && each.language().family().equals(language.family()))
                .flatMap(each -> text(each).stream()).filter(each -> mentions(each.text(), words, constants.isEmpty() ? "" : common.simpleName(), bare))
                .collect(Collectors.groupingBy(each -> each.file().language()));
        texts.forEach((each, all) -> found.addAll(IntStream.range(0, (all.size() + BATCH - 1) / BATCH).parallel()
                .mapToObj(at -> found(all.subList(at * BATCH, Math.min(all.size(), (at + 1) * BATCH)), readers.of(each), kinds))
                .flatMap(List::stream).filter(one -> isOfTheSame(one.use(), words.size())).toList()));
    }

    /** @param owner by which constants are named; empty where types are */
    private static boolean mentions(String text, Set<String> words, String owner, Pattern bare) {
        return words.stream().anyMatch(text::contains) && (text.contains(owner) || bare.matcher(text).find());
    }

    /** A file that cannot be read was told by the scan; it must not take its neighbours along. */
    private static List<Found> found(List<SourceText> texts, Reader reader, Kinds kinds) {
        try {
            List<Found> found = new ArrayList<>();
            reader.read(texts, tree -> VariantWalk.of(tree, kinds).forEach(use -> found.add(new Found(tree.file().path(), use))));
            return found;
        } catch (RuntimeException | StackOverflowError | AssertionError e) {
            return texts.size() == 1 ? List.of() : texts.stream().flatMap(each -> found(List.of(each), reader, kinds).stream()).toList();
        }
    }

    /** In a wide hierarchy a question for a type that the finding does not ask for is another matter. @param all how many kinds there are */
    private boolean isOfTheSame(Use use, int all) {
        return named.isEmpty() || all <= WIDE * named.size() || use.named().stream().anyMatch(named::contains);
    }

    private Optional<SourceText> text(Outline outline) {
        try {
            return Optional.of(SourceText.read(new SourceFile(outline.file(), site.root().resolve(outline.file()), outline.language(), outline.test())));
        } catch (SourceText.NotReadable e) {
            return Optional.empty();
        }
    }

    private String note(Use use) {
        String one = "the new " + variant;
        String names = Listing.of(List.copyOf(use.named()));
        String where = Symbol.of(use.routine()).member();
        if (use.way() == Way.KEEPS) {
            return "an entry for " + one + (use.about().isEmpty() ? "" : " in " + use.about()) + "; forgotten, it has none";
        }
        if (use.way() == Way.ASKS) {
            return where + " asks for " + names + (use.named().size() == 1 ? " alone" : "") + ": see whether " + one + " goes with " + (use.named().size() == 1 ? "it" : "them");
        }
        return where + " chooses between " + names + ": a branch for " + one + forgotten(use);
    }

    private static String forgotten(Use use) {
        return use.rest() == Rest.CHECKED ? ", which the compiler asks for"
                : "; forgotten, " + (use.rest() == Rest.THROWS ? "it throws" : use.rest() == Rest.SAME ? "it gets what all others get" : "nothing is done");
    }
}
