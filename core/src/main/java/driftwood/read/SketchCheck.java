package driftwood.read;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** Says what is wrong with changed source text, where a language has a compiler at hand. Runs none of the code it reads. */
public interface SketchCheck {

    /**
     * Something that is wrong after the change and was not before.
     *
     * @param file    relative path
     * @param unknown the name that is not known there; empty where that is not the matter
     * @param says    what the compiler says, one line
     */
    record Complaint(String file, String unknown, String says) {
    }

    /**
     * What is newly wrong; empty where the change compiles as well as the project did before.
     *
     * @param root    of the project
     * @param sources all its files of this language, relative to the root, with the package that each says it is in
     * @param before  texts of those that change, by relative path
     * @param after   the same and new files, after the change
     */
    List<Complaint> complaints(Path root, Map<String, String> sources, Map<String, String> before, Map<String, String> after);
}
