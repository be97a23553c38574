package driftwood.behaviour.search;

/** Is told how far a long work has come. */
@FunctionalInterface
public interface Watcher {
    /** Does not look. */
    Watcher NONE = (done, all) -> { };

    /** So many of all are done. */
    void at(int done, int all);
}
