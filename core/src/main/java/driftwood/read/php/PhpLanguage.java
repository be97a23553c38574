package driftwood.read.php;

import driftwood.read.ReadLanguage;
import driftwood.read.Reader;
import driftwood.source.Idiom;
import driftwood.source.Language;
import driftwood.source.Language.Contract;
import driftwood.source.Language.Habit;
import driftwood.source.Outside;

/** PHP, as far as others need to know it. */
public final class PhpLanguage implements ReadLanguage {
    private static final Language PHP = Language.named("php", "PHP").ending("php", "phtml", "inc")
            .with(Habit.DUCK_TYPED, Habit.ALIASES, Habit.NAMED_ARGUMENTS, Habit.TRUTH, Habit.NOTHING_BY_KEY, Habit.LOOSE_IN_PACKAGE)
            .testedBy(".*(Test|TestCase|Spec|Cest)\\.php")
            .notWrittenHere("(.*/)?vendor/.*")
            .asking(Contract.EQUALITY, "equals").asking(Contract.TEXT, "__toString").asking(Contract.COMPARISON, "compare")
            .asking(Contract.STEP, "next", "previous", "advance")
            .reaching(() -> Outside.beside(PhpLanguage.class))
            .saying(new Idiom("run the tests", "a test", true, false, "interface"));

    @Override
    public Language language() {
        return PHP;
    }

    @Override
    public Reader reader() {
        return new PhpReader();
    }
}
