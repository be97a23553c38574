package quay;

import java.util.ArrayList;
import java.util.List;

public class Notices {
    public static class Notice {
        private final String place; private final int depth; private final int days; private final boolean urgent; private final String by;
        Notice(String place, int depth, int days, boolean urgent, String by) {
            if (days < 1 || days > 60) { throw new IllegalArgumentException("days " + days); }
            this.place = place; this.depth = depth; this.days = days; this.urgent = urgent; this.by = by == null ? "office" : by;
        }
        public String text() { return (urgent ? "! " : "") + place + " " + depth + " m, " + days + " days, " + by; }
    }
    private final List<Notice> board = new ArrayList<>();

    public Notice shoal(String place, int depth) { return post(new Notice(place, depth, 14, depth < 3, null)); }

    public Notice dredging(String place, int days, String by) { return post(new Notice(place, 0, days, false, by)); }

    private Notice post(Notice notice) { board.add(notice); return notice; }

    public List<String> board() {
        List<String> lines = new ArrayList<>();
        for (Notice each : board) { lines.add(each.text()); }
        return lines;
    }
}
