package driftwood.read.ruby;

import driftwood.read.ReadLanguage;
import driftwood.read.Reader;
import driftwood.source.Idiom;
import driftwood.source.Language;
import driftwood.source.Language.Contract;
import driftwood.source.Language.Habit;
import driftwood.source.Outside;
import java.util.Map;

/** Ruby, as far as others need to know it. */
public final class RubyLanguage implements ReadLanguage {
    private static final Language RUBY = Language.named("ruby", "Ruby").ending("rb", "rake")
            .with(Habit.IMPLIED_SELF, Habit.DUCK_TYPED, Habit.TRUTH, Habit.NOTHING_BY_KEY)
            .spelling(Map.of("null", "nil"))
            .testedBy(".*_(test|spec)\\.rb|test_.*\\.rb")
            .notWrittenHere("(.*/)?vendor/.*")
            .asking(Contract.EQUALITY, "==", "eql?").asking(Contract.HASH, "hash").asking(Contract.TEXT, "to_s", "inspect")
            .asking(Contract.ORDER, "<=>").asking(Contract.STEP, "next", "previous", "advance")
            .reaching(() -> Outside.beside(RubyLanguage.class))
            .saying(new Idiom("run the tests", "a test", false, false, "base class").spelling(Idiom.Spelling.SNAKE));

    @Override
    public Language language() {
        return RUBY;
    }

    @Override
    public Reader reader() {
        return new RubyReader();
    }
}
