package driftwood.read.ecmascript;

import driftwood.read.ReadLanguage;
import driftwood.read.Reader;
import driftwood.source.Idiom;
import driftwood.source.Language;

/** TypeScript, as far as others need to know it. */
public final class TypeScriptLanguage implements ReadLanguage {
    private static final Language KNOWN = EcmaFacts.of("typescript", "TypeScript", "ts", "mts", "cts", "tsx")
            .saying(new Idiom("compile", "the compiler", false, false, "interface"));

    @Override
    public Language language() {
        return KNOWN;
    }

    @Override
    public Reader reader() {
        return EcmaReader.ofTypeScript();
    }
}
