package driftwood.witness;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Scripts and outcomes as bytes. Nothing is deserialised but texts and lists: what comes back may be hostile. */
public final class Wire {
    private static final int LARGEST_LIST = 1 << 20;
    private static final int LARGEST_TEXT = 1 << 24;
    private static final int DEEPEST = 200;

    private Wire() {
    }

    private interface Writer<T> {
        void write(DataOutputStream to, T item) throws IOException;
    }

    private interface Reader<T> {
        T read(DataInputStream from) throws IOException;
    }

    private static void text(DataOutputStream to, String text) throws IOException {
        byte[] bytes = text.getBytes(java.nio.charset.StandardCharsets.UTF_8);
        to.writeInt(bytes.length);
        to.write(bytes);
    }

    private static String text(DataInputStream from) throws IOException {
        int length = from.readInt();
        if (length < 0 || length > LARGEST_TEXT) {
            throw new IOException("a text of " + length + " bytes");
        }
        return new String(from.readNBytes(length), java.nio.charset.StandardCharsets.UTF_8);
    }

    private static <T> void list(DataOutputStream to, List<T> items, Writer<T> writer) throws IOException {
        to.writeInt(items.size());
        for (T item : items) {
            writer.write(to, item);
        }
    }

    private static <T> List<T> list(DataInputStream from, Reader<T> reader) throws IOException {
        int size = from.readInt();
        if (size < 0 || size > LARGEST_LIST) {
            throw new IOException("a list of " + size);
        }
        List<T> items = new ArrayList<>(Math.min(size, 1024));
        for (int i = 0; i < size; i++) {
            items.add(reader.read(from));
        }
        return items;
    }

    public static void write(DataOutputStream to, Asking asking) throws IOException {
        text(to, asking.manner().name());
        list(to, asking.homes(), Wire::text);
        list(to, List.copyOf(asking.queries().entrySet()), (out, each) -> {
            text(out, each.getKey());
            list(out, each.getValue(), Wire::text);
        });
    }

    public static Asking asking(DataInputStream from) throws IOException {
        Asking.Manner manner = Asking.Manner.valueOf(text(from));
        List<String> homes = list(from, Wire::text);
        Map<String, List<String>> queries = new TreeMap<>();
        list(from, in -> queries.put(text(in), list(in, Wire::text)));
        return new Asking(queries, homes, manner);
    }

    /** Scripts with what the objects in them are asked. */
    public static void write(DataOutputStream to, Asking asking, List<Script> scripts) throws IOException {
        write(to, asking);
        list(to, scripts, Wire::write);
    }

    public static List<Script> scripts(DataInputStream from) throws IOException {
        return list(from, Wire::script);
    }

    public static void write(DataOutputStream to, Script script) throws IOException {
        text(to, script.id());
        list(to, script.receiver(), Wire::write);
        list(to, script.steps(), (out, step) -> {
            text(out, step.of());
            write(out, step.act());
            list(out, step.names(), Wire::text);
        });
    }

    public static Script script(DataInputStream from) throws IOException {
        return new Script(text(from), list(from, Wire::make), list(from, in ->
                new Script.Step(text(in), make(in), list(in, Wire::text))));
    }

    private static void call(DataOutputStream to, Make.Call call) throws IOException {
        text(to, call.type());
        list(to, call.receiver(), Wire::write);
        text(to, call.name());
        list(to, call.parameters(), Wire::text);
        list(to, call.arguments(), Wire::write);
    }

    private static Make.Call call(DataInputStream from) throws IOException {
        return new Make.Call(text(from), list(from, Wire::make), text(from), list(from, Wire::text),
                list(from, Wire::make));
    }

    private static void write(DataOutputStream to, Make make) throws IOException {
        make.accept(new MakeWriter(to));
    }

    /** Writes a tag and the parts of each way to make a value. */
    private record MakeWriter(DataOutputStream to) implements Make.Visitor<Void, IOException> {

