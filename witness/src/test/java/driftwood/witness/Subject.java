package driftwood.witness;

import java.util.List;

/** Code to observe in tests. */
final class Subject {
    private Subject() {
    }

    static int half(int n) {
        System.out.println("half of " + n);
        if (n < 0) {
            System.err.println("negative");
            throw new IllegalArgumentException("negative");
        }
        return n / 2;
    }

    static void grow(List<Integer> list) {
        list.add(9);
    }

    static void spin() {
        while (half(2) == 1) {
            Thread.onSpinWait();
        }
    }

    static int nap() throws InterruptedException {
        Thread.sleep(700);
        return 1;
    }

    static void leave() {
        System.exit(3);
    }
}
