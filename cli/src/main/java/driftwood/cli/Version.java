package driftwood.cli;

/** The version of this program, from the manifest of its jar. */
public final class Version {
    private Version() {
    }

    public static String current() {
        String version = Version.class.getPackage().getImplementationVersion();
        return version == null ? "in development" : version;
    }
}
