package quay;

class Approval {
    String ask(int tons) {
        if (tons < 50) { return "clerk " + tons; }
        else if (tons < 500) { return "master " + tons / 2; }
        else if (tons < 5000) { return "board " + (tons - 1); }
        return "refused";
    }
}
