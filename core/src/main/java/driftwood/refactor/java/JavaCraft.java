package driftwood.refactor.java;

import driftwood.pattern.Site;
import driftwood.refactor.Craft;
import driftwood.refactor.Libraries;

/** Makes the craft of Java when it is needed. */
public final class JavaCraft implements Craft.Maker {

    @Override
    public String language() {
        return "java";
    }

    @Override
    public Craft of(Site site, Libraries libraries) {
        return new JavaRefactorings(site, libraries);
    }
}
