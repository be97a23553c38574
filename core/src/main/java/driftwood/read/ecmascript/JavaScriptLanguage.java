package driftwood.read.ecmascript;

import driftwood.read.ReadLanguage;
import driftwood.read.Reader;
import driftwood.source.Idiom;
import driftwood.source.Language;

/** JavaScript, as far as others need to know it. */
public final class JavaScriptLanguage implements ReadLanguage {
    private static final Language KNOWN = EcmaFacts.of("javascript", "JavaScript", "js", "mjs", "cjs", "jsx")
            .saying(new Idiom("run the tests", "a test", false, false, "base class"));

    @Override
    public Language language() {
        return KNOWN;
    }

    @Override
    public Reader reader() {
        return EcmaReader.ofJavaScript();
    }
}
