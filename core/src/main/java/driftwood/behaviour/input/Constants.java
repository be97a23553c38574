package driftwood.behaviour.input;

import driftwood.read.Readers;
import driftwood.source.Language;
import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import driftwood.tree.Arm;
import driftwood.tree.Binary;
import driftwood.tree.Call;
import driftwood.tree.Conditional;
import driftwood.tree.Creation;
import driftwood.tree.EqualityTest;
import driftwood.tree.Field;
import driftwood.tree.If;
import driftwood.tree.Import;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.Match;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.NullTest;
import driftwood.tree.TreeScanner;
import driftwood.tree.TypeTest;
import driftwood.tree.Unary;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Constants that the code compares with, and the words of what they are compared with: {@code vessel.tonnage() > 500}
 * gives 500 for "tonnage".
 */
public final class Constants extends TreeScanner {
    /** A longer text is a message, not a value. In characters. */
    private static final int LONGEST = 40;
    private static final int MOST_KNOWN = 200;
    /** Calls that have an answer for nothing. */
    private static final Set<String> NULL_SAFE = Set.of("ofNullable", "isNull", "nonNull", "requireNonNullElse", "requireNonNullElseGet", "isEmpty", "isBlank",
            "isNullOrEmpty", "defaultString");

    private final Map<String, Set<Literal>> byWord = new TreeMap<>();
    private final Set<Literal> compared = new LinkedHashSet<>();
    private final Set<Literal> known = new LinkedHashSet<>();
    private final Map<String, Literal> named = new HashMap<>();
    private final Set<String> optional = new HashSet<>();
    private final Set<String> madeOfNothing = new HashSet<>();
    private final Map<String, Set<String>> asked = new HashMap<>();
    private final Map<String, Set<String>> tested = new HashMap<>();
    private final List<Runnable> later = new ArrayList<>();
    /** Of the file being read. */
    private List<Import> imports = List.of();

    private Constants() {
    }

    /** Mines files. @param paths relative to the root; those that cannot be read are left out */
    public static Constants of(Path root, Collection<String> paths) {
        Map<Language, List<SourceText>> texts = new LinkedHashMap<>();
        for (String path : paths) {
            Optional<Language> language = Language.ofFileName(path);
            try {
                if (language.isPresent()) {
                    texts.computeIfAbsent(language.get(), key -> new ArrayList<>())
                            .add(SourceText.read(new SourceFile(path, root.resolve(path), language.get(), false)));
                }
            } catch (SourceText.NotReadable e) {
                continue;
            }
        }
        Constants constants = new Constants();
        Readers readers = new Readers();
        texts.forEach((language, all) -> readers.of(language).read(all, tree -> {
            constants.imports = tree.unit().imports();
            constants.scan(tree.unit());
        }));
        constants.later.forEach(Runnable::run);
        return constants;
    }

    /** Constants that something of this name is compared with. */
    public Set<Literal> of(String word) {
        return byWord.getOrDefault(key(word), Set.of());
    }

    /** All constants that anything is compared with. */
    Set<Literal> all() {
        return compared;
    }

    /** Those that anything is compared with, then others that the code knows. */
    public Set<Literal> known() {
        Set<Literal> all = new LinkedHashSet<>(compared);
        all.addAll(known);
        return all;
    }

    /** Whether anything of this name is asked whether it is there, or a type of this name made with nothing in some place. */
    public boolean mayBeNothing(String type, String word) {
        return optional.contains(key(word)) || madeOfNothing.contains(type);
    }

    /** What anything of this name is asked for: its members that are read or called. */
    Set<String> askedOf(String word) {
        return asked.getOrDefault(key(word), Set.of());
    }

    /** The types that the code asks whether something of this name is one. */
    Set<String> askedToBe(String word) {
        return tested.getOrDefault(key(word), Set.of());
    }

    @Override
    public Void visitTypeTest(TypeTest test) {
        tested.computeIfAbsent(key(word(test.subject())), each -> new LinkedHashSet<>()).add(test.type().simpleName());
        return visitNode(test);
    }

    private void asks(Node receiver, String member) {
        if (receiver instanceof Name name && !name.isSelf() || receiver instanceof Member) {
            asked.computeIfAbsent(key(word(receiver)), each -> new LinkedHashSet<>()).add(member);
        }
    }

    @Override
    public Void visitNullTest(NullTest test) {
        return asked(test.subject(), test);
    }

    /** {@code if note:} in Python. */
    @Override
    public Void visitIf(If branch) {
        return asked(branch.condition(), branch);
    }

    @Override
    public Void visitConditional(Conditional conditional) {
        return asked(conditional.condition(), conditional);
    }

    @Override
    public Void visitUnary(Unary unary) {
        return asked(unary.operand(), unary);
    }

    /** Notes what is asked whether it is there, and goes on into what asks. */
    private Void asked(Node subject, Node around) {
        optional.add(key(word(subject)));
        return visitNode(around);
    }

