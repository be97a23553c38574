package driftwood.smell.detect.construction;

import driftwood.smell.detect.SmellCases;
import java.util.Map;

class SwappedArgumentsTest extends SmellCases {
    private static String yard(String call) {
        return "package quay;\nclass Plan { int width; int height; int getWidth() { return width; } int getHeight() { return height; }\n"
                + "Plan() { } Plan(int width, int height) { }\n"
                + "static void resize(int width, int height) { } void move(int dx, int dy, int depth) { } }\n"
                + "class Yard {\n" + call + "\n}\n";
    }

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "height goes to width, width goes to height", yard("void fit(int width, int height) { Plan.resize(height, width); }"),
                "getHeight goes to width", yard("void fit(Plan p) { Plan.resize(p.getHeight(), p.getWidth()); }"),
                "calls Plan(int width, int height)", yard("Plan fit(int width, int height) { return new Plan(height, width); }"),
                "HEIGHT goes to width", yard("static final int WIDTH = 4, HEIGHT = 9; void fit() { Plan.resize(HEIGHT, WIDTH); }"),
                "depth goes to dx, dx goes to dy, dy goes to depth", yard("void go(Plan p, int dx, int dy, int depth) { p.move(depth, dx, dy); }"),
                "crosswise: height goes to width", yard("int width; int height; void fit() { Plan.resize(this.height, this.width); }"));
    }

    @Override
    protected Map<String, String> healthy() {
        return Map.of(
                "the right way round", yard("void fit(int width, int height) { Plan.resize(width, height); }"),
                "one way only", yard("void fit(int height, int other) { Plan.resize(height, other); }"),
                "a deliberate transposition", yard("void transpose(int width, int height) { Plan.resize(height, width); }"),
                "names that only share a prefix", yard("void fit(int heightOf, int widthOf) { Plan.resize(heightOf, widthOf); }"),
                "a comparator with reversed operands", "package quay;\nclass Order { int compare(String left, String right) { return 0; }\n"
                        + "int down(String left, String right) { return compare(right, left); } }\n",
                "numbered names say nothing", "package quay;\nclass Bytes { static int join(int b1, int b2) { return b1; }\n"
                        + "int little(int b1, int b2) { return join(b2, b1); } }\n",
                "both ways in one routine", "package quay;\nclass Sets { boolean covers(String one, String two) { return true; }\n"
                        + "boolean same(String one, String two) { return covers(one, two) && covers(two, one); } }\n",
                "parts of different objects", "package quay;\nclass Stay { int from; int until; static void check(int from, int until) { }\n"
                        + "void gap(Stay first, Stay second) { check(first.until, second.from); } }\n",
                "types that do not fit", "package quay;\nclass Tags { void tag(String name, int width) { }\n"
                        + "void tag(int width, String name) { } void go(String name, int width) { tag(width, name); } }\n");
    }

    @Override
    protected String smell() {
        return "swapped-arguments";
    }
}
