package quay;

import java.util.ArrayList;
import java.util.List;

public class Mooring {
    private String season = "winter";
    private final List<Integer> booked = new ArrayList<>();

    public void season(String name) {
        if (!name.equals("winter") && !name.equals("summer") && !name.equals("regatta")) {
            throw new IllegalArgumentException("no season " + name);
        }
        season = name;
    }

    public int price(int metres, int nights) {
        if (season.equals("winter")) { return metres * nights; }
        if (season.equals("summer")) { return nights > 7 ? metres * nights * 2 - 10 : metres * nights * 2; }
        return metres * nights * 4 + (metres > 20 ? 50 : 0);
    }

    public int book(int metres, int nights) {
        int price = price(metres, nights);
        booked.add(price);
        return price;
    }

    public int takings() {
        int sum = 0;
        for (int each : booked) { sum += each; }
        return sum;
    }
}
