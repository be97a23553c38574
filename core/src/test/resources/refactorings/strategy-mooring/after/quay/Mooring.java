package quay;

import java.util.Map;

public class Mooring {
    private interface Rate { int of(int metres, int nights); }
    private static final Map<String, Rate> RATES = Map.of(
            "winter", (metres, nights) -> metres * nights,
            "summer", (metres, nights) -> metres * nights * 2 - (nights > 7 ? 10 : 0),
            "regatta", (metres, nights) -> metres * nights * 4 + (metres > 20 ? 50 : 0));
    private Rate rate = RATES.get("winter");
    private int total;

    public void season(String name) {
        Rate other = RATES.get(name);
        if (other == null) { throw new IllegalArgumentException("no season " + name); }
        rate = other;
    }

    public int price(int metres, int nights) { return rate.of(metres, nights); }

    public int book(int metres, int nights) {
        int price = price(metres, nights);
        total += price;
        return price;
    }

    public int takings() { return total; }
}
