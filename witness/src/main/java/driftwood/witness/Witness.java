package driftwood.witness;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;

/**
 * The program that runs in the observed process: reads scripts, runs each within its time, and writes what happened.
 * A byte before each case says that it was begun, so that whoever started the process can tell which case ended it.
 */
public final class Witness {
    /** Exit code after a case that did not end in time: the process cannot be trusted any more. */
    public static final int ENDLESS = 97;
    /** A case that only waits may take this many times its limit. */
    public static final int PATIENCE = 5;
    /** Written before a case is run. */
    public static final int BEGIN = 1;
    /** Written before an outcome. */
    public static final int END = 2;

    private Witness() {
    }

    /**
     * Runs scripts.
     *
     * @param arguments file of scripts, file to append outcomes to, number of scripts to leave out at the beginning,
     *                  milliseconds for each case
     */
    public static void main(String[] arguments) throws IOException {
        List<Script> scripts = new ArrayList<>();
        try (DataInputStream from = new DataInputStream(new BufferedInputStream(
                Files.newInputStream(Path.of(arguments[0]))))) {
            int count = from.readInt();
            for (int i = 0; i < count; i++) {
                scripts.add(Wire.script(from));
            }
        }
        int begin = Integer.parseInt(arguments[2]);
        long limit = Long.parseLong(arguments[3]);
        Capture out = new Capture();
        Capture err = new Capture();
        System.setOut(new PrintStream(out, true, StandardCharsets.UTF_8));
        System.setErr(new PrintStream(err, true, StandardCharsets.UTF_8));
        System.setIn(new java.io.ByteArrayInputStream(new byte[0]));
        try (DataOutputStream to = new DataOutputStream(new BufferedOutputStream(
                Files.newOutputStream(Path.of(arguments[1]), StandardOpenOption.APPEND)))) {
            for (Script script : scripts.subList(begin, scripts.size())) {
                to.writeByte(BEGIN);
                to.flush();
                Outcome outcome = run(script, limit, out, err);
                to.writeByte(END);
                Wire.write(to, outcome);
                to.flush();
                if (outcome.ending().equals("endless")) {
                    Runtime.getRuntime().halt(ENDLESS);
                }
            }
        }
        Runtime.getRuntime().halt(0);
    }

    private static Outcome run(Script script, long limit, Capture out, Capture err) {
        Outcome[] outcome = new Outcome[1];
        Thread thread = new Thread(null, () -> outcome[0] = attempt(script), "case", 1 << 20);
        thread.setDaemon(true);
        thread.start();
        await(thread, limit);
        String printed = out.take();
        String complained = err.take();
        Outcome told = outcome[0];
        if (told == null) {
            return new Outcome(script.id(), "endless", Value.NULL, printed, complained, List.of(), List.of(), List.of());
        }
        return new Outcome(told.id(), told.ending(), told.value(), printed, complained, told.names(), told.left(),
                told.calls());
    }

    /**
     * Waits for a case. Its time is what it computes, not what passes: a busy machine must not look like an endless
     * loop. One that only waits is given up after some times its limit.
     */
    private static void await(Thread thread, long limit) {
        try {
            thread.join(limit);
            long given = System.nanoTime() + (PATIENCE - 1) * limit * 1_000_000;
            while (thread.isAlive() && System.nanoTime() < given && computed(thread) < limit * 1_000_000) {
                thread.join(Math.max(1, limit / 20));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Nanoseconds of processor time; without bound where the JVM cannot tell. */
    private static long computed(Thread thread) {
        long time = ManagementFactory.getThreadMXBean().getThreadCpuTime(thread.getId());
        return time < 0 ? Long.MAX_VALUE : time;
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
                value = new Describer().describe(maker.invoke(call, receiver, arguments));
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
        return new Outcome(script.id(), ending, value, "", "", changed, left, standIns.calls());
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
