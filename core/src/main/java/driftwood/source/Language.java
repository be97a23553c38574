package driftwood.source;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** A language that Driftwood reads, told by the extension of the file name. */
public enum Language {
    JAVA("java", "java", "Java"), PYTHON("python", "py", "Python");

    private static final Map<String, String> PYTHON_WORDS = Map.of("null", "None", "true", "True", "false", "False");

    private final String key;
    private final String extension;
    private final String title;

    Language(String key, String extension, String title) {
        this.key = key;
        this.extension = extension;
        this.title = title;
    }

    /** The name used in outputs and file formats, never null. */
    public String key() {
        return key;
    }

    /** The name as its users write it. */
    public String title() {
        return title;
    }

    /** The word for nothing in the language of a file. @param file its path */
    public static String nothingIn(String file) {
        return spelledIn(file, "null");
    }

    /** A literal as the language of a file spells it. @param word null, true, false; any other stays as it is */
    public static String spelledIn(String file, String word) {
        boolean python = ofFileName(file).filter(PYTHON::equals).isPresent();
        return python ? PYTHON_WORDS.getOrDefault(word, word) : word;
    }

    /** Whether a bare name inside a type can mean a member of the object itself. */
    public boolean hasImpliedSelf() {
        return this != PYTHON;
    }

    /** Whether a call is answered by whatever has a routine of that name, so that types need not be declared. */
    public boolean isDuckTyped() {
        return this == PYTHON;
    }

    /** Whether an import can give a type another name. */
    public boolean hasAliases() {
        return this == PYTHON;
    }

    /** Whether any value can stand as a condition, where nothing counts as false. */
    public boolean hasTruth() {
        return this == PYTHON;
    }

    /** Whether a routine that ends without a result gives nothing. */
    public boolean hasImpliedNothing() {
        return this == PYTHON;
    }

    /** The ending of its file names, without the dot. */
    public String extension() {
        return extension;
    }

    /** The language of a file name, empty where Driftwood does not read it. */
    public static Optional<Language> ofFileName(String name) {
        int dot = name.lastIndexOf('.');
        if (dot < 0) {
            return Optional.empty();
        }
        String ending = name.substring(dot + 1).toLowerCase(Locale.ROOT);
        for (Language language : values()) {
            if (language.extension.equals(ending)) {
                return Optional.of(language);
            }
        }
        return Optional.empty();
    }
}
