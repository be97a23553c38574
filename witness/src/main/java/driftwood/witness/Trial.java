package driftwood.witness;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.BufferedReader;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.FileDescriptor;
import java.io.FileInputStream;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The program that tells which slips the cases of a recording would notice: each slip is a class in place of another,
 * and the cases are run until one has another outcome. Slips are told by the number of the case that noticed them.
 */
public final class Trial {
    /** No case noticed the slip. */
    public static final int UNNOTICED = -1;
    /** No case comes to the slip's place. */
    public static final int UNREACHED = -2;
    /** There was no time to find out. */
    public static final int UNTRIED = -4;
    /** In place of a place: any case may come to it, since it runs once, when its class is first used. */
    public static final int EVERY_CASE = -1;
    /** Cases that do not end go on burning time; after so many the process is begun anew. */
    private static final int MOST_STUCK = 2;
    /** What a case costs beside the lines that it runs, in lines. */
    private static final int EACH_CASE = 200;
    /** So many of the cases that come to an unnoticed slip are told. */
    private static final int MOST_COMERS = 6;
    /** Written before the number of a case that is run without any slip: it may end the process. */
    public static final int AT = 4;
    /** Said after each request. */
    public static final String DONE = "done";
    /** Written before what a case passes, once for each case that does the same twice, before any slip is tried. */
    public static final int PASSED = 3;

    private final List<Script> scripts;
    private final Projects projects;
    private final Stage stage;

    private Trial(List<Script> scripts, Projects projects, Stage stage) {
        this.scripts = scripts;
        this.projects = projects;
        this.stage = stage;
    }

    /**
     * Tries slips for as long as it is asked to: each line on standard input asks once, with the number of slips to leave
     * out at the beginning, lines of observed code to run at most, then files of scripts, of slips, and to append results
     * to; a line on standard output says that it is done. Code that was run often is run faster.
     *
     * @param arguments milliseconds for each case, then the class path
     */
    public static void main(String[] arguments) throws IOException {
        BufferedReader requests = new BufferedReader(new InputStreamReader(new FileInputStream(FileDescriptor.in), StandardCharsets.UTF_8));
        PrintStream answers = new PrintStream(new FileOutputStream(FileDescriptor.out), true, StandardCharsets.UTF_8);
        Stage stage = new Stage(Long.parseLong(arguments[0]), new Asking(Map.of(), List.of(), Asking.Manner.ALONG), true);
        List<String> path = List.of(arguments).subList(1, arguments.length);
        for (String line = requests.readLine(); line != null; line = requests.readLine()) {
            String[] words = line.split("\t");
            List<Script> scripts;
            Asking asking;
            try (DataInputStream from = open(words[2])) {
                asking = Wire.asking(from);
                scripts = Wire.scripts(from);
            }
            stage.ask(asking);
            Trial trial = new Trial(scripts, new Projects(asking.homes(), path), stage);
            try (DataInputStream slips = open(words[3]); DataOutputStream to = new DataOutputStream(
                    new BufferedOutputStream(Files.newOutputStream(Path.of(words[4]), StandardOpenOption.APPEND)))) {
                trial.all(slips, Integer.parseInt(words[0]), Long.parseLong(words[1]), to);
            }
            answers.println(DONE);
        }
        Runtime.getRuntime().halt(0);
    }

    private static DataInputStream open(String file) throws IOException {
        return new DataInputStream(new BufferedInputStream(Files.newInputStream(Path.of(file))));
    }

