package quay;

import java.util.LinkedHashMap;
import java.util.Map;

/** What each vessel owes. */
public class Ledger {
    private final Map<String, Integer> owed = new LinkedHashMap<>();

    public void charge(String vessel, int crowns) {
        owed.merge(vessel, crowns, Integer::sum);
    }

    /** Takes a payment; what is paid too much is given back. */
    public int pay(String vessel, int crowns) {
        int debt = owed.getOrDefault(vessel, 0);
        int paid = Math.min(debt, crowns);
        owed.put(vessel, debt - paid);
        return crowns - paid;
    }

    public int getTotal() {
        return owed.values().stream().mapToInt(Integer::intValue).sum();
    }
}
