package driftwood.read.java;

import driftwood.read.ReadLanguage;
import driftwood.read.Reader;
import driftwood.source.Idiom;
import driftwood.source.Language;
import driftwood.source.Language.Contract;
import driftwood.source.Language.Habit;
import driftwood.source.Outside;

/** Java, as far as others need to know it. */
public final class JavaLanguage implements ReadLanguage {
    private static final Language JAVA = Language.named("java", "Java").ending("java")
            .with(Habit.IMPLIED_SELF, Habit.LAMBDAS_FULFIL, Habit.ON_THE_JVM)
            .testedByImports("org.junit.", "org.testng.", "org.mockito.", "org.assertj.", "junit.framework.", "org.hamcrest.", "org.openjdk.jmh.")
            .asking(Contract.EQUALITY, "equals").asking(Contract.HASH, "hashCode").asking(Contract.TEXT, "toString")
            .asking(Contract.ORDER, "compareTo").asking(Contract.COMPARISON, "compare").asking(Contract.STEP, "next", "previous", "advance")
            .reaching(() -> Outside.beside(JavaLanguage.class))
            .saying(new Idiom("compile", "the compiler", true, true, "interface"));

    @Override
    public Language language() {
        return JAVA;
    }

    @Override
    public Reader reader() {
        return new JavaReader();
    }
}
