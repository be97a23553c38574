package quay;

class Log {
    private static final Log INSTANCE = new Log();
    private Log() { }
    static Log instance() { return INSTANCE; }
    String line(String line) { return "[" + line + "]"; }
}
class Watch {
    String note(String vessel, int tons) { return Log.instance().line(vessel + ":" + tons / 10); }
}
