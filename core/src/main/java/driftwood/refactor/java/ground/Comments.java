package driftwood.refactor.java.ground;

import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What stands in the doc comment of a declaration. */
public final class Comments {
    private Comments() {
    }

    /** The comments before a declaration, as written; empty where there are none. */
    public static String before(Workspace workspace, TreePath declaration) {
        Unit unit = workspace.unit(declaration);
        int at = workspace.from(declaration);
        return unit.text().substring(Declarations.fromComments(unit, at), at);
    }

    /** Rewrites the comments before a declaration, in the stage that is being written. */
    public static void rewrite(Drafting drafting, TreePath declaration, UnaryOperator<String> anew) {
        Workspace workspace = drafting.workspace();
        String said = before(workspace, declaration);
        String now = anew.apply(said);
        if (!now.equals(said)) {
            drafting.script().replace(workspace.unit(declaration).file(), workspace.from(declaration) - said.length(), workspace.from(declaration), now);
        }
    }

    /** The doc comment of a declaration, for one that takes its place: with a line feed behind it, without the indentation; empty where there is none. */
    public static String doc(Workspace workspace, TreePath declaration) {
        String before = before(workspace, declaration);
        Unit unit = workspace.unit(declaration);
        int doc = before.lastIndexOf("/**");
        return doc < 0 ? "" : unit.bare(before.substring(doc), unit.indentAt(workspace.from(declaration))).stripTrailing() + "\n";
    }

    /** What a doc comment says of a parameter, on one line; empty where it says nothing. */
    public static String ofParameter(String comment, String name) {
        Matcher said = Pattern.compile("@param\\s+" + Pattern.quote(name) + "\\s+((?:[^@*]|\\*(?!/)|(?<=\\{)@)*)").matcher(comment);
        return said.find() ? said.group(1).replaceAll("(?:\\s*\\r?\\n\\s*\\*?)+\\s*", " ").replaceFirst("^\\*\\s*", "").strip() : "";
    }

    /** A doc comment without what it says of a parameter; empty where nothing else was in it. */
    public static String without(String comment, String name) {
        String rest = comment.replaceAll("(?m)^[ \\t]*\\*[ \\t]*@param[ \\t]+" + name + "\\b[^\\n]*\\n(?:[ \\t]*\\*(?![ \\t]*@|/)[^\\n]*\\n)*", "")
                .replaceAll("@param[ \\t]+" + name + "\\b[^\\n@*]*(?=\\*/)", "");
        String closed = rest.equals(comment) ? rest : rest.replaceAll("(?m)(?:^[ \\t]*\\*[ \\t]*\\r?\\n)+(?=[ \\t]*\\*/)", "");
        return closed.matches("(?s)/\\*\\*[\\s*]*\\*/\\s*") ? "" : closed;
    }

    /** Comments, or texts, in which nothing else begins. */
    private static final Pattern TOKEN = Pattern.compile("//[^\\r\\n]*|/\\*.*?\\*/|\"\"\".*?(?<!\\\\)\"\"\"|\"(?:[^\"\\\\\\r\\n]|\\\\.)*\"|'(?:[^'\\\\\\r\\n]|\\\\.)+'",
            Pattern.DOTALL);

    /** Where the comments of a text are that document no declaration: from and to. */
    public static List<int[]> remarks(String text) {
        List<int[]> found = new ArrayList<>();
        Matcher each = TOKEN.matcher(text);
        while (each.find()) {
            if (each.group().startsWith("//") || each.group().startsWith("/*") && !each.group().startsWith("/**")) {
                found.add(new int[] {each.start(), each.end()});
            }
        }
        return found;
    }

    private static final Pattern GOES_ON = Pattern.compile("\\r?\\n[ \\t]*(//)[^\\r\\n]*");
    private static final Pattern TRAILING = Pattern.compile("[ \\t]*(?://[^\\r\\n]*|/\\*[^\\r\\n]*?\\*/)");

    /**
     * Where a comment ends that stands behind something on its last line, with the lines below that go on in the same
     * column; there itself where none does.
     *
     * @param at the end of what stands before it
     */
    public static int trailing(String text, int at) {
        Matcher comment = TRAILING.matcher(text).region(at, text.length());
        if (!comment.lookingAt()) {
            return at;
        }
        int end = comment.end();
        int column = text.indexOf("//", at) - text.lastIndexOf('\n', at);
        Matcher more = GOES_ON.matcher(text).region(end, text.length());
        while (more.lookingAt() && more.start(1) - text.lastIndexOf('\n', more.start(1)) == column) {
            end = more.end();
            more.region(end, text.length());
        }
        return end;
    }

    private static final Pattern RETURN = Pattern.compile("@return\\b(?:(?!\\n[ \\t]*\\*[ \\t]*@).)*", Pattern.DOTALL);

    /** A doc comment whose {@code @return} says what the result is instead, where it said that it is null at times. */
    public static String returning(String comment, String instead) {
        return RETURN.matcher(described(comment, instead)).replaceAll(said -> Matcher.quoteReplacement(
                said.group().replaceAll("(?<=(?:\\bor|\\botherwise|\\belse|\\bbe|@return|[;,]) )" + NULL, instead)));
    }

    private static final String NULL = "(?:\\{@code null\\}|<code>null</code>|<tt>null</tt>|null\\b(?!-))";

    /** With what it says before its tags of a result that is null at times said so instead. */
    private static String described(String comment, String instead) {
        Matcher tag = Pattern.compile("(?m)^\\s*\\*\\s*@|\\s@(?:return|param|throws)\\b").matcher(comment);
        int end = comment.startsWith("/**") ? tag.find() ? tag.start() : comment.length() : 0;
        return comment.substring(0, end).replaceAll("(?<=(?:\\bor|\\botherwise|\\belse|\\b[Rr]eturns|\\b[Gg]ives) )" + NULL, instead)
                .replaceAll("(?<=[*.] {1,3})(?:Null|\\{@code null\\}|<code>null</code>)(?= (?:where|if|when|unless|for|as)\\b)", Words.upper(instead)) + comment.substring(end);
    }

    /** A doc comment whose {@code @return} says that the result is optional, where it said that it is null at times. */
    public static String optional(String comment) {
        return RETURN.matcher(described(comment, "an empty Optional")).replaceAll(said -> Matcher.quoteReplacement(said.group()
                .replaceAll("\\{@code null\\}|<code>null</code>|<tt>null</tt>", "{@code Optional.empty()}").replaceAll("(\\bor|\\botherwise|\\belse|@return|[;,])( returns?)? null\\b", "$1$2 an empty Optional")));
    }
}
