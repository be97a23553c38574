package driftwood.smell.detect.mismatched;

import driftwood.program.TypeOutline;
import driftwood.smell.Chain;
import driftwood.smell.Chain.ArmCall;
import driftwood.smell.Chain.Label;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Whether what the arms of a choice call are two ways to one end, as their words tell: not a value and its stand-in, or a whole and its part. */
final class Alternatives {
    private static final Pattern RECEIVER = Pattern.compile("[(\\s]*(?:\\([\\w.<>?, ]+\\)\\s*)?(\\w+)");
    /** A routine of a type itself, where a sign of its own says so. */
    private static final Pattern OF_TYPE = Pattern.compile("\\w+::");
    private static final Pattern READING = Pattern.compile("(?i:get|is|has|to|as)[A-Z_].*");
    private static final Pattern STAND_IN = Pattern.compile("(?i).*(default|fallback|dummy).*");
    /** A number or text that stands for none. */
    private static final Pattern SENTINEL = Pattern.compile("[=!<>]=? *(-1|\"\"|'')|[<>]=? *0\\b|length\\b(\\(\\))? *[=!<>]|isEmpty\\(");

    private Alternatives() {
    }

    /**
     * A value or what stands in for it is no choice between two who do the same: one of them is asked whether it has it, a
     * number stands for none, one arm takes a default or a constant, or parts are read by name.
     */
    static boolean isStandIn(Map<TypeOutline, ArmCall> calls, Chain chain, boolean direct) {
        boolean typed = chain.arms().stream().allMatch(arm -> arm.isOn(Label.Kind.TYPE));
        List<String> asked = chain.arms().stream().flatMap(arm -> arm.labels().stream()).filter(label -> label.kind() == Label.Kind.OTHER)
                .map(Label::text).toList();
        boolean constant = false;
        boolean asksOne = false;
        boolean reads = true;
        for (ArmCall armCall : calls.values()) {
            Matcher start = RECEIVER.matcher(armCall.text().replaceFirst("^(this|self)\\.", ""));
            String receiver = start.lookingAt() ? start.group(1) : "";
            constant |= !receiver.isEmpty() && Character.isUpperCase(receiver.charAt(0)) && !armCall.text().startsWith("(") || OF_TYPE.matcher(armCall.text()).lookingAt();
            String own = armCall.text().matches("(this|self)\\..*") ? "(this|self)\\." : "(?<![.\\w])";
            asksOne |= !receiver.isEmpty() && asked.stream().anyMatch(text -> Pattern.compile(own + Pattern.quote(receiver) + "\\b").matcher(text).find());
            reads &= READING.matcher(armCall.call().lastName()).matches() && armCall.call().arguments() == 0;
        }
        boolean none = chain.arms().stream().flatMap(arm -> arm.labels().stream()).anyMatch(label -> label.kind() == Label.Kind.INTEGER
                && label.text().equals("-1"));
        return none || direct && (constant || asksOne && !typed) || reads && !typed || asked.stream().anyMatch(text -> SENTINEL.matcher(text).find())
                || calls.values().stream().anyMatch(armCall -> STAND_IN.matcher(armCall.call().lastName()).matches());
    }

    /** One stands for the other: neither leads to the other or is handed to it. */
    static boolean areAlternatives(Map<TypeOutline, ArmCall> calls, Chain chain) {
        List<String> receivers = new ArrayList<>();
        for (ArmCall armCall : calls.values()) {
            String text = armCall.text().replaceFirst("^(this|self)\\.", "");
            Matcher start = RECEIVER.matcher(text);
            receivers.add(start.lookingAt() ? start.group(1) : text);
        }
        List<String> texts = calls.values().stream().map(ArmCall::text).toList();
        boolean typed = chain.arms().stream().allMatch(arm -> arm.isOn(Label.Kind.TYPE))
                || texts.stream().allMatch(text -> text.matches("\\(+[\\w.<>]+\\).*"));
        boolean handed = false;
        for (int i = 0; i < texts.size(); i++) {
            String asArgument = ".*[(,]\\s*(\\([\\w.<>]+\\)\\s*)?" + receivers.get(i) + "\\s*[),].*";
            for (int j = 0; j < texts.size(); j++) {
                handed |= i != j && texts.get(j).matches(asArgument);
            }
        }
        return !handed && !isCapability(texts, chain) && (typed || receivers.stream().distinct().count() == calls.size());
    }

    /** Asks whether the subject can do more than its type says, and takes what all can do where it cannot. */
    static boolean isCapability(List<String> texts, Chain chain) {
        String subject = chain.subject().text();
        boolean tested = chain.arms().stream().anyMatch(arm -> arm.isOn(Label.Kind.TYPE));
        return tested && chain.arms().size() < texts.size()
                && texts.stream().anyMatch(text -> text.startsWith(subject + "."))
                && texts.stream().anyMatch(text -> text.matches("\\(+[\\w.<>]+\\).*"));
    }
}
