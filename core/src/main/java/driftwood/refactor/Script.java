package driftwood.refactor;

import driftwood.smell.Evidence;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * A refactoring as it is being written: edits in stages, all told by offsets of the sources as they are before the first
 * one. A later edit may replace a stretch in which earlier ones lie; it swallows them.
 */
public final class Script {
    private final Map<String, String> originals;
    private final List<Begun> stages = new ArrayList<>();
    private final List<Edit> edits = new ArrayList<>();
    /** How much of an edit's text is comments that were kept. */
    private final Map<Integer, Integer> kept = new HashMap<>();
    private final Set<Begun> meant = Collections.newSetFromMap(new IdentityHashMap<>());

    /** A stage that is being written. */
    private record Begun(String does, List<Evidence> places, Map<String, Optional<String>> whole) {
    }

    /** Where several texts are inserted at one place, those whose rank is first in the alphabet stand first. */
    private static final String USUAL_RANK = "5";

    /** @param stage from 0 */
    private record Edit(int stage, String file, int from, int to, String text, String rank) {

        boolean swallows(Edit earlier) {
            return from <= earlier.from && earlier.to <= to && from < to
                    && (earlier.from < earlier.to || from < earlier.from && earlier.to < to);
        }

        boolean cuts(Edit earlier) {
            return from < earlier.to && earlier.from < to && !swallows(earlier) || earlier.from < from && from == to && to < earlier.to;
        }
    }

    /** @param originals the texts that may be edited, by relative path, with the line ends that they have */
    public Script(Map<String, String> originals) {
        this.originals = originals;
    }

    /** Begins the next stage. @param does in the imperative, without a full stop */
    public void stage(String does, List<Evidence> places) {
        if (!stages.isEmpty() && isEmpty(stages.size() - 1)) {
            stages.remove(stages.size() - 1);
        }
        stages.add(new Begun(does, places, new LinkedHashMap<>()));
    }

    /** The stage that is being written is there to change the behaviour. */
    public void meant() {
        meant.add(stages.get(stages.size() - 1));
    }

    private boolean isEmpty(int stage) {
        return stages.get(stage).whole().isEmpty() && edits.stream().noneMatch(each -> each.stage() == stage);
    }

    /** Replaces a stretch. @throws Refused where it cuts through an earlier edit */
    public void replace(String file, int from, int to, String with) {
        Edit edit = new Edit(stages.size() - 1, file, from, to, with, USUAL_RANK);
        if (edits.stream().anyMatch(each -> each.file().equals(file) && edit.cuts(each))) {
            throw new Refused("two changes of " + file + " meet at one place");
        }
        edits.add(edit);
    }

    public void insert(String file, int at, String text) {
        replace(file, at, at, text);
    }

    /** @param rank among the texts that are inserted at the same place: in the order of the alphabet; 5 for all others */
    public void insert(String file, int at, String text, String rank) {
        edits.add(new Edit(stages.size() - 1, file, at, at, text, rank));
    }

    /** A file that is new, or is written anew, in this stage. */
    public void write(String file, String text) {
        stages.get(stages.size() - 1).whole().put(file, Optional.of(text));
    }

    /** A file that goes in this stage. */
    public void remove(String file) {
        stages.get(stages.size() - 1).whole().put(file, Optional.empty());
    }

    /** A stretch of a file as it stands after the edits so far that lie in it. */
    public String text(String file, int from, int to) {
        List<Edit> inside = edits.stream().filter(each -> each.file().equals(file) && from <= each.from() && each.to() <= to
                && (each.from() < each.to() || from < each.from() && each.to() < to)).toList();
        return applied(file, from, to, inside);
    }

