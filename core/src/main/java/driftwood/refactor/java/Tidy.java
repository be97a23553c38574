package driftwood.refactor.java;

import driftwood.refactor.Stage;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a careful hand does at the end of a stage: imports that it left without use go, empty lines as the file has none, and lines that are too long. */
final class Tidy {
    private static final List<Pattern> GAPS = List.of(Pattern.compile("\\A(?:[ \\t]*\\r?\\n)+"), Pattern.compile("(?<=\\{\\r?\\n)[ \\t]*\\r?\\n(?=[ \\t]*[^\\s])"),
            Pattern.compile("(?<=\\n)[ \\t]*\\r?\\n(?=[ \\t]*\\})"), Pattern.compile("(?<=\\n)[ \\t]*\\r?\\n(?=[ \\t]*\\r?\\n)"));
    private static final Pattern IMPORT = Pattern.compile("(?m)^import\\s+(?:static\\s+)?[\\w.]+\\.(\\w+)\\s*;[ \\t]*\\r?\\n");

    private Tidy() {
    }

    /** The same stages, tidy. @param texts before the first stage */
    static List<Stage> stages(List<Stage> stages, Map<String, String> texts) {
        List<Stage> all = new ArrayList<>();
        for (Stage stage : stages) {
            Map<String, Optional<String>> files = new LinkedHashMap<>();
            stage.files().forEach((file, text) -> files.put(file, text.map(said ->
                    Wide.within(texts.containsKey(file) ? tidied(said, texts.get(file)) : said, texts.getOrDefault(file, "")))));
            all.add(new Stage(stage.does(), stage.places(), files, stage.meant()));
        }
        return all;
    }

    private static String tidied(String text, String original) {
        String tight = withoutUnused(text, original);
        for (Pattern each : GAPS) {
            tight = each.matcher(original).find() ? tight : each.matcher(tight).replaceAll("");
        }
        return tight;
    }

    private static String withoutUnused(String text, String original) {
        Matcher matcher = IMPORT.matcher(text);
        StringBuilder all = new StringBuilder();
        while (matcher.find()) {
            boolean unused = uses(text, matcher.group(1)) == 1 && uses(original, matcher.group(1)) != 1;
            matcher.appendReplacement(all, unused ? "" : Matcher.quoteReplacement(matcher.group()));
        }
        return matcher.appendTail(all).toString();
    }

    private static int uses(String text, String name) {
        int count = 0;
        for (int at = text.indexOf(name); at >= 0; at = text.indexOf(name, at + name.length())) {
            int end = at + name.length();
            boolean whole = (at == 0 || !Character.isJavaIdentifierPart(text.charAt(at - 1))) && (end == text.length() || !Character.isJavaIdentifierPart(text.charAt(end)));
            count += whole ? 1 : 0;
        }
        return count;
    }
}
