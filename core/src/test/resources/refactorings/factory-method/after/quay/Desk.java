package quay;

class Desk {
    private int given;
    Permit permit(int tons) {
        Permit permit = create(tons);
        given++;
        return permit;
    }
    int renew(int tons) { return create(tons).fee() / 2; }
    protected Permit create(int tons) { return tons > 500 ? new Heavy(tons) : new Light(tons); }
    int getIssued() { return given; }
}

abstract class Permit { final int tons; Permit(int tons) { this.tons = tons; } abstract int fee(); }
class Heavy extends Permit { Heavy(int tons) { super(tons); } int fee() { return 40 + tons; } }
class Light extends Permit { Light(int tons) { super(tons); } int fee() { return 12; } }