    private String applied(String file, int from, int to, List<Edit> all) {
        List<Edit> valid = new ArrayList<>();
        for (Edit each : all) {
            valid.removeIf(each::swallows);
            valid.add(each);
        }
        valid.sort(Comparator.comparingInt(Edit::from).thenComparingInt(Edit::to).thenComparing(Edit::rank));
        String before = originals.get(file);
        StringBuilder text = new StringBuilder();
        int at = from;
        for (Edit each : valid) {
            text.append(before, at, each.from()).append(each.text());
            at = each.to();
        }
        return text.append(before, at, to).toString();
    }

    /** The text of a file after a number of stages; empty where there is none. */
    private Optional<String> after(String file, int stage) {
        Optional<String> text = Optional.ofNullable(originals.get(file)).map(before -> applied(file, 0, before.length(),
                edits.stream().filter(each -> each.file().equals(file) && each.stage() <= stage).toList()));
        for (int i = 0; i <= stage; i++) {
            if (stages.get(i).whole().containsKey(file)) {
                text = stages.get(i).whole().get(file);
            }
        }
        return text;
    }

    /**
     * Lets comments that a replaced stretch would lose stand before what replaces it. One that stands elsewhere afterwards, or whose
     * code goes without anything in its place, is no loss.
     *
     * @param remarks where a text's comments are, but for those that document a declaration: from and to
     */
    public void keep(Function<String, List<int[]>> remarks) {
        Set<String> edited = new LinkedHashSet<>();
        edits.forEach(each -> edited.add(each.file()));
        stages.forEach(each -> edited.addAll(each.whole().keySet()));
        StringBuilder all = new StringBuilder();
        edited.forEach(file -> after(file, stages.size() - 1).ifPresent(text -> all.append(bare(text)).append('\n')));
        for (String file : edited) {
            String before = originals.get(file);
            boolean whole = stages.stream().anyMatch(each -> each.whole().containsKey(file));
            for (int[] each : before == null || whole ? List.<int[]>of() : remarks.apply(before)) {
                String remark = before.substring(each[0], each[1]);
                if (all.indexOf(bare(remark)) < 0) {
                    keep(file, each[0], each[1], remark.strip());
                }
            }
        }
    }

    private static String bare(String text) {
        return text.replaceAll("\\s+", " ").strip();
    }

    /** Puts a comment before what the last edit puts in the place of its code. */
    private void keep(String file, int from, int to, String remark) {
        for (int i = edits.size() - 1; i >= 0; i--) {
            Edit edit = edits.get(i);
            if (edit.file().equals(file) && edit.from() <= from && to <= edit.to()) {
                String before = originals.get(file);
                int line = before.lastIndexOf('\n', edit.from() - 1) + 1;
                String indent = before.substring(line, edit.from());
                String end = before.contains("\r\n") ? "\r\n" : "\n";
                int at = kept.getOrDefault(i, 0);
                if (!edit.text().isBlank() && indent.isBlank()) {
                    String more = remark + end + indent;
                    edits.set(i, new Edit(edit.stage(), file, edit.from(), edit.to(), edit.text().substring(0, at) + more + edit.text().substring(at), edit.rank()));
                    kept.put(i, at + more.length());
                }
                return;
            }
        }
    }

    /** The stages in order, those that change nothing left out. */
    public List<Stage> stages() {
        List<Stage> done = new ArrayList<>();
        Map<String, Optional<String>> now = new TreeMap<>();
        for (int i = 0; i < stages.size(); i++) {
            int number = i;
            Set<String> touched = new LinkedHashSet<>(stages.get(i).whole().keySet());
            edits.stream().filter(each -> each.stage() == number).forEach(each -> touched.add(each.file()));
            Map<String, Optional<String>> changed = new TreeMap<>();
            for (String file : touched) {
                Optional<String> text = after(file, i);
                if (!text.equals(now.getOrDefault(file, Optional.ofNullable(originals.get(file))))) {
                    changed.put(file, text);
                    now.put(file, text);
                }
            }
            if (!changed.isEmpty()) {
                done.add(new Stage(stages.get(i).does(), stages.get(i).places(), changed, meant.contains(stages.get(i))));
            }
        }
        return done;
    }
}
