package driftwood.witness;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

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

    public static void write(DataOutputStream to, Script script) throws IOException {
        text(to, script.id());
        list(to, script.receiver(), Wire::write);
        list(to, script.before(), Wire::call);
        list(to, script.call(), Wire::call);
        list(to, script.names(), Wire::text);
    }

    public static Script script(DataInputStream from) throws IOException {
        return new Script(text(from), list(from, Wire::make), list(from, Wire::call), list(from, Wire::call),
                list(from, Wire::text));
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
            default -> throw new IOException("no such way to make a value: " + tag);
        };
    }

    public static void write(DataOutputStream to, Outcome outcome) throws IOException {
        text(to, outcome.id());
        text(to, outcome.ending());
        value(to, outcome.value());
        text(to, outcome.out());
        text(to, outcome.err());
        list(to, outcome.names(), Wire::text);
        list(to, outcome.left(), Wire::value);
        list(to, outcome.calls(), Wire::text);
        list(to, outcome.files(), Wire::writing);
    }

    private static void writing(DataOutputStream to, Outcome.Writing writing) throws IOException {
        text(to, writing.name());
        text(to, writing.text());
    }

    public static Outcome outcome(DataInputStream from) throws IOException {
        return new Outcome(text(from), text(from), value(from, 0), text(from), text(from), list(from, Wire::text),
                list(from, each -> value(each, 0)), list(from, Wire::text),
                list(from, each -> new Outcome.Writing(text(each), text(each))));
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
