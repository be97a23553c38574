package driftwood.cli.render;

import driftwood.pattern.Patterns;
import driftwood.pattern.Pattern;
import driftwood.smell.Smell;
import driftwood.words.Glossary;
import java.util.Optional;

/** What a smell or a pattern is, for whoever asks by its key. */
public final class TopicText {
    private final Style style;
    private final int width;

    public TopicText(Style style, int width) {
        this.style = style;
        this.width = width;
    }

    /** @param example in the reader's own language; empty for the one that the smell brings */
    public String of(Smell smell, Optional<String> example) {
        return style.strong(smell.title()) + "  " + smell.key() + "\n\n"
                + Paragraph.of(smell.what(), width, 2, 0) + "\n"
                + example.map(each -> "  Such as " + each).orElseGet(() -> smell.example().stripTrailing().indent(6)) + "\n"
                + Paragraph.of(style.strong("Not this smell: ") + smell.isNot(), width, 2, 0)
                + Paragraph.of(style.strong("Cures: ") + String.join(", ", Patterns.answering(smell.key())), width, 2, 0);
    }

    public String of(Pattern pattern) {
        return style.strong(pattern.key()) + "\n\n"
                + Paragraph.of(pattern.what(), width, 2, 0)
                + Paragraph.of(style.strong("Leave it when: ") + pattern.whenNot(), width, 2, 0)
                + Paragraph.of(style.strong("Roles: ") + String.join(", ", pattern.roles()), width, 2, 0);
    }

    public String of(Glossary.Term term) {
        return style.strong(term.key()) + "\n\n" + Paragraph.of(term.meaning(), width, 2, 0);
    }
}
