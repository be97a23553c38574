package quay;

import java.util.ArrayList;
import java.util.List;

public class Manifest {
    private final List<Object> cargo = new ArrayList<>();

    public void crate(String name, int tons) {
        if (tons < 1) { throw new IllegalArgumentException(name); }
        cargo.add(name + ":" + tons);
    }

    /** Everything loaded so far goes into one container. */
    public void pack() {
        List<Object> all = new ArrayList<>(cargo);
        cargo.clear();
        cargo.add(all);
    }

    public int tons() { return tons(cargo); }

    private static int tons(List<?> some) {
        int sum = 0;
        for (Object each : some) {
            if (each instanceof List<?> inner) { sum += 2 + tons(inner); } else {
                String text = (String) each;
                sum += Integer.parseInt(text.substring(text.lastIndexOf(':') + 1));
            }
        }
        return sum;
    }

    public void print() { print(cargo, ""); }

    private static void print(List<?> some, String indent) {
        for (Object each : some) {
            if (each instanceof List<?> inner) {
                System.out.println(indent + "container of " + inner.size());
                print(inner, indent + " ");
            } else { System.out.println(indent + each); }
        }
    }
}
