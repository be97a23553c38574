package quay;

class Desk {
    private int issued;
    Permit permit(int tons) {
        Permit permit = tons > 500 ? new Heavy(tons) : new Light(tons);
        issued++;
        return permit;
    }
    int renew(int tons) {
        Permit permit = tons > 500 ? new Heavy(tons) : new Light(tons);
        return permit.fee() / 2;
    }
    int getIssued() { return issued; }
}

abstract class Permit { final int tons; Permit(int tons) { this.tons = tons; } abstract int fee(); }
class Heavy extends Permit { Heavy(int tons) { super(tons); } int fee() { return 40 + tons; } }
class Light extends Permit { Light(int tons) { super(tons); } int fee() { return 12; } }
