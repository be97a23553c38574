package quay;

class Tower {
    private String shown = "";
    void announce(String vessel, int tons) {
        shown = vessel;
        System.out.println("pilots: " + vessel);
        System.out.println("customs: " + vessel + " " + tons);
        if (tons > 500) { System.out.println("lock: " + tons); }
    }
    String getShown() { return shown; }
}
