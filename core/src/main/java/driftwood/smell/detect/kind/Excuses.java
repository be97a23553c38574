package driftwood.smell.detect.kind;

import driftwood.smell.Chain.Label;
import driftwood.smell.Chain;
import driftwood.program.Trail;
import driftwood.source.Language.Contract;
import driftwood.source.Language;
import driftwood.tree.TypeRef;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Chains that tell kinds apart and are no type switches: dispatch on what a scanner or a protocol gives, comparisons,
 * options of a main routine, arguments made normal. (Catalogue, type-switch, "Not".)
 */
final class Excuses {
    private static final Pattern ONE = Pattern.compile("b?[\"'](.|\\\\(.|[0-7]{1,3}|x..?|u....|u\\{[^}]+}))[\"']");
    private static final Pattern READING = Pattern.compile(
            "(?i).*(lex|pars|token|scanner|grammar|compile[rd]?\\b).*");
    private static final Pattern TOKEN = Pattern.compile(
            "(?i)(c|ch|chr|char|character|token|tok|keyword|word|symbol|sym|t|tt|lookahead|next.*|current.*|peek.*|op|operator|opcode)");
    /** What a scanner gave, by whatever way it is reached. */
    private static final Pattern TAKEN = Pattern.compile("(?i)(.*[^a-z])?([a-z]*(token|lexeme|opcode|lookahead)([_.]?(type|kind|id|name|code)|s?)|tok([._].*)?)(\\W.*)?");
    private static final Pattern BUILT_IN = Pattern.compile("[\"'](java\\.(lang|util|math|time|sql)\\.\\w+|boolean|byte|short|int|long|float|double|char|"
            + "str|bool|string|String|Integer|Long|Boolean|Double|list|dict|tuple|number|object|function|undefined|bigint|symbol)[\"']");
    private static final Pattern TRUTH = Pattern.compile("(?i)[\"'](yes|no|true|false|on|off|0|1|y|n|t|f)[\"']");
    private static final Pattern PIECE = Pattern.compile("(?i).*(opcode|tag|token|insn|instruction|bytecode)");
    private static final Pattern READER = Pattern.compile("(?i).*(read|decod|disassembl|table|input).*");
    private static final Pattern GIVES = Pattern.compile("(?i)(read|next|peek|scan|take|advance|consume)[A-Z_]?\\w*");
    /** Called back by a parser for each piece that it reads. */
    private static final Pattern CALLED_IN_A_LOOP = Pattern.compile("(?i:start|end|on|visit|handle)(Element|Token|Tag|Line).*|handle_(start|end|startend)tag");
    private static final Pattern PROTOCOL = Pattern.compile("(?i).*(status_?code|response_?code|key_?code|errno).*");
    private static final Pattern ANSWER = Pattern.compile("(?i).*(resp|status|code|http|answer|result).*");
    private static final Pattern STATUS = Pattern.compile("[1-5]\\d\\d");
    /** What a platform tells of an event, where nothing but the label says what it is. */
    private static final Pattern TOLD = Pattern.compile("(?i)(.*\\W)?(e|ev|evt|event)\\.(key|code|which|button|type|inputtype)");
    /** The system that a program runs on, as its platform tells it. */
    private static final Pattern PLATFORM = Pattern.compile("sys\\.platform|os\\.name|platform\\.(system|machine)\\(\\)|(process|os)\\.platform(\\(\\))?|"
            + "PHP_OS(_FAMILY)?|RUBY_PLATFORM|System\\.getProperty\\(\"os\\..*|Environment\\.OSVersion\\.Platform");
    /** What a request asks to be done; the protocol has no others. */
    private static final Pattern VERB = Pattern.compile("[\"'](GET|POST|PUT|PATCH|DELETE|HEAD|OPTIONS|TRACE|CONNECT)[\"']");
    /** What the platform's comparison of two sequences says is to be done with each piece. */
    private static final Pattern DIFFERENCE = Pattern.compile("[\"'](equal|insert|delete|replace)[\"']");
    private static final Set<String> COMPARISONS = Set.of("canEqual", "equivalent");
    /** Types of what a scanner gives; a word before it makes it something else: an access token is none. */
    static final Pattern SCANNED = Pattern.compile("(token|lexeme|opcode)(type|kind|id|code)?s?", Pattern.CASE_INSENSITIVE);
    /** What names the instructions of a machine. */
    static final Pattern INSTRUCTIONS = Pattern.compile("(?i)(byte)?op_?codes?");

