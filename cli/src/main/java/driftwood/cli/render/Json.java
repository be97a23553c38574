package driftwood.cli.render;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.Writer;
import java.util.Collection;
import java.util.Map;

/** JSON as it is printed: two spaces, line feeds on every system, keys in the order they were put. */
public final class Json {
    private static final JsonFactory FACTORY = new JsonFactory();
    private static final DefaultPrettyPrinter PRINTER = new DefaultPrettyPrinter()
            .withObjectIndenter(new DefaultIndenter("  ", "\n")).withArrayIndenter(new DefaultIndenter("  ", "\n"));

    private Json() {
    }

    /**
     * What findings are made of is written value by value, because finding out how to write objects of any class takes a
     * tenth of a warm scan.
     *
     * @param value maps with texts as keys, lists and plain values; in them objects of any class; null is written as such
     */
    public static String of(Object value) {
        StringBuilder text = new StringBuilder();
        print(value, text);
        return text.toString();
    }

    /** Writes it bit by bit: that of a large project is never held as a whole. @param value as for {@link #of} */
    private static void print(Object value, Appendable to) {
        try (JsonGenerator out = FACTORY.createGenerator(new Passing(to)).setPrettyPrinter(PRINTER.createInstance())) {
            write(value, out);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Prints it, and a line feed. @param value as for {@link #of} */
    static void line(Object value, Appendable to) {
        print(value, to);
        try {
            to.append('\n');
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Hands on what is written; the stream behind it stays open, and encodes as it does anything else. */
    private static final class Passing extends Writer {
        private final Appendable to;

        Passing(Appendable to) {
            this.to = to;
        }

        @Override
        public void write(char[] text, int from, int length) throws IOException {
            to.append(new String(text, from, length));
        }

        @Override
        public void flush() {
        }

        @Override
        public void close() {
        }
    }

    private static void write(Object value, JsonGenerator out) throws IOException {
        if (value instanceof String text) {
            out.writeString(text);
        } else if (value instanceof Map<?, ?> map) {
            out.writeStartObject(map);
            for (Map.Entry<?, ?> each : map.entrySet()) {
                out.writeFieldName((String) each.getKey());
                write(each.getValue(), out);
            }
            out.writeEndObject();
        } else if (value instanceof Collection<?> list) {
            out.writeStartArray();
            for (Object each : list) {
                write(each, out);
            }
            out.writeEndArray();
        } else if (value == null || value instanceof Number || value instanceof Boolean) {
            out.writeObject(value);
        } else {
            Mapper.ANY.writeValue(out, value);
        }
    }

    /** Made when the first object is written. */
    private static final class Mapper {
        private static final ObjectMapper ANY = new ObjectMapper();

        private Mapper() {
        }
    }
}
