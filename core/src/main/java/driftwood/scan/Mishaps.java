package driftwood.scan;

/** Keeps the details of failures of our own that cost one file, so that they can be reported. Safe to use from several threads. */
public interface Mishaps {
    /** Keeps nothing. */
    Mishaps NONE = (what, problem) -> "";

    /**
     * Keeps the details of a failure.
     *
     * @param what    was looked at, such as the path of a file
     * @param problem what happened to it
     * @return where the details are, as an end of a sentence such as "; details in /tmp/x.txt"; empty where they are not kept
     */
    String keep(String what, Throwable problem);
}
