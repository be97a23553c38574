package driftwood.cli.render;

import driftwood.pattern.Fit;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import driftwood.source.Texts;
import java.util.List;
import java.util.Locale;

/** Findings for people at a terminal: most drag first, each with its code, why it drags and what to try. */
public final class FindingsText {
    /** What has less drag is only counted, unless it is asked for. */
    public static final double LEAST = 1.0;
    private static final int CODE_LINES = 7;

    private final Scan.Result result;
    private final Style style;
    private final int width;
    private final Excerpt excerpt;
    private final Here here;

    /** @param here where the user stands */
    /** So many parts of a name are shown where nothing else tells which are packages. */
    private static final int MOST_PARTS = 2;

    public FindingsText(Scan.Result result, Style style, int width, Here here) {
        this.here = here;
        this.result = result;
        this.style = style;
        this.width = width;
        this.excerpt = new Excerpt(new Texts(result.root()), style, width);
    }

    /** @param top how many to show in full; chains on the same variants count as one */
    public String of(Selected selected, int top) {
        StringBuilder text = new StringBuilder();
        int told = 0;
        for (List<Finding> cause : selected.first(top).causes()) {
            one(cause.get(0), text);
            cause.stream().skip(1).forEach(sibling -> line(sibling, text));
            text.append('\n');
            told += cause.size();
        }
        summary(selected, told, text);
        return text.toString();
    }

    /** What is said of findings that are not shown. @param some whether others are */
    private static String hidden(List<Finding> left, boolean some) {
        long light = left.stream().filter(each -> each.drag().value() < LEAST).count();
        if (light == left.size()) {
            return some ? light + " more " + (light == 1 ? "has" : "have") + " a drag below " + LEAST + ": --top 0 shows them."
                    : "None has a drag of " + LEAST + " or more: --top 0 shows them.";
        }
        return left.size() + " more are not shown" + (light > 0 ? ", " + light + " of them with a drag below " + LEAST : "")
                + ": --top 0 shows all, --summary tells where they are.";
    }

    private void one(Finding finding, StringBuilder text) {
        text.append(style.drag(finding.drag().value())).append("  ").append(style.strong(finding.smell())).append("  ")
                .append(style.cool(finding.id())).append("  ").append(Style.safe(here.path(finding.file()))).append(':')
                .append(finding.line()).append('\n');
        text.append(wrapped(Style.safe(sentence(finding)), 5));
        text.append(excerpt.of(finding.file(), finding.line(), finding.endLine(), CODE_LINES, 5));
        text.append(wrapped(style.dim("drag: ") + String.join("; ", finding.drag().reasons()), 5));
        List<Fit> fits = result.fits().getOrDefault(finding.id(), List.of());
        if (!fits.isEmpty()) {
            text.append(wrapped(style.dim("cure: ") + fits.get(0).pattern() + " (" + fits.get(0).because() + ")", 5));
        }
    }

    /** Where it is, and what: the form in which findings are told everywhere. */
    static String sentence(Finding finding) {
        String subject = unqualified(finding.symbol(), finding.file());
        String message = finding.message();
        int hash = subject.indexOf('#');
        String own = subject.substring(hash + 1).replaceAll("\\(.*", "") + (hash < 0 ? "" : "()");
        return !message.startsWith(own + " ") ? subject + ": " + message : hash < 0 ? message : subject + message.substring(own.length());
    }

    /** Without the package, which the path already tells; what runs when a type or module is loaded or made has no name. */
    static String unqualified(String symbol) {
        int hash = symbol.indexOf('#');
        String type = hash < 0 ? symbol : symbol.substring(0, hash);
        int dot = 0;
        while (dot < type.length() && Character.isLowerCase(type.charAt(dot)) && type.indexOf('.', dot) > 0) {
            dot = type.indexOf('.', dot) + 1;
        }
        String owner = type.substring(dot);
        if (symbol.endsWith("#()")) {
            return owner + " (outside of routines)";
        }
        boolean constructors = hash >= 0 && owner.endsWith(symbol.substring(hash + 1));
        return owner + (hash < 0 || constructors ? "" : symbol.substring(hash));
    }

    /** The same where packages may be written like types: what stands before the type that the file is named after is told by the path. */
    static String unqualified(String symbol, String file) {
        int hash = symbol.indexOf('#');
        String[] parts = (hash < 0 ? symbol : symbol.substring(0, hash)).split("\\.");
        String stem = plain(file.substring(file.lastIndexOf('/') + 1).replaceFirst("\\..*", ""));
        int from = Math.max(0, parts.length - MOST_PARTS);
        for (int i = 0; i < parts.length; i++) {
            from = plain(parts[i]).equals(stem) ? i : from;
        }
        boolean packages = parts.length > 1 && Character.isUpperCase(parts[0].charAt(0)) || from > 0 && plain(parts[from]).equals(stem) && plain(parts[from - 1]).equals(stem);
        return unqualified(packages ? String.join(".", List.of(parts).subList(from, parts.length)) + (hash < 0 ? "" : symbol.substring(hash)) : symbol);
    }

    private static String plain(String name) {
        return name.replace("_", "").replace("-", "").toLowerCase(Locale.ROOT);
    }

    private void line(Finding sibling, StringBuilder text) {
        text.append(Paragraph.of(style.dim("and ") + style.cool(sibling.id()) + "  " + Style.safe(here.path(sibling.file())) + ":"
                + sibling.line() + "  " + Style.safe(unqualified(sibling.symbol(), sibling.file())), width, 5, 4));
    }

    private String wrapped(String text, int indent) {
        return Paragraph.of(text, width, indent, 0);
    }

    private void summary(Selected shown, int told, StringBuilder text) {
        text.append(Paragraph.of(shown.sentence(), width, 0, 0));
        if (told < shown.findings().size()) {
            text.append(wrapped(hidden(shown.findings().subList(told, shown.findings().size()), told > 0), 0));
        }
        if (!shown.findings().isEmpty()) {
            text.append("Next: driftwood explain ").append(shown.findings().get(0).id()).append(here.option()).append('\n');
        }
    }
}
