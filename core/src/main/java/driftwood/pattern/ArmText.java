package driftwood.pattern;

import driftwood.smell.Chain;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The source of an arm's body, without its label or condition and without its own indentation. */
final class ArmText {
    private ArmText() {
    }

    /**
     * The body's lines, never empty: a comment where nothing is left.
     *
     * @param file lines of the file the chain is in
     */
    static List<String> body(Chain chain, Chain.Arm arm, List<String> file) {
        int last = Math.min(arm.endLine(), file.size());
        if (arm.line() > last) {
            return List.of("// the arm of line " + arm.line());
        }
        String text = String.join("\n", file.subList(arm.line() - 1, last));
        boolean match = chain.form() == Chain.Form.MATCH || chain.form() == Chain.Form.MATCH_VALUE;
        String body = match ? afterLabel(text) : afterCondition(text);
        return dedent(withoutBraces(body));
    }

    /** The same for a body that moves onto the variant itself: the subject and the local it is cast into become this. */
    static List<String> onVariant(Chain chain, Chain.Arm arm, List<String> file) {
        return on("", "this", chain, arm, file);
    }

    /** The same for a body that is given the variant under a name. */
    static List<String> onNamed(String name, Chain chain, Chain.Arm arm, List<String> file) {
        return on(name + ".", name, chain, arm, file);
    }

    private static List<String> on(String member, String self, Chain chain, Chain.Arm arm, List<String> file) {
        String subject = Pattern.quote(chain.subject().text());
        Pattern cast = Pattern.compile("\\s*(final )?\\w+(<.*>)? (\\w+) = \\(.*\\) ?" + subject + ";");
        List<String> lines = new ArrayList<>();
        String local = "";
        for (String line : body(chain, arm, file)) {
            Matcher found = cast.matcher(line);
            if (found.matches()) {
                local = found.group(3);
                continue;
            }
            String moved = line.replaceAll("\\(\\(\\w+\\) ?" + subject + "\\)\\.", member)
                    .replaceAll("(?<![\\w.\"])" + subject + "(?![\\w\"])", self);
            lines.add(local.isEmpty() ? moved : moved.replaceAll("(?<![\\w.])" + local + "\\.", member)
                    .replaceAll("(?<![\\w.])" + local + "(?!\\w)", self));
        }
        return lines.isEmpty() ? List.of("// nothing to do") : lines;
    }

    /** Behind the last label: the arrow or colon that is followed by more than another label. */
    private static String afterLabel(String text) {
        String rest = text.stripLeading();
        while (rest.startsWith("case ") || rest.startsWith("default")) {
            int arrow = rest.indexOf("->");
            int colon = rest.indexOf(':');
            int cut = arrow >= 0 && (colon < 0 || arrow < colon) ? arrow + 2 : colon + 1;
            if (cut <= 0) {
                break;
            }
            rest = rest.substring(cut);
            String next = rest.stripLeading();
            if (!next.startsWith("case ") && !next.startsWith("default")) {
                break;
            }
            rest = next;
        }
        String body = rest.stripTrailing();
        return body.endsWith("break;") ? body.substring(0, body.length() - "break;".length()) : body;
    }

    private static String afterCondition(String text) {
        int open = text.indexOf('(');
        int start = text.indexOf("if");
        if (start < 0 || open < 0) {
            int question = text.indexOf('?');
            return question >= 0 ? "return " + text.substring(question + 1).strip().replaceAll("\\s*:.*", "") + ";" : text;
        }
        int depth = 0;
        for (int i = open; i < text.length(); i++) {
            depth += text.charAt(i) == '(' ? 1 : text.charAt(i) == ')' ? -1 : 0;
            if (depth == 0) {
                return text.substring(i + 1);
            }
        }
        return text;
    }

    private static String withoutBraces(String text) {
        String body = text.strip();
        if (!body.startsWith("{")) {
            return text;
        }
        int close = body.lastIndexOf('}');
        return close > 0 ? body.substring(1, close) : text;
    }

    private static List<String> dedent(String body) {
        List<String> lines = new ArrayList<>();
        int margin = Integer.MAX_VALUE;
        String[] raw = body.split("\n", -1);
        for (int i = 0; i < raw.length; i++) {
            if (!raw[i].isBlank() && i > 0) {
                margin = Math.min(margin, raw[i].length() - raw[i].stripLeading().length());
            }
        }
        for (int i = 0; i < raw.length; i++) {
            if (!raw[i].isBlank()) {
                lines.add(i == 0 ? raw[i].strip() : raw[i].substring(Math.min(margin, raw[i].length())).stripTrailing());
            }
        }
        return lines.isEmpty() ? List.of("// nothing to do") : lines;
    }
}
