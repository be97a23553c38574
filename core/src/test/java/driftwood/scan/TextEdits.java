package driftwood.scan;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;

/** Small changes to a source text, such as people make; what comes of them need not compile. */
final class TextEdits {
    private static final int TRIES = 200;

    private TextEdits() {
    }

    /** The text after one change somewhere. @param comment what begins a comment in its language */
    static String any(String text, String comment, Random random) {
        List<String> lines = new ArrayList<>(List.of(text.split("\n", -1)));
        for (int i = 0; i < TRIES; i++) {
            if (change(lines, random.nextInt(lines.size() - 1), random.nextInt(8), comment)) {
                break;
            }
        }
        return String.join("\n", lines);
    }

    private static boolean change(List<String> lines, int at, int kind, String comment) {
        String line = lines.get(at);
        String indent = line.substring(0, line.length() - line.stripLeading().length());
        boolean deep = indent.length() >= 8 && !line.isBlank();
        boolean statement = deep && (line.endsWith(";") || line.endsWith(")"))
                && !line.strip().matches("(return|throw|break|continue|super|this)\\b.*");
        return switch (kind) {
            case 0 -> statement && put(lines, at, line);
            case 1 -> statement && !line.contains(" = ") && lines.remove(at) != null;
            case 2 -> put(lines, at, "");
            case 3 -> deep && put(lines, at, indent + comment + " at low water");
            case 4 -> replace(lines, at, line.replaceFirst("\\b\\d+\\b", "7"));
            case 5 -> replace(lines, at, line.replaceFirst("\\.([a-z]\\w+)\\(", ".other$1("));
            case 6 -> replace(lines, at, line.replaceFirst("==", "!="));
            default -> statement && swap(lines, at);
        };
    }

    private static boolean put(List<String> lines, int at, String line) {
        lines.add(at, line);
        return true;
    }

    private static boolean replace(List<String> lines, int at, String line) {
        return !lines.set(at, line).equals(line);
    }

    private static boolean swap(List<String> lines, int at) {
        Collections.swap(lines, at, at + 1);
        return true;
    }
}
