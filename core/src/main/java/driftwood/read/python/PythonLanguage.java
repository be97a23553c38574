package driftwood.read.python;

import driftwood.read.ReadLanguage;
import driftwood.read.Reader;
import driftwood.source.Idiom;
import driftwood.source.Language;
import driftwood.source.Language.Contract;
import driftwood.source.Language.Habit;
import driftwood.source.Language.Interpreter;
import driftwood.source.Outside;
import java.util.List;
import java.util.Map;

/** Python, as far as others need to know it. */
public final class PythonLanguage implements ReadLanguage {
    private static final Language PYTHON = Language.named("python", "Python").ending("py")
            .with(Habit.DUCK_TYPED, Habit.ALIASES, Habit.NAMED_ARGUMENTS, Habit.NAMED_ONLY, Habit.FUNCTIONS_ALONE, Habit.TRUTH, Habit.IMPLIED_NOTHING, Habit.PRIVATE_BY_NAME)
            .spelling(Map.of("null", "None", "true", "True", "false", "False"))
            .testedBy("test_.*\\.py|.*_test\\.py|conftest\\.py").testedByImports("pytest.", "unittest.")
            .asking(Contract.EQUALITY, "__eq__").asking(Contract.HASH, "__hash__").asking(Contract.TEXT, "__repr__", "__str__")
            .asking(Contract.ORDER, "__lt__", "__le__", "__gt__", "__ge__").asking(Contract.STEP, "__next__", "next", "previous", "advance")
            .interpretedBy(new Interpreter("python3", List.of(".venv/bin/python", "venv/bin/python", ".venv/Scripts/python.exe",
                    "venv/Scripts/python.exe"), List.of("witness.py", "slips.py", "mistakes.py", "inquiry.py", "describing.py", "making.py")))
            .reaching(() -> Outside.beside(PythonLanguage.class))
            .saying(new Idiom("run the tests", "a test", false, false, "base class").spelling(Idiom.Spelling.SNAKE));

    @Override
    public Language language() {
        return PYTHON;
    }

    @Override
    public Reader reader() {
        return new PythonReader();
    }
}
