package driftwood.words;

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

    /** Letters to insert, delete, replace or swap with their neighbour (Damerau 1964, without overlaps). */
    static int distance(String one, String other) {
        int[][] table = new int[one.length() + 1][other.length() + 1];
        for (int i = 0; i <= one.length(); i++) {
            for (int j = 0; j <= other.length(); j++) {
                if (i == 0 || j == 0) {
                    table[i][j] = i + j;
                    continue;
                }
                boolean same = one.charAt(i - 1) == other.charAt(j - 1);
                table[i][j] = Math.min(table[i - 1][j - 1] + (same ? 0 : 1),
                        1 + Math.min(table[i - 1][j], table[i][j - 1]));
                boolean swapped = i > 1 && j > 1 && one.charAt(i - 1) == other.charAt(j - 2)
                        && one.charAt(i - 2) == other.charAt(j - 1);
                if (swapped) {
                    table[i][j] = Math.min(table[i][j], table[i - 2][j - 2] + 1);
                }
            }
        }
        return table[one.length()][other.length()];
    }
}