    private Excuses() {
    }

    static boolean isExcused(Chain chain) {
        return COMPARISONS.contains(chain.routineName()) || Language.isAsked(chain.routineName(), Contract.EQUALITY,
                Contract.HASH, Contract.ORDER) || Language.isAsked(chain.routineName(), Contract.COMPARISON) && !isOperator(chain) || isMain(chain) || isReading(chain) || isTaken(chain)
                || PROTOCOL.matcher(chain.subject().text()).matches() || isOfAnswer(chain) || TAKEN.matcher(chain.subject().text()).matches()
                || isOfToken(chain) || isTold(chain) || isForeign(chain) || namesBuiltIns(chain) || saysYesOrNo(chain)
                || isOfCharacter(chain) || isMeasured(chain) || chain.arms().stream().anyMatch(arm -> arm.isOn(Label.Kind.CHARACTER));
    }

    /** Texts that others have fixed, to which the project can add none. */
    private static boolean isForeign(Chain chain) {
        List<Label> labels = chain.arms().stream().flatMap(arm -> arm.labels().stream()).filter(label -> label.kind() != Label.Kind.OTHER).toList();
        return !labels.isEmpty() && labels.stream().allMatch(label -> label.kind() == Label.Kind.STRING)
                && (PLATFORM.matcher(chain.subject().text()).matches() || Stream.of(VERB, DIFFERENCE).anyMatch(fixed -> labels.stream().allMatch(label -> fixed.matcher(label.text()).matches())));
    }

    /** The numbers by which a server says how it went are the protocol's. */
    private static boolean isOfAnswer(Chain chain) {
        List<Label> labels = chain.arms().stream().flatMap(arm -> arm.labels().stream()).toList();
        return ANSWER.matcher(chain.subject().word()).matches() && labels.stream().allMatch(label -> label.kind() == Label.Kind.INTEGER && STATUS.matcher(label.text()).matches());
    }

    /** Texts of one character each, asked of what is called a character. */
    private static boolean isOfCharacter(Chain chain) {
        List<Label> texts = chain.arms().stream().flatMap(arm -> arm.labels().stream()).filter(label -> label.kind() != Label.Kind.OTHER).toList();
        boolean character = TOKEN.matcher(chain.subject().word()).matches() || chain.inLoop() && chain.subject().text().matches("\\w{1,2}");
        return character && !texts.isEmpty()
                && texts.stream().allMatch(label -> label.kind() == Label.Kind.STRING && ONE.matcher(label.text()).matches());
    }

    /** A piece of text that an arm cuts off or measures, such as an ending: the cases are rules of a language, and no kinds. */
    private static boolean isMeasured(Chain chain) {
        boolean text = chain.inLoop() && chain.subject().text().matches("[\\w$@]+") && chain.arms().stream().anyMatch(arm -> arm.isOn(Label.Kind.STRING))
                && chain.arms().stream().allMatch(arm -> arm.isOn(Label.Kind.STRING) || arm.isOn(Label.Kind.OTHER));
        if (!text) {
            return false;
        }
        String subject = Pattern.quote(chain.subject().text());
        Pattern measured = Pattern.compile("(?is).*(\\b(len|strlen|count|ends_?with|starts_?with)\\(\\s*" + subject + "\\s*\\)|(?<![\\w$@])" + subject
                + "\\.(length|size)\\b).*");
        return chain.arms().stream().anyMatch(arm -> measured.matcher(arm.does()).matches());
    }

