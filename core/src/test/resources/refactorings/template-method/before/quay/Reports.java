package quay;

class DayReport {
    String write(int ships, int dues) {
        String head = "Day: " + ships;
        if (ships == 0) { return head + " quiet"; }
        return head + ", " + dues / ships;
    }
}
class NightReport {
    String write(int ships, int dues) {
        String head = "Night: " + ships;
        if (ships == 0) { return head + " quiet"; }
        return head + ", " + dues / ships;
    }
}
class Reports {
    String day(int ships, int dues) { return new DayReport().write(ships, dues); }
    String night(int ships, int dues) { return new NightReport().write(ships, dues); }
}
