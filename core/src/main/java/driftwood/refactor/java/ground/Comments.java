package driftwood.refactor.java.ground;

import com.sun.source.util.TreePath;
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
        return said.find() ? said.group(1).replaceAll("\\s*\\r?\\n\\s*\\*?\\s*", " ").replaceFirst("^\\*\\s*", "").strip() : "";
    }

    /** A doc comment without what it says of a parameter; empty where nothing else was in it. */
    public static String without(String comment, String name) {
        String rest = comment.replaceAll("(?m)^[ \\t]*\\*[ \\t]*@param[ \\t]+" + name + "\\b[^\\n]*\\n(?:[ \\t]*\\*(?![ \\t]*@|/)[^\\n]*\\n)*", "")
                .replaceAll("@param[ \\t]+" + name + "\\b[^\\n@*]*(?=\\*/)", "");
        return rest.matches("(?s)/\\*\\*[\\s*]*\\*/\\s*") ? "" : rest;
    }
}
