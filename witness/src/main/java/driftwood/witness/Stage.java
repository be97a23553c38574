package driftwood.witness;

import java.io.ByteArrayInputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Where cases are run: one after the other, in a thread of their own, what they print caught. */
final class Stage {
    private final long limit;
    private final Capture out = new Capture();
    private final Capture err = new Capture();
    private Worker worker = new Worker();
    private final Desk desk = new Desk(Path.of("").toAbsolutePath());

    /** Takes the process's output over. @param limit milliseconds for each case */
    Stage(long limit) {
        this.limit = limit;
        System.setOut(new PrintStream(out, true, StandardCharsets.UTF_8));
        System.setErr(new PrintStream(err, true, StandardCharsets.UTF_8));
        System.setIn(new ByteArrayInputStream(new byte[0]));
    }

    /** Runs a case. @param loader of the observed classes */
    Outcome run(Script script, ClassLoader loader) {
        Outcome told = worker.run(loader, () -> attempt(script), limit);
        String printed = Describer.blurred(out.take());
        String complained = Describer.blurred(err.take());
        if (told == null) {
            worker = new Worker();
            return new Outcome(script.id(), "endless", Value.NULL, printed, complained, List.of(), List.of(), List.of(),
                    desk.take());
        }
        return new Outcome(told.id(), told.ending(), told.value(), printed, complained, told.names(), told.left(),
                told.calls(), desk.take());
    }

    private static Outcome attempt(Script script) {
        StandIns standIns = new StandIns();
        Maker maker = new Maker(standIns);
        List<Object> watched = new ArrayList<>();
        List<String> names = new ArrayList<>();
        List<Value> before = new ArrayList<>();
        String ending = "gives";
        Value value;
        try {
            Object receiver = script.receiver().isEmpty() ? null : maker.make(script.receiver().get(0));
            for (Make.Call call : script.before()) {
                maker.invoke(call, receiver, maker.all(call.arguments()));
            }
            if (script.call().isEmpty()) {
                value = new Describer().describe(receiver);
            } else {
                Make.Call call = script.call().get(0);
                Object[] arguments = maker.all(call.arguments());
                watch(receiver, "this", watched, names, before);
                for (int i = 0; i < arguments.length; i++) {
                    watch(arguments[i], script.names().get(i), watched, names, before);
                }
                value = new Describer(true).describe(maker.invoke(call, receiver, arguments));
            }
        } catch (Unmade e) {
            ending = "unmade";
            value = Value.scalar("text", e.getMessage());
        } catch (Throwable problem) {
            ending = "throws";
            value = new Describer().problem(problem, "it", 0);
        }
        List<String> changed = new ArrayList<>();
        List<Value> left = new ArrayList<>();
        for (int i = 0; i < watched.size(); i++) {
            Value after = new Describer().describe(watched.get(i));
            if (!after.equals(before.get(i))) {
                changed.add(names.get(i));
                left.add(after);
            }
        }
        return new Outcome(script.id(), ending, value, "", "", changed, left, standIns.calls(), List.of());
    }

    private static void watch(Object object, String name, List<Object> watched, List<String> names,
            List<Value> before) {
        if (object != null) {
            watched.add(object);
            names.add(name);
            before.add(new Describer().describe(object));
        }
    }
}
