package driftwood.refactor.python;

import driftwood.pattern.Site;
import driftwood.refactor.Craft;
import driftwood.refactor.Libraries;
import driftwood.refactor.python.ground.Modules;

/** Makes the craft of Python when it is needed. */
public final class PythonCraft implements Craft.Maker {

    @Override
    public String language() {
        return "python";
    }

    @Override
    public Craft of(Site site, Libraries libraries) {
        return new PythonRefactorings(site, new Modules(site));
    }
}
