package driftwood.read.kotlin;

import driftwood.read.ReadLanguage;
import driftwood.read.Reader;
import driftwood.source.Idiom;
import driftwood.source.Language;
import driftwood.source.Language.Contract;
import driftwood.source.Language.Habit;
import driftwood.source.Outside;

/** Kotlin, as far as others need to know it. */
public final class KotlinLanguage implements ReadLanguage {
    private static final Language KOTLIN = Language.named("kotlin", "Kotlin").ending("kt").family("java")
            .with(Habit.IMPLIED_SELF, Habit.ALIASES, Habit.NAMED_ARGUMENTS, Habit.NOTHING_BY_KEY, Habit.NOTHING_CHECKED, Habit.LOOSE_IN_PACKAGE, Habit.CHOICES_CHECKED)
            .testedBy(".*(Test|Tests|Spec)\\.kt")
            .asking(Contract.EQUALITY, "equals").asking(Contract.HASH, "hashCode").asking(Contract.TEXT, "toString")
            .asking(Contract.ORDER, "compareTo").asking(Contract.COMPARISON, "compare").asking(Contract.STEP, "next", "previous", "advance")
            .reaching(() -> Outside.beside(KotlinLanguage.class))
            .saying(new Idiom("build", "the compiler", true, true, "interface"));

    @Override
    public Language language() {
        return KOTLIN;
    }

    @Override
    public Reader reader() {
        return new KotlinReader();
    }
}
