package driftwood.cli;

import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;

/** The known word that a mistyped one probably meant. */
public final class Nearest {
    private Nearest() {
    }

    /** Empty where no known word is near: more than a third of its letters would have to change. */
    public static Optional<String> to(String word, Collection<String> known) {
        return known.stream().filter(each -> distance(word, each) <= Math.max(1, each.length() / 3))
                .min(Comparator.comparingInt((String each) -> distance(word, each)).thenComparing(each -> each));
    }

    /** Letters to insert, delete or replace (Levenshtein 1966). */
    static int distance(String one, String other) {
        int[] row = new int[other.length() + 1];
        for (int j = 0; j <= other.length(); j++) {
            row[j] = j;
        }
        for (int i = 1; i <= one.length(); i++) {
            int diagonal = row[0];
            row[0] = i;
            for (int j = 1; j <= other.length(); j++) {
                int replaced = diagonal + (one.charAt(i - 1) == other.charAt(j - 1) ? 0 : 1);
                diagonal = row[j];
                row[j] = Math.min(replaced, 1 + Math.min(row[j], row[j - 1]));
            }
        }
        return row[other.length()];
    }
}
