package driftwood.witness;

import java.io.ByteArrayInputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;

/** Where cases are run: one after the other, in a thread of their own, what they print caught. */
final class Stage {
    private final long limit;
    private final Capture out = new Capture();
    private final Capture err = new Capture();
    private final boolean guiding;
    private Answers answers;
    private Worker worker = new Worker();
    private final Strays strays = new Strays();
    // driftwood: leave hard-coded-instantiation because the folder that observed code works in is this class's own matter
    private final Desk desk = new Desk(Path.of("").toAbsolutePath());
    private volatile List<Long> states = List.of();

    /**
     * Takes the process's output over.
     *
     * @param limit   milliseconds for each case
     * @param guiding whether inner states are told as well
     */
    Stage(long limit, Asking asking, boolean guiding) {
        this.limit = limit;
        this.guiding = guiding;
        this.answers = new Answers(asking, List.of(out, err));
        System.setOut(new PrintStream(out, true, StandardCharsets.UTF_8));
        System.setErr(new PrintStream(err, true, StandardCharsets.UTF_8));
        System.setIn(new ByteArrayInputStream(new byte[0]));
    }

    /** Whether the cases so far left threads that go on computing. */
    boolean isHaunted() {
        return strays.compute();
    }

    /** From now on objects are asked otherwise. @return who asks them */
    Answers ask(Asking asking) {
        answers = new Answers(asking, List.of(out, err));
        return answers;
    }

    /** The inner state of the receiver after each step of the case that was run last. */
    List<Long> states() {
        return states;
    }

    /** Runs a case. @param loader of the observed classes */
    Outcome run(Script script, ClassLoader loader) {
        Answers asked = answers;
        states = List.of();
        Outcome told = worker.run(loader, () -> {
            Scene scene = new Scene(script, asked, guiding);
            Outcome outcome = scene.play();
            states = scene.states();
            return outcome;
        }, limit);
        strays.endChildren();
        String printed = Foreign.blurred(out.take());
        String complained = Foreign.blurred(err.take());
        if (told == null) {
            strays.knows(worker.thread());
            worker = new Worker();
            strays.knows(worker.thread());
            return new Outcome(script.id(), "endless", Value.NULL, List.of(), printed, complained, List.of(), List.of(),
                    desk.take());
        }
        return new Outcome(told.id(), told.ending(), told.value(), told.steps(), printed, complained, told.pairs(),
                told.calls(), desk.take());
    }
}
