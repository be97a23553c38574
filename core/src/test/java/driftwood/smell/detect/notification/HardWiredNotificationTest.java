package driftwood.smell.detect.notification;

import driftwood.smell.detect.SmellCases;
import java.util.Map;

class HardWiredNotificationTest extends SmellCases {
    private static String harbour(String body) {
        return "package quay;\nimport java.util.*;\nclass Vessel { }\nclass Ledger { void book(Vessel v) { } int count(Vessel v) { return 1; } void close(Vessel v) { } }\n"
                + "class Tower { void announce(Vessel v) { } void greet(Vessel v, int n) { } }\nclass Pilots { void release(Vessel v) { } void note(Office o) { } void watch(Office o) { } }\nclass Log { void info(Vessel v) { } }\n"
                + "class Office {\nList<Vessel> moored = new ArrayList<>(); int count;\nLedger ledger; Tower tower; Pilots pilots; Log log; Ledger second;\n" + body + "\n}\n";
    }

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "tells 3 collaborators of the same vessel, one by one: ledger, tower, pilots", harbour("void arrive(Vessel vessel) { moored.add(vessel); ledger.book(vessel); tower.announce(vessel); pilots.release(vessel); }"),
                "tells 2 collaborators of the same v", harbour("void arrive(Vessel v) { count++; ledger.book(v); tower.announce(v); }"),
                "one by one: ledger, pilots", harbour("void arrive(Vessel v) { count = 4; if (count > 2) { ledger.book(v); } pilots.release(v); }"),
                "tells 2 collaborators of the same this", harbour("void open() { count++; pilots.note(this); board.watch(this); } Board board;") + "class Board { void watch(Office o) { } }\n",
                "one by one: this.ledger, this.tower", harbour("boolean arrive(Vessel v) { moored.add(v); this.ledger.book(v); this.tower.announce(v); return true; }"),
                "the same n, one by one: board, bell", harbour("void raise(int n, String why) { count = n; board.show(\"alarm \" + n + \": \" + why); bell.ring(n); } Board board; Bell bell;") + "class Board { void show(String s) { } }\nclass Bell { void ring(int n) { } }\n",
                "the same why, one by one: board, bell, book", harbour("void raise(int n, String why) { count = n; board.show(why); bell.ring(n); book.write(why, n); } Board board; Bell bell; Book book;")
                        + "class Board { void show(String s) { } }\nclass Bell { void ring(int n) { } }\nclass Book { void write(String s, int n) { } }\n",
                "one by one: tower, ledger", harbour("void arrive(Vessel v) { for (Vessel other : moored) { count++; } tower.greet(v, 4); ledger.close(v); }"));
    }

    @Override
    protected Map<String, String> healthy() {
        return Map.of(
                "one collaborator", harbour("void arrive(Vessel v) { count++; ledger.book(v); ledger.close(v); }"),
                "logging alone", harbour("void arrive(Vessel v) { count++; ledger.book(v); log.info(v); }"),
                "no work of its own", harbour("void arrive(Vessel v) { ledger.book(v); tower.announce(v); }"),
                "nothing shared", harbour("void arrive(Vessel v, Vessel w) { count++; ledger.book(v); tower.announce(w); }"),
                "two events in a row", harbour("void both(Vessel v, Office o) { count++; ledger.book(v); tower.announce(v); pilots.note(o); }"),
                "results are used", harbour("int arrive(Vessel v) { count++; int a = ledger.count(v); tower.announce(v); return a; }"),
                "two of one kind", harbour("void arrive(Vessel v) { count++; ledger.book(v); second.book(v); }"),
                "collections are no collaborators", harbour("Set<Vessel> seen; void arrive(Vessel v) { count++; moored.add(v); seen.add(v); }"));
    }

    @Override
    protected String smell() {
        return "hard-wired-notification";
    }
}
