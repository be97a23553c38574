package driftwood.read.ecmascript;

import driftwood.source.Language;
import driftwood.source.Language.Contract;
import driftwood.source.Language.Habit;
import driftwood.source.Outside;

/** What JavaScript and TypeScript have in common, as far as others need to know it. */
final class EcmaFacts {
    private static final String TESTS = ".*[._-](test|tests|spec|specs|e2e|bench)\\.[cm]?[jt]sx?|(test|tests|spec)[-_.].*\\.[cm]?[jt]sx?";
    private static final String FETCHED = "(.*/)?(vendor|vendors|bower_components|third_party|\\.yarn)/.*|.*[.-]min\\.[cm]?js|.*\\.bundle\\.js|.*\\.d\\.[cm]?ts";

    private EcmaFacts() {
    }

    static Language of(String key, String title, String... endings) {
        return Language.named(key, title).ending(endings).family("ecmascript")
                .with(Habit.DUCK_TYPED, Habit.ALIASES, Habit.TRUTH, Habit.IMPLIED_NOTHING, Habit.NOTHING_BY_KEY, Habit.SCRIPTS_SHARE)
                .testedBy(TESTS).notWrittenHere(FETCHED)
                .asking(Contract.EQUALITY, "equals").asking(Contract.TEXT, "toString", "toJSON").asking(Contract.COMPARISON, "compare", "localeCompare")
                .asking(Contract.STEP, "next", "previous", "advance")
                .reaching(() -> Outside.beside(EcmaFacts.class));
    }
}
