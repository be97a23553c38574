package quay;

class Approval {
    private abstract static class Handler {
        private final int limit; private final Handler next;
        Handler(int limit, Handler next) { this.limit = limit; this.next = next; }
        String ask(int tons) { return tons < limit ? answer(tons) : next == null ? "refused" : next.ask(tons); }
        abstract String answer(int tons);
    }
    private final Handler board = new Handler(5000, null) { String answer(int tons) { return "board " + (tons - 1); } };
    private final Handler master = new Handler(500, board) { String answer(int tons) { return "master " + tons / 2; } };
    private final Handler clerk = new Handler(50, master) { String answer(int tons) { return "clerk " + tons; } };
    String ask(int tons) { return clerk.ask(tons); }
}
