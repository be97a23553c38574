package driftwood.cli.command;

import driftwood.plan.Plan;

/**
 * The message of a commit for one stage: what it does, what it is a part of, and what is known of the behaviour.
 *
 * @param compared false where stages were only compiled
 */
record StageMessage(Plan plan, boolean compared) {
    private static final int SUBJECT = 72;
    private static final int WIDTH = 72;

    /** @param stage from 0 @param meant whether a change of behaviour is its point */
    String of(String does, int stage, int stages, boolean meant) {
        String subject = does;
        String rest = "";
        if (subject.length() > SUBJECT) {
            int cut = Math.max(subject.lastIndexOf(", ", SUBJECT), subject.lastIndexOf(": ", SUBJECT));
            cut = cut < SUBJECT / 3 ? subject.lastIndexOf(' ', SUBJECT) : cut;
            rest = subject.substring(cut).replaceFirst("^[,:]? ", "") + ".\n\n";
            subject = subject.substring(0, cut);
        }
        return subject + "\n\n" + (rest.isEmpty() ? "" : wrapped(Character.toUpperCase(rest.charAt(0)) + rest.substring(1)) + "\n\n")
                + wrapped("Part " + (stage + 1) + " of " + stages + " on the way from " + plan.smell() + " to " + plan.pattern() + " in " + plan.symbol()
                + (stage == 0 ? ": " + plan.message() + "." : ".")) + "\n\n" + (stage + 1 == stages ? "This is the last part. " : "")
                + (!compared ? "It compiles; the behaviour was not compared.\n" : meant ? "The change of behaviour is meant.\n" : "The behaviour is confirmed to be the same.\n");
    }

    private static String wrapped(String text) {
        StringBuilder all = new StringBuilder();
        int column = 0;
        for (String word : text.strip().split("\\s+")) {
            if (column + word.length() + 1 > WIDTH) {
                all.append('\n');
                column = 0;
            } else if (column > 0) {
                all.append(' ');
                column++;
            }
            all.append(word);
            column += word.length();
        }
        return all.toString();
    }
}
