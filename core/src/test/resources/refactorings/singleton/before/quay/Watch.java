package quay;

class Log {
    String line(String line) { return "[" + line + "]"; }
}
class Watch {
    private final Log log = new Log();
    String note(String vessel, int tons) { return log.line(vessel + ":" + tons / 10); }
}
