package driftwood.read.ecmascript;

import driftwood.read.ReadLanguage;
import driftwood.read.Reader;
import driftwood.source.Idiom;
import driftwood.source.Language;
import driftwood.source.Language.Contract;
import driftwood.source.Language.Habit;
import driftwood.source.Outside;

/** TypeScript, as far as others need to know it. */
public final class TypeScriptLanguage implements ReadLanguage {
    private static final Language KNOWN = Language.named("typescript", "TypeScript").ending("ts", "mts", "cts", "tsx")
            .with(Habit.DUCK_TYPED, Habit.ALIASES, Habit.TRUTH, Habit.IMPLIED_NOTHING)
            .testedBy(".*[._-](test|tests|spec|specs|e2e|bench)\\.[cm]?[jt]sx?|(test|tests|spec)[-_.].*\\.[cm]?[jt]sx?")
            .notWrittenHere("(.*/)?(vendor|vendors|bower_components|third_party|\\.yarn)/.*|.*[.-]min\\.[cm]?js|.*\\.bundle\\.js|.*\\.d\\.[cm]?ts")
            .asking(Contract.EQUALITY, "equals").asking(Contract.TEXT, "toString", "toJSON").asking(Contract.COMPARISON, "compare", "localeCompare")
            .asking(Contract.STEP, "next", "previous", "advance")
            .reaching(() -> Outside.beside(TypeScriptLanguage.class))
            .saying(new Idiom("run the tests", "a test", false));

    @Override
    public Language language() {
        return KNOWN;
    }

    @Override
    public Reader reader() {
        return EcmaReader.ofTypeScript();
    }
}
