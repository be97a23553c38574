package driftwood.pattern;

import driftwood.pattern.Answer.Check;
import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Answer.Role;
import driftwood.pattern.Answer.Step;
import driftwood.program.Program;
import driftwood.program.Symbol;
import driftwood.smell.Detail.Part;
import driftwood.smell.Detail.Place;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Gathered;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * What a pattern says to one smell, in words: for findings that carry names and places only. In all texts a part in
 * braces, such as <code>{collaborators}</code>, stands for the names that play it in the finding.
 *
 * @param only    what it is for
 * @param score   of the fit, 0.0 to 1.0; a tenth is added for each doubling of the places beyond two
 * @param because why it fits, one clause
 * @param cast    which part of the finding plays which of the pattern's roles
 * @param steps   what to do, in order
 * @param cost    what it adds
 * @param after   what is to be edited for one more variant once it is done, a clause for each place; none where nothing is
 */
public record Advice(Only only, double score, String because, Map<String, String> cast, List<String> steps, Cost cost, List<String> after) {
    /** Which findings of a smell an answer is for, by what they are at. */
    enum Only {
        ANYTHING {
            @Override
            boolean is(Symbol place) {
                return true;
            }
        },
        CONSTRUCTORS {
            @Override
            boolean is(Symbol place) {
                return isConstructor(place);
            }
        },
        /** Not what is done while an object is made: its fields and constructors. */
        ROUTINES {
            @Override
            boolean is(Symbol place) {
                return place.isRoutine() && !isConstructor(place);
            }
        };

        abstract boolean is(Symbol place);

        private static boolean isConstructor(Symbol place) {
            return place.isRoutine() && place.member().equals(place.simpleType());
        }

        /** @param word as in the table; empty for anything */
        static Only of(String word) {
            return word.isEmpty() ? ANYTHING : valueOf(word.toUpperCase(Locale.ROOT));
        }
    }

    private static final double PER_DOUBLING = 0.05;

    /** Whether it can be said of a finding at all: the constructor of an abstract type is called by its subtypes, and nobody creates one by it. */
    boolean suits(Finding finding, Program program) {
        Symbol place = Symbol.of(finding.symbol());
        return only.is(place) && (only != Only.CONSTRUCTORS || program.type(place.type()).filter(each -> !each.isConcrete()).isEmpty());
    }

    Fit fit(String pattern, Gathered gathered) {
        int places = Math.max(2, gathered.places().size());
        double more = PER_DOUBLING * (Math.log(places / 2.0) / Math.log(2));
        return new Fit(pattern, score + Math.min(0.2, more), filled(because, gathered));
    }

    Answer answer(Finding finding, Gathered gathered) {
        List<Role> roles = new ArrayList<>();
        for (Part part : gathered.parts()) {
            part.names().stream().filter(name -> cast.containsKey(part.called()))
                    .forEach(name -> roles.add(new Role(cast.get(part.called()), name, true)));
        }
        Symbol symbol = Symbol.of(finding.symbol());
        Evidence here = new Evidence(finding.file(), finding.line(), finding.endLine(), symbol.member().isEmpty() ? symbol.simpleType()
                : symbol.isRoutine() ? symbol.member() + "()" : symbol.member());
        List<Evidence> everywhere = gathered.places().stream().map(Place::evidence).toList();
        List<Step> all = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            boolean last = i == steps.size() - 1;
            all.add(new Step(filled(steps.get(i), gathered), last && !everywhere.isEmpty() ? everywhere : List.of(here),
                    last ? Check.CONFIRM : Check.LANGUAGE));
        }
        return new Answer(roles, all, cost, after.stream()
                .map(each -> new Evidence(finding.file(), finding.line(), finding.endLine(), filled(each, gathered))).toList());
    }

    private static String filled(String text, Gathered gathered) {
        String filled = text;
        for (Part part : gathered.parts()) {
            filled = filled.replace("{" + part.called() + "}", listed(part.names()));
        }
        return filled;
    }

    private static String listed(List<String> names) {
        return names.size() <= 4 ? names.stream().distinct().collect(Collectors.joining(", "))
                : String.join(", ", names.subList(0, 3)) + " and " + (names.size() - 3) + " more";
    }
}
