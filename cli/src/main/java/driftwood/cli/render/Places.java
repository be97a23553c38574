package driftwood.cli.render;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Places in outcomes in words: {@code standard output, line 2}. */
final class Places {
    private static final Pattern STEP = Pattern.compile("before\\.(\\d+)\\.?(.*)");
    private static final Pattern LINE = Pattern.compile("(prints|complains|gives\\.out|gives\\.err)\\.(\\d+)");

    private Places() {
    }

    static String of(String path) {
        Matcher step = STEP.matcher(path);
        if (step.matches()) {
            return "step " + (Integer.parseInt(step.group(1)) + 1) + (step.group(2).isEmpty() ? "" : ", " + of(step.group(2)));
        }
        Matcher line = LINE.matcher(path);
        if (line.matches()) {
            return (line.group(1).equals("prints") || line.group(1).endsWith("out") ? "standard output" : "standard error") + ", line "
                    + (Integer.parseInt(line.group(2)) + 1);
        }
        return path.equals("gives") ? "result" : path.replaceFirst("^gives\\.", "result, ").replaceFirst("^leaves\\.this\\.?", "afterwards, ")
                .replaceFirst("^leaves\\.", "afterwards, ").replaceFirst("^starts\\.", "at the beginning, ").replaceFirst("^throws", "error")
                .replaceFirst("^asks", "calls").replaceFirst(", $", "");
    }
}
