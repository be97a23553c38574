package quay;

class Permits {
    Permit of(int tons) { return tons > 500 ? new Heavy(tons) : new Light(tons); }
}
class Desk {
    private final Permits permits;
    private int given;
    Desk() { this(new Permits()); }
    Desk(Permits permits) { this.permits = permits; }
    Permit permit(int tons) {
        given++;
        return permits.of(tons);
    }
    int renew(int tons) { return permits.of(tons).fee() / 2; }
    int getIssued() { return given; }
}

abstract class Permit { final int tons; Permit(int tons) { this.tons = tons; } abstract int fee(); }
class Heavy extends Permit { Heavy(int tons) { super(tons); } int fee() { return 40 + tons; } }
class Light extends Permit { Light(int tons) { super(tons); } int fee() { return 12; } }
