package driftwood.smell.clause;

/** The clauses of the catalogue for subclass-explosion, each with a source that has it or has it not. */
class SubclassExplosionClausesTest extends Clauses {

    @Override
    String smell() {
        return "subclass-explosion";
    }

    @Override
    void clauses() {
        java("grid 2x2").has("""
                package quay;
                abstract class Boat { // <- subclass-explosion
                    abstract int go(int n);
                }
                class FastTug extends Boat {
                    int go(int n) {
                        int s = n * 2;
                        s += 3;
                        return s;
                    }
                }
                class SlowTug extends Boat {
                    int go(int n) {
                        int s = n;
                        s += 3;
                        return s;
                    }
                }
                class FastYacht extends Boat {
                    int go(int n) {
                        int s = n * 2;
                        s += 7;
                        return s;
                    }
                }
                class SlowYacht extends Boat {
                    int go(int n) {
                        int s = n;
                        s += 7;
                        return s;
                    }
                }
                """);
        java("levels").has("""
                package quay;
                abstract class Berth { // <- subclass-explosion
                    int fee;
                    abstract int dues(int n);
                }
                class InnerBerth extends Berth {
                    int dues(int n) {
                        int s = n * 3;
                        return s + fee;
                    }
                }
                class OuterBerth extends Berth {
                    int dues(int n) {
                        int s = n * 2;
                        return s + fee;
                    }
                }
                class HeatedInnerBerth extends InnerBerth {
                    int dues(int n) {
                        int s = super.dues(n);
                        s += 40;
                        return s;
                    }
                }
                class HeatedOuterBerth extends OuterBerth {
                    int dues(int n) {
                        int s = super.dues(n);
                        s += 40;
                        return s;
                    }
                }
                """);
        java("data classes").hasNot("""
                package quay;
                interface Event { }
                record FastTug(int a) implements Event { }
                record SlowTug(int a) implements Event { }
                record FastYacht(int a) implements Event { }
                record SlowYacht(int a) implements Event { }
                """);
        java("only three").hasNot("""
                package quay;
                abstract class Boat {
                    abstract int go(int n);
                }
                class FastTug extends Boat {
                    int go(int n) {
                        int s = n * 2;
                        s += 3;
                        return s;
                    }
                }
                class SlowTug extends Boat {
                    int go(int n) {
                        int s = n;
                        s += 3;
                        return s;
                    }
                }
                class FastYacht extends Boat {
                    int go(int n) {
                        int s = n * 2;
                        s += 7;
                        return s;
                    }
                }
                """);
        python("grid").has("""
                class Boat:  # <- subclass-explosion
                    def go(self, n): raise NotImplementedError
                class FastTug(Boat):
                    def go(self, n):
                        s = n * 2
                        s += 3
                        return s
                class SlowTug(Boat):
                    def go(self, n):
                        s = n
                        s += 3
                        return s
                class FastYacht(Boat):
                    def go(self, n):
                        s = n * 2
                        s += 7
                        return s
                class SlowYacht(Boat):
                    def go(self, n):
                        s = n
                        s += 7
                        return s
                """);
        python("exceptions").hasNot("""
                class QuayError(Exception): pass
                class FastTugError(QuayError): pass
                class SlowTugError(QuayError): pass
                class FastYachtError(QuayError): pass
                class SlowYachtError(QuayError): pass
                """);
        java("an operation of an interface each").hasNot("""
                package quay;
                abstract class Request {
                    abstract int send();
                }
                class CreateBerthRequest extends Request {
                    int send() { int n = 2; n += 3; n *= 4; return n; }
                }
                class DeleteBerthRequest extends Request {
                    int send() { int n = 2; n += 3; n *= 4; return n; }
                }
                class CreatePilotRequest extends Request {
                    int send() { int n = 2; n += 7; n *= 4; return n; }
                }
                class DeletePilotRequest extends Request {
                    int send() { int n = 2; n += 7; n *= 4; return n; }
                }
                """);
        java("a word of both dimensions").has("""
                package quay;
                abstract class Request { // <- subclass-explosion
                    abstract int send();
                }
                class UrgentBerthRequest extends Request {
                    int send() { int n = 2; n += 3; n *= 4; return n; }
                }
                class YearlyBerthRequest extends Request {
                    int send() { int n = 2; n += 3; n *= 4; return n; }
                }
                class UrgentPilotRequest extends Request {
                    int send() { int n = 2; n += 7; n *= 4; return n; }
                }
                class YearlyPilotRequest extends Request {
                    int send() { int n = 2; n += 7; n *= 4; return n; }
                }
                """);
        java("one row is the plain kind of the other").hasNot("""
                package quay;
                abstract class Request {
                    abstract int send();
                }
                class LateBerthRequest extends Request {
                    int send() { int n = 2; n += 3; n *= 4; return n; }
                }
                class VeryLateBerthRequest extends Request {
                    int send() { int n = 2; n += 3; n *= 4; return n; }
                }
                class LatePilotRequest extends Request {
                    int send() { int n = 2; n += 7; n *= 4; return n; }
                }
                class VeryLatePilotRequest extends Request {
                    int send() { int n = 2; n += 7; n *= 4; return n; }
                }
                """);
        java("records that carry their fields").hasNot("""
                package quay;
                abstract class Record {
                    abstract int code();
                }
                class ShipArrival extends Record {
                    private int berth; private int tons;
                    int getBerth() { return berth; }
                    void setBerth(int berth) { this.berth = berth; }
                    int getTons() { return tons; }
                    void setTons(int tons) { this.tons = tons; }
                    int code() { int n = 2; n += 3; n *= 4; return n; }
                }
                class TugArrival extends Record {
                    private int berth; private int tons;
                    int getBerth() { return berth; }
                    void setBerth(int berth) { this.berth = berth; }
                    int getTons() { return tons; }
                    void setTons(int tons) { this.tons = tons; }
                    int code() { int n = 2; n += 3; n *= 4; return n; }
                }
                class ShipLeave extends Record {
                    private int berth; private int tons;
                    int getBerth() { return berth; }
                    void setBerth(int berth) { this.berth = berth; }
                    int getTons() { return tons; }
                    void setTons(int tons) { this.tons = tons; }
                    int code() { int n = 2; n += 3; n *= 4; return n; }
                }
                class TugLeave extends Record {
                    private int berth; private int tons;
                    int getBerth() { return berth; }
                    void setBerth(int berth) { this.berth = berth; }
                    int getTons() { return tons; }
                    void setTons(int tons) { this.tons = tons; }
                    int code() { int n = 2; n += 3; n *= 4; return n; }
                }
                """);
        java("cells that do more than carry").has("""
                package quay;
                abstract class Record { // <- subclass-explosion
                    abstract int code();
                }
                class ShipArrival extends Record {
                    private int berth;
                    private int tons;
                    int getBerth() { return berth; }
                    int getTons() { return tons; }
                    void setTons(int tons) { this.tons = tons; }
                    int price() { int sum = tons; sum += berth; sum *= 7; return sum; }
                    int code() { int n = 0; n += 3; n *= 4; return n; }
                }
                class TugArrival extends Record {
                    private int berth;
                    private int tons;
                    int getBerth() { return berth; }
                    int getTons() { return tons; }
                    void setTons(int tons) { this.tons = tons; }
                    int price() { int sum = tons; sum += berth; sum *= 7; return sum; }
                    int code() { int n = 0; n += 3; n *= 4; return n; }
                }
                class ShipLeave extends Record {
                    private int berth;
                    private int tons;
                    int getBerth() { return berth; }
                    int getTons() { return tons; }
                    void setTons(int tons) { this.tons = tons; }
                    int price() { int sum = tons; sum += berth; sum *= 7; return sum; }
                    int code() { int n = 1; n += 3; n *= 4; return n; }
                }
                class TugLeave extends Record {
                    private int berth;
                    private int tons;
                    int getBerth() { return berth; }
                    int getTons() { return tons; }
                    void setTons(int tons) { this.tons = tons; }
                    int price() { int sum = tons; sum += berth; sum *= 7; return sum; }
                    int code() { int n = 1; n += 3; n *= 4; return n; }
                }
                """);
    }
}