    @Override
    public Void visitCreation(Creation creation) {
        if (creation.arguments().stream().anyMatch(each -> each instanceof Literal literal && literal.kind() == LiteralKind.NULL)) {
            madeOfNothing.add(creation.type().simpleName());
        }
        return visitNode(creation);
    }

    @Override
    public Void visitLiteral(Literal literal) {
        boolean worth = literal.kind() == LiteralKind.INTEGER || literal.kind() == LiteralKind.DECIMAL
                || literal.kind() == LiteralKind.CHARACTER
                || literal.kind() == LiteralKind.STRING && literal.text().length() <= LONGEST;
        if (worth && known.size() < MOST_KNOWN) {
            known.add(bare(literal));
        }
        return null;
    }

    /** Constants of the platform are numbers like any other: the compiler writes them in their place. */
    @Override
    public Void visitMember(Member member) {
        asks(member.receiver(), member.name());
        PlatformConstants.of(member, imports).filter(each -> known.size() < MOST_KNOWN).ifPresent(known::add);
        return visitNode(member);
    }

    @Override
    public Void visitField(Field field) {
        if (field.traits().isFinal() && field.initial().isPresent() && literal(field.initial().get()) != null) {
            named.put(field.name(), literal(field.initial().get()));
        }
        return visitNode(field);
    }

    @Override
    public Void visitBinary(Binary binary) {
        if (binary.operator().startsWith("<") || binary.operator().startsWith(">")) {
            pair(binary.left(), binary.right());
        }
        if (binary.operator().equals("%") || binary.operator().equals("/")) {
            pair(binary.left(), binary.right());
        }
        if (Set.of("&&", "||", "and", "or").contains(binary.operator())) {
            optional.add(key(word(binary.left())));
            optional.add(key(word(binary.right())));
        }
        return visitNode(binary);
    }

    @Override
    public Void visitEqualityTest(EqualityTest test) {
        pair(test.left(), test.right());
        return visitNode(test);
    }

    @Override
    public Void visitMatch(Match match) {
        for (Arm arm : match.arms()) {
            arm.labels().forEach(label -> pair(match.subject(), label));
        }
        return visitNode(match);
    }

    /** Texts that a text is searched for are worth trying as well. */
    @Override
    public Void visitCall(Call call) {
        call.receiver().ifPresent(each -> asks(each, call.name()));
        if (call.receiver().isPresent() && call.arguments().size() == 1
                && Set.of("startsWith", "endsWith", "contains", "indexOf", "matches", "split", "compareTo", "startswith", "endswith", "find", "get")
                .contains(call.name())) {
            pair(call.receiver().get(), call.arguments().get(0));
        }
        if (NULL_SAFE.contains(call.name()) && !call.arguments().isEmpty()) {
            call.arguments().forEach(each -> optional.add(key(word(each))));
        }
        return visitNode(call);
    }

    private void pair(Node one, Node other) {
        List<Import> here = imports;
        later.add(() -> {
            take(one, other, here);
            take(other, one, here);
        });
    }

    private void take(Node subject, Node constant, List<Import> here) {
        Literal literal = constant instanceof Member member ? PlatformConstants.of(member, here).orElse(null) : literal(constant);
        if (literal == null && constant instanceof Name name) {
            literal = named.get(name.name());
        }
        if (literal == null && constant instanceof Member member) {
            literal = named.get(member.name());
        }
        if (literal == null || literal.kind() == LiteralKind.NULL || literal.kind() == LiteralKind.BOOLEAN) {
            return;
        }
        compared.add(bare(literal));
        String word = word(subject);
        if (!word.isEmpty()) {
            byWord.computeIfAbsent(key(word), key -> new LinkedHashSet<>()).add(bare(literal));
        }
    }

    /** Without its position, so that equal constants are one. */
    private static Literal bare(Literal literal) {
        return new Literal(0, 0, literal.kind(), literal.text());
    }

    private static Literal literal(Node node) {
        if (node instanceof Unary unary && unary.operator().equals("-") && unary.operand() instanceof Literal number) {
            return new Literal(0, 0, number.kind(), "-" + number.text());
        }
        return node instanceof Literal literal ? literal : null;
    }

    private static String word(Node subject) {
        if (subject instanceof Name name) {
            return name.name();
        }
        if (subject instanceof Member member) {
            return member.name();
        }
        if (subject instanceof Call call) {
            boolean measure = Set.of("length", "size", "intValue", "trim", "strip", "toLowerCase", "toUpperCase",
                    "compareTo", "charAt").contains(call.name());
            return measure && call.receiver().isPresent() ? word(call.receiver().get()) : call.name();
        }
        return "";
    }

    private static String key(String word) {
        String bare = word.startsWith("get") && word.length() > 3 ? word.substring(3) : word;
        return bare.toLowerCase(java.util.Locale.ROOT);
    }
}
