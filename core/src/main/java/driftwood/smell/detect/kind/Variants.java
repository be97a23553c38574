package driftwood.smell.detect.kind;

import driftwood.program.Fields;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.smell.Chain;
import driftwood.smell.Chain.Label;
import driftwood.tree.TypeKind;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Which variants of the project a chain tells apart, if any. Foreign types and constants do not count: nobody can move
 * behaviour onto them.
 *
 * @param kind   how they are told apart
 * @param common what they have in common: the enum, the common supertype, or the owner of the constants; may be empty
 * @param names  in the order of the arms, each once
 * @param arms   indices of the arms that test at least one of them
 */
record Variants(Kind kind, String common, List<String> names, List<Integer> arms) {
    private static final Set<String> LEXED = Set.of("char", "Character", "Regexp", "RegExp", "Pattern", "Regex");

    enum Kind {
        TYPES, ENUM, CONSTANTS, STRINGS, NUMBERS
    }

    /** Words that name a tag where the labels are bare numbers. */
    private static final Pattern TAG_WORD = Pattern.compile(
            "(?i).*(type|kind|mode|tag|category|variant|state|phase|action|command|operation|style|format|method|role)");

    static Optional<Variants> of(Chain chain, Program program) {
        Optional<TypeOutline> scope = program.type(chain.within());
        if (scope.isEmpty() || chain.subject().text().isEmpty()) {
            return Optional.empty();
        }
        Optional<Variants> types = chain.arms().stream().anyMatch(arm -> arm.isOn(Label.Kind.TYPE))
                ? ofTypes(chain, program, scope.get()) : Optional.empty();
        if (types.isPresent()) {
            return types;
        }
        return ofEnum(chain, program).or(() -> ofConstants(chain, program)).or(() -> ofLiterals(chain));
    }

    private static Optional<Variants> ofTypes(Chain chain, Program program, TypeOutline scope) {
        List<String> names = new ArrayList<>();
        List<Integer> arms = new ArrayList<>();
        List<TypeOutline> types = new ArrayList<>();
        for (int i = 0; i < chain.arms().size(); i++) {
            boolean counted = false;
            for (Label label : chain.arms().get(i).labels()) {
                Optional<TypeOutline> type = label.kind() == Label.Kind.TYPE
                        ? program.resolve(new TypeRef(label.text()), scope).filter(each -> !each.isModule()) : Optional.empty();
                if (type.isPresent() && !names.contains(type.get().simpleName())) {
                    names.add(type.get().simpleName());
                    types.add(type.get());
                    counted = true;
                }
            }
            if (counted) {
                arms.add(i);
            }
        }
        return names.size() < 2 ? Optional.empty()
                : Optional.of(new Variants(Kind.TYPES, commonOf(types, chain, program), names, arms));
    }

    /** The declared type of the subject where the project has it, else the nearest supertype that all share. */
    private static String commonOf(List<TypeOutline> types, Chain chain, Program program) {
        Optional<TypeOutline> declared = program.projectType(chain.subject().trail(), chain.within());
        if (declared.isPresent()) {
            return declared.get().name();
        }
        return program.commonOf(types).map(TypeOutline::name).orElse("");
    }

    private static Optional<Variants> ofEnum(Chain chain, Program program) {
        Optional<TypeOutline> declared = program.projectType(chain.subject().trail(), chain.within())
                .filter(type -> type.kind() == TypeKind.ENUM);
        Optional<TypeOutline> type = declared.isPresent() ? declared : chain.arms().stream()
                .flatMap(arm -> arm.labels().stream()).filter(label -> label.kind() == Label.Kind.NAME)
                .flatMap(label -> program.fieldAt(label.trail(), chain.within()).stream())
                .filter(found -> found.field().isEmpty()).map(Fields.Found::owner).findFirst();
        if (type.isEmpty()) {
            return Optional.empty();
        }
        return named(Kind.ENUM, type.get().name(), chain, label -> type.get().constants().contains(label.text()));
    }

    private static Optional<Variants> ofConstants(Chain chain, Program program) {
        Optional<TypeOutline> owner = chain.arms().stream().flatMap(arm -> arm.labels().stream())
                .flatMap(label -> constant(label, chain, program).stream()).map(Fields.Found::owner).findFirst();
        return owner.flatMap(type -> named(Kind.CONSTANTS, type.name(), chain,
                label -> constant(label, chain, program).isPresent()));
    }

    /** A constant of the project that can serve as a tag: characters and what a text must look like belong to lexers. */
    private static Optional<Fields.Found> constant(Label label, Chain chain, Program program) {
        return label.kind() != Label.Kind.NAME ? Optional.empty()
                : program.fieldAt(label.trail(), chain.within()).filter(found -> found.field().isPresent()
                        && found.field().get().isConstant() && !isLexed(found.field().get().type()));
    }

    private static boolean isLexed(TypeRef type) {
        return LEXED.contains(type.text());
    }

    private static Optional<Variants> ofLiterals(Chain chain) {
        if (!chain.subject().plain()) {
            return Optional.empty();
        }
        Optional<Variants> strings = named(Kind.STRINGS, "", chain, label -> label.kind() == Label.Kind.STRING);
        if (strings.isPresent()) {
            return strings;
        }
        return TAG_WORD.matcher(chain.subject().word()).matches()
                ? named(Kind.NUMBERS, "", chain, label -> label.kind() == Label.Kind.INTEGER) : Optional.empty();
    }

    private interface Test {
        boolean accepts(Label label);
    }

    private static Optional<Variants> named(Kind kind, String common, Chain chain, Test test) {
        List<String> names = new ArrayList<>();
        List<Integer> arms = new ArrayList<>();
        for (int i = 0; i < chain.arms().size(); i++) {
            for (Label label : chain.arms().get(i).labels()) {
                if (test.accepts(label)) {
                    if (!names.contains(label.text())) {
                        names.add(label.text());
                    }
                    if (!arms.contains(i)) {
                        arms.add(i);
                    }
                }
            }
        }
        return arms.size() < 2 ? Optional.empty() : Optional.of(new Variants(kind, common, names, arms));
    }

    /** What chains on the same variants share: the common type, or the subject's word for bare literals; numbers mean something in one type only. */
    String group(Chain chain) {
        if (kind == Kind.NUMBERS) {
            return kind + " " + chain.within() + " " + chain.subject().word();
        }
        return common.isEmpty() ? kind + " " + chain.subject().word() : kind + " " + common;
    }

    /** Whether a common owner is not enough to say that two chains tell the same variants apart. */
    boolean isLoose() {
        return kind != Kind.ENUM && kind != Kind.TYPES || common.isEmpty();
    }

    /** For messages: the simple name of what the variants have in common. */
    String commonName() {
        return common.substring(common.lastIndexOf('.') + 1);
    }
}