    /**
     * Cases that do the same twice can tell a slip, where they come to its place; the one that noticed the last is asked
     * first for the next.
     *
     * @param most lines of observed code to run: what is not tried by then is left, the same on every machine
     */
    private void all(DataInputStream slips, int begin, long most, DataOutputStream to) throws IOException {
        Map<Integer, Outcome> expected = new HashMap<>();
        Map<Integer, Set<Integer>> places = new HashMap<>();
        List<Integer> order = new ArrayList<>();
        ClassLoader watched = projects.loader(classes(slips));
        ClassLoader plain = projects.loader(Map.of());
        Map<Integer, Long> costs = new HashMap<>();
        long run = 0;
        for (int i = 0; i < scripts.size() && run <= most; i++) {
            to.writeByte(AT);
            to.writeInt(i);
            to.flush();
            Reached.take();
            Reached.comparisons();
            Probes.take();
            long work = Reached.count();
            Outcome first = stage.run(scripts.get(i), watched);
            Map<Integer, Integer> reached = Reached.take();
            work = Reached.count() - work;
            run += EACH_CASE + work;
            List<Reached.Compared> compared = Reached.comparisons();
            List<Long> states = stage.states();
            Map<Long, BitSet> passed = Probes.take();
            if (first.ending().equals("endless") || first.ending().equals("unmade")) {
                continue;
            }
            if (stage.isHaunted()) {
                // Whoever started this goes on without the case.
                to.flush();
                Runtime.getRuntime().halt(Witness.HAUNTED);
            }
            if (first.equals(stage.run(scripts.get(i), plain))) {
                expected.put(i, first);
                costs.put(i, EACH_CASE + work);
                places.put(i, reached.keySet());
                order.add(i);
                if (begin == 0) {
                    tell(i, passed, to);
                    to.writeLong(work);
                    to.writeInt(signature(first));
                    List<Integer> features = Features.of(scripts.get(i), first, reached, states);
                    to.writeInt(features.size());
                    for (int each : features) {
                        to.writeInt(each);
                    }
                    to.writeInt(states.size());
                    for (long each : states) {
                        to.writeLong(each);
                    }
                    to.writeInt(compared.size());
                    for (Reached.Compared each : compared) {
                        to.writeInt(each.place());
                        to.writeUTF(each.one());
                        to.writeUTF(each.other());
                        to.writeBoolean(each.numbers());
                    }
                }
            }
        }
        int count = slips.readInt();
        int stuck = 0;
        long spent = 0;
        for (int i = 0; i < count; i++) {
            int place = slips.readInt();
            Map<String, byte[]> slipped = Map.of(slips.readUTF(), slips.readNBytes(slips.readInt()));
            if (i < begin) {
                continue;
            }
            to.writeByte(Witness.BEGIN);
            to.flush();
            ClassLoader loader = projects.loader(slipped);
            int noticed = spent > most ? UNTRIED : UNREACHED;
            List<Integer> comers = new ArrayList<>();
            for (int at = 0; at < order.size() && noticed < 0 && spent <= most; at++) {
                int number = order.get(at);
                if (place != EVERY_CASE && !places.get(number).contains(place)) {
                    continue;
                }
                Outcome now = stage.run(scripts.get(number), loader);
                spent += costs.get(number);
                noticed = UNNOTICED;
                comers.add(number);
                if (!now.equals(expected.get(number))) {
                    noticed = number;
                    order.remove(at);
                    order.add(0, number);
                    stuck += now.ending().equals("endless") ? 1 : 0;
                }
            }
            to.writeByte(Witness.END);
            to.writeInt(noticed);
            int some = noticed < 0 ? Math.min(MOST_COMERS, comers.size()) : 0;
            to.writeInt(some);
            for (int each = 0; each < some; each++) {
                to.writeInt(comers.get(each * comers.size() / some));
            }
            to.flush();
            if (stuck >= MOST_STUCK) {
                Runtime.getRuntime().halt(Witness.ENDLESS);
            }
        }
    }

    /** Of what happened, whichever case it was. */
    private static int signature(Outcome outcome) {
        return new Outcome("", outcome.ending(), outcome.value(), outcome.steps(), outcome.out(), outcome.err(), outcome.pairs(),
                outcome.calls(), outcome.files()).toString().hashCode();
    }

    private static void tell(int number, Map<Long, BitSet> passed, DataOutputStream to) throws IOException {
        to.writeByte(PASSED);
        to.writeInt(number);
        to.writeInt(passed.size());
        for (Map.Entry<Long, BitSet> each : passed.entrySet()) {
            byte[] bits = each.getValue().toByteArray();
            to.writeLong(each.getKey());
            to.writeInt(bits.length);
            to.write(bits);
        }
    }

    private static Map<String, byte[]> classes(DataInputStream from) throws IOException {
        Map<String, byte[]> classes = new HashMap<>();
        int count = from.readInt();
        for (int i = 0; i < count; i++) {
            classes.put(from.readUTF(), from.readNBytes(from.readInt()));
        }
        return classes;
    }
}
