package driftwood.behaviour.view;

import driftwood.program.Outline;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.read.FileTree;
import driftwood.read.Readers;
import driftwood.source.Language;
import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.TreeScanner;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Where attributes are read by name on anything but the object itself. */
final class AttributesRead extends TreeScanner {
    /** Larger projects are not read for it. */
    private static final int MOST_FILES = 1500;

    private final Map<String, List<Place>> places = new HashMap<>();
    private FileTree now;

    private record Place(String file, int line) {
    }

    private AttributesRead() {
    }

    /** In the files of one language. @param root of the project */
    static AttributesRead in(Program program, Path root, Language language) {
        List<SourceText> texts = new ArrayList<>();
        for (Outline each : program.outlines()) {
            if (each.language() == language && texts.size() < MOST_FILES) {
                try {
                    texts.add(SourceText.read(new SourceFile(each.file(), root.resolve(each.file()), language, each.test())));
                } catch (SourceText.NotReadable e) {
                    continue;
                }
            }
        }
        AttributesRead read = new AttributesRead();
        if (!texts.isEmpty()) {
            new Readers().of(language).read(texts, tree -> read.take(tree));
        }
        return read;
    }

    private void take(FileTree tree) {
        now = tree;
        scan(tree.unit());
    }

    @Override
    public Void visitMember(Member member) {
        boolean own = member.receiver() instanceof Name name && name.isSelf();
        if (!own) {
            places.computeIfAbsent(member.name(), key -> new ArrayList<>())
                    .add(new Place(now.source().file().path(), now.line(member)));
        }
        return visitNode(member);
    }

    /** Whether an attribute of a name is read on some object outside of a type's own text. */
    boolean outside(String name, TypeOutline type) {
        return places.getOrDefault(name, List.of()).stream().anyMatch(each -> !type.holds(each.file(), each.line()));
    }
}
