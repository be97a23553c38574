package driftwood.words;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What the words in Driftwood's outputs mean. */
public final class Glossary {

    /**
     * One word.
     *
     * @param key     as it is asked for
     * @param meaning a few sentences
     */
    public record Term(String key, String meaning) {
    }

    private static final List<Term> TERMS = List.of(
            new Term("drag", "How much a smell will hold back the next change, from 0.0 (not at all) to 5.0. It grows with the places that must "
                    + "be edited together and the files they are in, with what there is to understand at the place itself, and with the risk of "
                    + "getting the change silently wrong; a place that changed often lately drags more. Findings of 2.5 or more are worth a look "
                    + "before the next change there; docs/drag.md has the formula."),
            new Term("change-drill", "What one more variant, option or caller would cost: every place that must be edited for it today, and after the "
                    + "best pattern. 'driftwood drill ID' prints it; it is the argument for or against a refactoring."),
            new Term("arm", "One branch of a conditional: a case of a switch, an if or else-if with its condition, a case of a match. Arms that ask the same "
                    + "thing for its kind, in several places, must all be found when a kind is added."),
            new Term("variant", "One of the kinds that code tells apart: a subtype, an enum constant, a text or number that stands for a kind."),
            new Term("subject", "What a conditional asks about: the parameter, field or expression whose kind decides which arm runs."),
            new Term("routine", "A method, function or constructor, whatever the language calls it."),
            new Term("guard", "A condition that keeps a value from being used, such as a check for null before a call."),
            new Term("leave-it", "The advice not to refactor: the patterns that fit cost more than the smell does. It is one of the candidates that 'driftwood "
                    + "plan' compares, and often right. To leave a finding out for good, write a comment with the reason at the place: "
                    + "'driftwood: leave type-switch because the protocol fixes the kinds'; or accept all of today's with 'driftwood scan --accept'."),
            new Term("evidence", "The places that made a finding: each arm, each caller, each check, with its line."),
            new Term("fit", "How well a pattern answers a finding, from 0.00 to 1.00, seen from what is there: 0.70 and more is a good answer."),
            new Term("role", "The part that a type or routine plays in a pattern, such as product, creator or component."),
            new Term("case", "One run of the recorded code: the objects it starts from, up to six calls on them, and what came of it. "
                    + "Cases have names such as c7."),
            new Term("recording", "What code did when it was characterized, case by case, in .driftwood/recordings. 'driftwood confirm' runs the cases again "
                    + "and compares. It holds what a client of the code can see: results, exceptions, output, files, changed arguments, calls on what was "
                    + "handed in, and the answers of the objects' queries. Private fields are not compared."),
            new Term("query", "A routine without parameters that only answers: asked again it says the same, and nothing else changes. Which routines are queries "
                    + "is found out by asking them."),
            new Term("slip", "A small mistake as a tired developer makes it: < for <=, + for -, a condition turned round, a call left out. Slips are planted "
                    + "in the running code, one at a time, to see which of them a recording notices."),
            new Term("notices", "How many of the planted slips a recording notices: 'notices 52 of 52 planted slips'. A recording that notices few of them would "
                    + "miss your mistakes too."),
            new Term("same", "A case came to just what was recorded."),
            new Term("reordered", "A case came to the same content in another order, such as the lines of a list. --any-order lets it pass."),
            new Term("different", "A case came to something else than recorded."),
            new Term("gone", "A case can no longer be run: its routine or its type is no longer there. Renamed? .driftwood/ways.json can say so."),
            new Term("built-differently", "An object is of a class that is new since the recording, and answers all it was asked as the former one did: no "
                    + "difference, but said."),
            new Term("ways", "How objects are made, and what routines are called now, where the code leaves that open: .driftwood/ways.json."));

    private Glossary() {
    }

    /** All words, in an order in which they can be read. */
    public static List<Term> terms() {
        return TERMS;
    }

    /** A word, in any case, with blanks or dashes. */
    public static Optional<Term> of(String word) {
        String key = word.strip().toLowerCase(Locale.ROOT).replace(' ', '-');
        return TERMS.stream().filter(each -> each.key().equals(key)).findFirst();
    }
}
