package quay;

import java.util.ArrayList;
import java.util.List;

public class Notices {
    public static final class Notice {
        private final Draft from;
        private Notice(Draft draft) { from = draft; }
        public String text() {
            return (from.red ? "! " : "") + from.where + " " + from.metres + " m, " + from.length + " days, " + from.sender;
        }
    }
    private static final class Draft {
        private final String where; private int metres; private int length = 14; private boolean red; private String sender = "office";
        private Draft(String where) { this.where = where; }
        Draft metres(int value) { metres = value; return this; }
        Draft length(int value) { length = value; return this; }
        Draft red(boolean value) { red = value; return this; }
        Draft sender(String value) { if (value != null) { sender = value; } return this; }
        Notice build() {
            if (length < 1 || length > 60) { throw new IllegalArgumentException("days " + length); }
            return new Notice(this);
        }
    }
    private final List<Notice> pinned = new ArrayList<>();

    public Notice shoal(String place, int depth) { return pin(new Draft(place).metres(depth).red(depth < 3)); }

    public Notice dredging(String place, int days, String by) { return pin(new Draft(place).length(days).sender(by)); }

    private Notice pin(Draft draft) { Notice notice = draft.build(); pinned.add(notice); return notice; }

    public List<String> board() { return pinned.stream().map(Notice::text).toList(); }
}
