package quay;

abstract class Report {
    final String write(int ships, int dues) {
        String head = title() + ": " + ships;
        if (ships == 0) { return head + " quiet"; }
        return head + ", " + dues / ships;
    }
    abstract String title();
}
class DayReport extends Report { String title() { return "Day"; } }
class NightReport extends Report { String title() { return "Night"; } }
class Reports {
    String day(int ships, int dues) { return new DayReport().write(ships, dues); }
    String night(int ships, int dues) { return new NightReport().write(ships, dues); }
}
