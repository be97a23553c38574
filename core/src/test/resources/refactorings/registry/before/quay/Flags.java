package quay;

class Flags {
    int hoist(String flag, int wind) {
        switch (flag) {
            case "GOLF": return wind + 1;
            case "KILO": return wind * 2;
            case "LIMA": return 7;
            default: throw new IllegalArgumentException("no flag " + flag);
        }
    }
}
