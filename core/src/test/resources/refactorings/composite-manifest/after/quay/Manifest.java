package quay;

import java.util.ArrayList;
import java.util.List;

public class Manifest {
    private interface Piece { int tons(); void print(String indent); }
    private record Crate(String name, int tons) implements Piece {
        public void print(String indent) { System.out.println(indent + name + ":" + tons); }
    }
    private record Container(List<Piece> pieces) implements Piece {
        public int tons() { return 2 + pieces.stream().mapToInt(Piece::tons).sum(); }
        public void print(String indent) {
            System.out.println(indent + "container of " + pieces.size());
            pieces.forEach(each -> each.print(indent + " "));
        }
    }
    private List<Piece> hold = new ArrayList<>();

    public void crate(String name, int tons) {
        if (tons < 1) { throw new IllegalArgumentException(name); }
        hold.add(new Crate(name, tons));
    }

    public void pack() {
        List<Piece> packed = new ArrayList<>();
        packed.add(new Container(List.copyOf(hold)));
        hold = packed;
    }

    public int tons() { return hold.stream().mapToInt(Piece::tons).sum(); }

    public void print() { hold.forEach(each -> each.print("")); }
}
