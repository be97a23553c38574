package driftwood.read;

import driftwood.read.java.JavaReader;
import driftwood.read.python.PythonReader;
import driftwood.source.Language;
import java.util.EnumMap;
import java.util.Map;

/** The reader of each language, made when the first file of that language is met. A new language is a line here. */
public final class Readers {
    private final Map<Language, Reader> made = new EnumMap<>(Language.class);

    /** The reader of a language; safe to ask from several threads. */
    public synchronized Reader of(Language language) {
        return made.computeIfAbsent(language, wanted -> switch (wanted) {
            case JAVA -> new JavaReader();
            case PYTHON -> new PythonReader();
        });
    }
}
