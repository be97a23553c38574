package driftwood.read.csharp;

import driftwood.read.ReadLanguage;
import driftwood.read.Reader;
import driftwood.source.Idiom;
import driftwood.source.Language;
import driftwood.source.Language.Contract;
import driftwood.source.Language.Habit;
import driftwood.source.Outside;

/** C#, as far as others need to know it. */
public final class CSharpLanguage implements ReadLanguage {
    private static final Language CSHARP = Language.named("csharp", "C#").ending("cs")
            .with(Habit.IMPLIED_SELF, Habit.ALIASES, Habit.NAMED_ARGUMENTS)
            .testedBy(".*(Tests?|Specs?|Fixture)\\.cs")
            .notWrittenHere("(.*/)?obj/.*|(?i).*\\.(g|g\\.i|designer|generated)\\.cs")
            .asking(Contract.EQUALITY, "Equals").asking(Contract.HASH, "GetHashCode").asking(Contract.TEXT, "ToString")
            .asking(Contract.ORDER, "CompareTo").asking(Contract.COMPARISON, "Compare")
            .asking(Contract.STEP, "MoveNext", "Next", "Previous", "Advance")
            .reaching(() -> Outside.beside(CSharpLanguage.class))
            .saying(new Idiom("build", "the compiler", true, false, "interface").spelling(Idiom.Spelling.PASCAL));

    @Override
    public Language language() {
        return CSHARP;
    }

    @Override
    public Reader reader() {
        return new CSharpReader();
    }
}
