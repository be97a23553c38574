package driftwood.smell.see.reach;

import driftwood.program.Trail;
import driftwood.read.FileTree;
import driftwood.tree.TypeRef;
import driftwood.smell.see.reach.Resource.Kind;
import driftwood.source.Outside;
import driftwood.tree.Call;
import driftwood.tree.Creation;
import driftwood.tree.Import;
import driftwood.tree.Literal;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.Named;
import driftwood.tree.Node;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Which calls and creations of the platform reach outside, by the names that their language gives them. A name counts
 * only where the file imports it, or where its language has it in sight without an import.
 */
public final class Resources {
    private Resources() {
    }

    /** No name of the platform has more parts. */
    private static final int LONGEST = 8;

    /** What a creation reaches; empty where it reaches nothing that is known. */
    public static Optional<Resource> ofCreation(Creation creation, FileTree file) {
        String name = creation.type().name();
        if (creation.array() || isInMemory(creation.arguments(), file)) {
            return Optional.empty();
        }
        Outside outside = file.file().language().outside();
        String simple = creation.type().simpleName();
        if (outside.clockWhenEmpty().contains(simple) && creation.arguments().isEmpty() && isInSight(simple, file)) {
            return Optional.of(new Resource(Kind.CLOCK, "the clock (new " + simple + "())", false));
        }
        Kind kind = kind(outside.creations().getOrDefault(name, outside.creations().getOrDefault(simple, outside.calls().get(name))));
        if (kind == null && outside.lastNames().contains(simple)) {
            return imported(name, file).flatMap(whole -> named(whole, outside.creations().get(whole), outside));
        }
        return kind == null || !isInSight(name.contains(".") ? name.substring(0, name.indexOf('.')) : simple, file)
                ? Optional.empty()
                : Optional.of(new Resource(kind, kind.title() + " (" + name + ")", outside.held().contains(simple)
                        || outside.held().contains(name)));
    }

    /** Whether the address says that nothing outside is meant. */
    private static boolean isInMemory(List<Node> arguments, FileTree file) {
        return !arguments.isEmpty() && arguments.get(0) instanceof Literal address
                && file.file().language().outside().inMemory().stream().anyMatch(address.text()::contains);
    }

    /** Whether it is told what to write to. */
    private static boolean isGiven(Call call, FileTree file) {
        String place = file.file().language().outside().given().get(call.name());
        return place != null && call.receiver().isEmpty() && call.arguments().stream().anyMatch(each -> each instanceof Named named && named.name().equals(place));
    }

    private static Kind kind(String key) {
        return key == null ? null : Kind.valueOf(key.toUpperCase(Locale.ROOT));
    }

    /** Whether anything that is known has a name that ends so: a cheap look before the exact one. */
    static boolean mayBe(Call call, FileTree file) {
        return file.file().language().outside().lastNames().contains(call.name());
    }

    /** What a call reaches; empty where it reaches nothing that is known. */
    public static Optional<Resource> ofCall(Call call, FileTree file) {
        if (!mayBe(call, file) || isInMemory(call.arguments(), file) || isGiven(call, file)) {
            return Optional.empty();
        }
        return ofName(call.receiver().isPresent() ? dotted(call.receiver().get(), 0) + "." + call.name() : call.name(), file);
    }

    /** The same, where it may also be called on a value of a declared type. @param receiver the way to what it is called on */
    public static Optional<Resource> ofCall(Call call, Trail receiver, FileTree file) {
        boolean typed = receiver.steps().isEmpty() && (receiver.start() == Trail.Start.TYPED || receiver.start() == Trail.Start.CREATED);
        return ofCall(call, file).or(() -> typed ? ofName(new TypeRef(receiver.head()).simpleName() + "." + call.name(), file) : Optional.empty());
    }

    /** What is reached by reading a member: {@code DateTime.Now}. */
    public static Optional<Resource> ofMember(Member member, FileTree file) {
        return file.file().language().outside().lastNames().contains(member.name()) ? ofName(dotted(member, 0), file) : Optional.empty();
    }

    private static Optional<Resource> ofName(String name, FileTree file) {
        Outside outside = file.file().language().outside();
        Kind kind = kind(outside.calls().get(name));
        boolean whole = kind == null && name.indexOf('.') != name.lastIndexOf('.');
        if (whole && outside.platform().stream().anyMatch(each -> name.startsWith(each.endsWith(".") ? each : each + "."))) {
            String written = lastTwo(name);
            Kind qualified = kind(outside.calls().get(written));
            return qualified == null ? Optional.empty() : Optional.of(new Resource(qualified, qualified.title() + " (" + written + ")", outside.held().contains(written)));
        }
        if (kind == null && outside.lastNames().contains(name.substring(name.lastIndexOf('.') + 1))) {
            return imported(name, file).flatMap(known -> named(known, outside.calls().get(known), outside)
                    .or(() -> named(lastTwo(known), outside.calls().get(lastTwo(known)), outside)));
        }
        return kind == null ? Optional.empty() : reached(name, kind, file);
    }

    private static Optional<Resource> named(String name, String key, Outside outside) {
        return Optional.ofNullable(kind(key)).map(kind -> new Resource(kind, kind.title() + " (" + name + ")", outside.held().contains(name)));
    }

    /** A name as its module has it, where the file gives it, or the module, a name of its own. */
    private static Optional<String> imported(String name, FileTree file) {
        int dot = name.indexOf('.');
        String first = dot < 0 ? name : name.substring(0, dot);
        return file.unit().imports().stream().filter(each -> !each.onDemand() && each.alias().equals(first)).findFirst()
                .map(each -> each.name().substring(each.name().indexOf(':') + 1).replace('/', '.') + (dot < 0 ? "" : name.substring(dot)));
    }

    /** What is written with its whole package needs no import. */
    private static String lastTwo(String name) {
        int dot = name.lastIndexOf('.', name.lastIndexOf('.') - 1);
        return name.substring(dot + 1);
    }

    private static Optional<Resource> reached(String name, Kind kind, FileTree file) {
        Outside outside = file.file().language().outside();
        int dot = name.indexOf('.');
        return isInSight(dot < 0 ? name : name.substring(0, dot), file)
                ? Optional.of(new Resource(kind, kind.title() + " (" + name + ")", outside.held().contains(name)))
                : Optional.empty();
    }

    /** @param links of the chain behind it */
    private static String dotted(Node node, int links) {
        if (links > LONGEST) {
            return "?";
        }
        if (node instanceof Call call && call.receiver().isPresent()) {
            return dotted(call.receiver().get(), links + 1) + "." + call.name();
        }
        return node instanceof Name name ? name.name()
                : node instanceof Member member ? dotted(member.receiver(), links + 1) + "." + member.name() : "?";
    }

    /** Whether a name can mean the platform's here. */
    private static boolean isInSight(String name, FileTree file) {
        Outside outside = file.file().language().outside();
        if (outside.inSight().contains(name)) {
            return true;
        }
        for (Import each : file.unit().imports()) {
            boolean platform = outside.platform().stream().anyMatch(each.name()::startsWith);
            if (each.name().equals(name) || each.name().endsWith("." + name) && (platform || each.name().indexOf('.') == each.name().lastIndexOf('.'))
                    || each.onDemand() && platform || each.name().startsWith(name + ".")) {
                return true;
            }
        }
        return false;
    }
}
