package driftwood.plan;

import driftwood.source.Language;

/** How the behaviour of a place is pinned down before it is changed: routine by routine where its language can be, else by whole runs. */
public final class Pinning {
    private Pinning() {
    }

    /** The command. @param finding its id @param file the place is in @param option what else it must be told, such as {@code  --project DIR}; may be empty */
    public static String command(String finding, String file, String option) {
        boolean routines = Language.ofFileName(file).filter(each -> each.isOnTheJvm() || each.interpreter().isPresent()).isPresent();
        return "driftwood characterize " + (routines ? finding : "--run \"COMMAND\"") + option;
    }
}
