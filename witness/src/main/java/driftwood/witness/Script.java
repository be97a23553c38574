package driftwood.witness;

import java.util.List;

/**
 * One case to run.
 *
 * @param id        of the case
 * @param receiver  one element, or none for static routines and bare constructions
 * @param before    calls on the receiver that bring it into a state; their results are not observed
 * @param call      the observed call, without receiver; none where only a construction is observed
 * @param names     names of the call's parameters, for telling which arguments changed
 */
public record Script(String id, List<Make> receiver, List<Make.Call> before, List<Make.Call> call,
        List<String> names) {
}
