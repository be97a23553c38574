package driftwood.refactor.java;

import java.util.ArrayList;
import java.util.List;

/** Lines that a refactoring wrote too long: what stands between brackets goes on further lines, as many parts on each as fit. */
final class Wide {
    /** A longer line is read with difficulty, in characters. */
    private static final int USUAL = 120;
    private static final int TAB = 4;

    private Wide() {
    }

    /** The text with its new lines within the usual width, or that of its longest line before. @param original empty where the file is new */
    static String within(String text, String original) {
        String end = text.contains("\r\n") ? "\r\n" : "\n";
        int limit = USUAL;
        for (String line : original.split("\\R")) {
            limit = Math.max(limit, width(line));
        }
        StringBuilder all = new StringBuilder();
        String[] lines = text.split("\\R", -1);
        for (int i = 0; i < lines.length; i++) {
            boolean fresh = width(lines[i]) > limit && !original.contains(lines[i].strip());
            all.append(i == 0 ? "" : end).append(fresh ? String.join(end, broken(lines[i], USUAL)) : lines[i]);
        }
        return all.toString();
    }

    private static int width(String line) {
        return line.length() + (TAB - 1) * (int) line.chars().filter(each -> each == '\t').count();
    }

    /** A line in parts at the commas of its longest list; as it is where it has none, or is a comment. */
    private static List<String> broken(String line, int limit) {
        String bare = line.stripLeading();
        Commas commas = bare.startsWith("*") || bare.startsWith("/") || bare.contains("//") ? new Commas(List.of(), false) : commas(line);
        if (commas.places().isEmpty()) {
            return List.of(line);
        }
        String indent = line.substring(0, line.length() - bare.length());
        String further = commas.goesOn() ? indent : indent + (indent.contains("\t") ? "\t\t" : "        ");
        List<String> made = new ArrayList<>();
        int from = 0;
        int cut = 0;
        for (int each : commas.places()) {
            int begun = made.isEmpty() ? 0 : further.length();
            if (cut > from && begun + each + 1 - from > limit) {
                made.add((made.isEmpty() ? "" : further) + line.substring(from, cut).strip());
                from = cut;
            }
            cut = each + 1;
        }
        if (cut > from && (made.isEmpty() ? 0 : further.length()) + line.length() - from > limit) {
            made.add((made.isEmpty() ? "" : further) + line.substring(from, cut).strip());
            from = cut;
        }
        made.add((made.isEmpty() ? "" : further) + line.substring(from).strip());
        made.set(0, indent + made.get(0).strip());
        return made;
    }

    /** Of one list. @param places offsets in the line, ascending @param goesOn whether the list began on a line before */
    private record Commas(List<Integer> places, boolean goesOn) {
    }

    /** Where the commas are of the list that is longest: between brackets, which may be open where the line ends, or the line itself where it goes on with one. */
    private static Commas commas(String line) {
        List<List<Integer>> open = new ArrayList<>();
        List<Integer> begun = new ArrayList<>();
        List<Integer> free = new ArrayList<>();
        List<Integer> best = List.of();
        int longest = 0;
        char quote = 0;
        int angles = 0;
        for (int i = 0; i < line.length(); i++) {
            char at = line.charAt(i);
            if (quote != 0) {
                i += at == '\\' ? 1 : 0;
                quote = at == quote ? 0 : quote;
            } else if (at == '"' || at == '\'') {
                quote = at;
            } else if (at == '(' || at == '{') {
                open.add(new ArrayList<>());
                begun.add(i);
            } else if ((at == ')' || at == '}') && !open.isEmpty()) {
                List<Integer> list = open.remove(open.size() - 1);
                int length = i - begun.remove(begun.size() - 1);
                if (!list.isEmpty() && length > longest) {
                    best = list;
                    longest = length;
                }
            } else if (at == '<' || at == '>') {
                angles += at == '<' && i > 0 && Character.isJavaIdentifierPart(line.charAt(i - 1)) ? 1 : at == '>' && angles > 0 ? -1 : 0;
            } else if (at == ',' && angles == 0 && i < line.length() - 1) {
                (open.isEmpty() ? free : open.get(open.size() - 1)).add(i);
            }
        }
        for (int i = 0; i < open.size(); i++) {
            if (!open.get(i).isEmpty() && line.length() - begun.get(i) > longest) {
                best = open.get(i);
                longest = line.length() - begun.get(i);
            }
        }
        boolean goesOn = !free.isEmpty() && free.get(free.size() - 1) - free.get(0) > longest;
        return new Commas(goesOn ? free : best, goesOn);
    }
}
