package driftwood.refactor.java.ground;

/** Code that is put together, with four blanks a level; {@link Unit#styled} gives it the manner of its file. */
public final class Code {
    private Code() {
    }

    /** A body in braces, with the blank before it. @param body without indentation; empty for none */
    public static String block(String body) {
        return body.isEmpty() ? " {\n}" : " {\n    " + deeper(body) + "\n}";
    }

    /** The same one level deeper, but for the first line. */
    public static String deeper(String code) {
        return code.replace("\n", "\n    ");
    }
}
