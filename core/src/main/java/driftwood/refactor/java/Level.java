package driftwood.refactor.java;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The level of the language that a project is written in, as its build files say.
 *
 * @param number such as 8 or 17
 */
record Level(int number) {
    /** What this program itself needs: without a word in the build file, code may have what the compiler at hand has. */
    private static final int USUAL = 17;
    private static final Pattern SAID = Pattern.compile("(?:<(?:maven\\.compiler\\.)?(?:release|source|target)>\\s*|sourceCompatibility\\s*=?\\s*[^\\d\\n]*|languageVersion\\D*)(?:1\\.)?(\\d+)");

    /** Asks the build files from a folder upwards, three levels at most. */
    static Level of(Path root) {
        Path folder = root.toAbsolutePath();
        for (int i = 0; i < 3 && folder != null; i++, folder = folder.getParent()) {
            for (String name : new String[] {"pom.xml", "build.gradle", "build.gradle.kts"}) {
                Path file = folder.resolve(name);
                if (Files.isRegularFile(file)) {
                    Level said = said(file);
                    if (said.number > 0) {
                        return said;
                    }
                }
            }
        }
        return new Level(USUAL);
    }

    private static Level said(Path file) {
        try {
            Matcher said = SAID.matcher(Files.readString(file));
            return new Level(said.find() ? Integer.parseInt(said.group(1)) : 0);
        } catch (IOException e) {
            return new Level(0);
        }
    }
}