        @Override
        public Void visitLiteral(Make.Literal literal) throws IOException {
            return texts('l', literal.type(), literal.text());
        }

        @Override
        public Void visitConstant(Make.Constant constant) throws IOException {
            return texts('c', constant.type(), constant.name());
        }

        @Override
        public Void visitNew(Make.New fresh) throws IOException {
            texts('n', fresh.type());
            list(to, fresh.parameters(), Wire::text);
            list(to, fresh.arguments(), Wire::write);
            return null;
        }

        @Override
        public Void visitCall(Make.Call call) throws IOException {
            to.writeByte('r');
            Wire.call(to, call);
            return null;
        }

        @Override
        public Void visitConfigured(Make.Configured configured) throws IOException {
            to.writeByte('o');
            Wire.write(to, configured.base());
            list(to, configured.calls(), Wire::call);
            return null;
        }

        @Override
        public Void visitMany(Make.Many many) throws IOException {
            texts('m', many.kind(), many.type());
            list(to, many.items(), Wire::write);
            return null;
        }

        @Override
        public Void visitStandIn(Make.StandIn standIn) throws IOException {
            return texts('s', standIn.type());
        }

        @Override
        public Void visitSame(Make.Same same) throws IOException {
            return texts('a', same.name());
        }

        private Void texts(char tag, String... texts) throws IOException {
            to.writeByte(tag);
            for (String each : texts) {
                Wire.text(to, each);
            }
            return null;
        }
    }

    private static Make make(DataInputStream from) throws IOException {
        byte tag = from.readByte();
        return switch (tag) {
            case 'l' -> new Make.Literal(text(from), text(from));
            case 'c' -> new Make.Constant(text(from), text(from));
            case 'n' -> new Make.New(text(from), list(from, Wire::text), list(from, Wire::make));
            case 'r' -> call(from);
            case 'o' -> new Make.Configured(make(from), list(from, Wire::call));
            case 'm' -> new Make.Many(text(from), text(from), list(from, Wire::make));
            case 's' -> new Make.StandIn(text(from));
            case 'a' -> new Make.Same(text(from));
            default -> throw new IOException("no such way to make a value: " + tag);
        };
    }

    public static void write(DataOutputStream to, Outcome outcome) throws IOException {
        text(to, outcome.id());
        text(to, outcome.ending());
        value(to, outcome.value());
        list(to, outcome.steps(), (out, told) -> {
            text(out, told.ending());
            value(out, told.value());
            list(out, told.names(), Wire::text);
            list(out, told.left(), Wire::value);
        });
        text(to, outcome.out());
        text(to, outcome.err());
        list(to, outcome.pairs(), Wire::writing);
        list(to, outcome.calls(), Wire::value);
        list(to, outcome.files(), Wire::writing);
    }

    private static void writing(DataOutputStream to, Outcome.Writing writing) throws IOException {
        text(to, writing.name());
        text(to, writing.text());
    }

    private static Outcome.Writing writing(DataInputStream from) throws IOException {
        return new Outcome.Writing(text(from), text(from));
    }

    private static Value value(DataInputStream from) throws IOException {
        return value(from, 0);
    }

    public static Outcome outcome(DataInputStream from) throws IOException {
        return new Outcome(text(from), text(from), value(from), list(from, in -> new Outcome.Told(text(in), value(in),
                list(in, Wire::text), list(in, Wire::value))), text(from), text(from), list(from, Wire::writing),
                list(from, Wire::value), list(from, Wire::writing));
    }

    private static void value(DataOutputStream to, Value value) throws IOException {
        text(to, value.kind());
        text(to, value.text());
        list(to, value.names(), Wire::text);
        list(to, value.parts(), Wire::value);
    }

    private static Value value(DataInputStream from, int depth) throws IOException {
        if (depth > DEEPEST) {
            throw new IOException("a value nested deeper than " + DEEPEST);
        }
        return new Value(text(from), text(from), list(from, Wire::text), list(from, each -> value(each, depth + 1)));
    }
}