    private static boolean isTold(Chain chain) {
        return TOLD.matcher(chain.subject().text()).matches() && chain.arms().stream().allMatch(arm -> arm.isOn(Label.Kind.STRING) || arm.isOn(Label.Kind.INTEGER));
    }

    /** A bare name that stands for constants is what a comparison is told to do, and none of the things compared. */
    private static boolean isOperator(Chain chain) {
        return chain.subject().text().matches("\\w+") && chain.arms().stream().allMatch(arm -> arm.isOn(Label.Kind.NAME));
    }

    /** Asked of a token: what it says is what stood in the text. */
    private static boolean isOfToken(Chain chain) {
        Trail way = chain.subject().trail();
        return way.start() == Trail.Start.TYPED && !way.steps().isEmpty() && Stream.of(new TypeRef(way.head()).name().split("\\.")).anyMatch(each -> SCANNED.matcher(each).matches())
                && chain.arms().stream().noneMatch(arm -> arm.isOn(Label.Kind.NAME) || arm.isOn(Label.Kind.TYPE));
    }

    /** Labels that are the names of the language's own types: arguments are made normal, nothing is added to these. */
    private static boolean namesBuiltIns(Chain chain) {
        long named = chain.arms().stream().flatMap(arm -> arm.labels().stream()).filter(label -> label.kind() == Label.Kind.STRING
                && BUILT_IN.matcher(label.text()).matches()).count();
        return named >= 2 && 2 * named >= chain.arms().size();
    }

    /** The spellings of a truth value. */
    private static boolean saysYesOrNo(Chain chain) {
        return chain.arms().stream().flatMap(arm -> arm.labels().stream()).allMatch(label -> label.kind() == Label.Kind.STRING
                && TRUTH.matcher(label.text()).matches());
    }

    /** Option parsing: the main routine itself, or labels that are options. */
    private static boolean isMain(Chain chain) {
        return chain.routineName().equals("main") || chain.arms().stream().flatMap(arm -> arm.labels().stream())
                .anyMatch(label -> label.kind() == Label.Kind.STRING && label.text().startsWith("\"-"));
    }

    /** Whether the code around reads a language: what it makes are the productions of a grammar. */
    static boolean isInParser(Chain chain) {
        return READING.matcher(chain.within().substring(chain.within().lastIndexOf('.') + 1)).matches() || READING.matcher(chain.routineName()).matches();
    }

    /** Tokens are read by kind; nobody teaches a token to parse itself. */
    private static boolean isReading(Chain chain) {
        boolean reader = isInParser(chain);
        boolean literal = chain.arms().stream().anyMatch(
                arm -> arm.isOn(Label.Kind.STRING) || arm.isOn(Label.Kind.INTEGER) || arm.isOn(Label.Kind.NAME));
        if (literal && chain.inLoop() && chain.subject().word().toLowerCase(Locale.ROOT).contains("token")) {
            return true;
        }
        boolean called = CALLED_IN_A_LOOP.matcher(chain.routineName()).matches();
        return reader && literal && (chain.inLoop() || called || isGiven(chain.subject()) || TOKEN.matcher(chain.subject().word()).matches());
    }

    /** Whether a reader gave it: {@code label = reader.readWord()}. */
    private static boolean isGiven(Chain.Subject subject) {
        Trail way = subject.trail();
        return way.isCall() && GIVES.matcher(way.lastName()).matches();
    }

    /** What a loop takes from its input piece by piece: an instruction, a tag, an item. */
    private static boolean isTaken(Chain chain) {
        boolean bare = chain.arms().stream().allMatch(arm -> arm.isOn(Label.Kind.INTEGER));
        return chain.inLoop() && (bare || PIECE.matcher(chain.subject().word()).matches()) && chain.arms().stream().allMatch(arm ->
                arm.isOn(Label.Kind.NAME) || arm.isOn(Label.Kind.INTEGER)) && READER.matcher(chain.within()
                + "." + chain.routineName()).matches();
    }
}
