package driftwood.cli;

import java.io.IOException;
import java.io.InputStream;
import java.util.Properties;

/** The version of this program. */
public final class Version {
    private Version() {
    }

    /** From the manifest of its jar. */
    static String number() {
        String version = Version.class.getPackage().getImplementationVersion();
        return version == null ? "in development" : version;
    }

    /** With the commit that it was built of, where that is known: {@code 0.1.0 (1a2b3c4)}. */
    public static String current() {
        String commit = commit();
        return number() + (commit.isEmpty() ? "" : " (" + commit + ")");
    }

    private static String commit() {
        Properties known = new Properties();
        try (InputStream from = Version.class.getResourceAsStream("/git.properties")) {
            if (from != null) {
                known.load(from);
            }
        } catch (IOException e) {
            return "";
        }
        String commit = known.getProperty("git.commit.id.abbrev", "");
        return commit.isEmpty() || commit.startsWith("$") ? "" : commit + ("true".equals(known.getProperty("git.dirty")) ? " and changes" : "");
    }
}
