package driftwood.scan;

import driftwood.smell.Finding;
import driftwood.smell.Smell;
import driftwood.smell.detect.Catalogue;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Gives findings their ids: a prefix of the smell and six characters from its symbol and its ordinal there. Lines may
 * move without changing an id.
 */
final class Ids {
    /** Without letters and digits that are easily mistaken for each other. */
    private static final String ALPHABET = "23456789abcdefghjkmnpqrstuvwxyz";
    private static final int LENGTH = 6;

    private Ids() {
    }

    /** @param findings sorted by place, so that ordinals are stable */
    static List<Finding> assign(List<Finding> findings) {
        Map<String, Integer> ordinals = new HashMap<>();
        Set<String> given = new HashSet<>();
        List<Finding> named = new ArrayList<>();
        MessageDigest sha = sha();
        for (Finding finding : findings) {
            String base = finding.smell() + "|" + finding.symbol();
            String prefix = Catalogue.smell(finding.smell()).map(Smell::prefix).orElse("x");
            String key = base + "|" + ordinals.merge(base, 1, Integer::sum);
            String id = prefix + "-" + hash(sha, key);
            while (!given.add(id)) {
                key += "+";
                id = prefix + "-" + hash(sha, key);
            }
            named.add(finding.withId(id));
        }
        return named;
    }

    private static MessageDigest sha() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }

    private static String hash(MessageDigest sha, String key) {
        byte[] digest = sha.digest(key.getBytes(StandardCharsets.UTF_8));
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) {
            text.append(ALPHABET.charAt((digest[i] & 0xff) % ALPHABET.length()));
        }
        return text.toString();
    }
}
