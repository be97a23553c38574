package driftwood.behaviour.build;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * Where the observed code is.
 *
 * @param own   folders of the project's classes, never empty
 * @param needs what they need: resources and libraries
 */
public record Homes(List<Path> own, List<Path> needs) {

    /** One folder of classes, and what they need. */
    public static Homes of(Path classes, List<Path> needs) {
        return new Homes(List.of(classes), needs);
    }

    /** All of it, in order. */
    public List<Path> path() {
        List<Path> all = new ArrayList<>(own);
        all.addAll(needs);
        return all;
    }
}
