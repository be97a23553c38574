package driftwood.pack;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;

/** The parts of a record in order, without names. */
final class RecordForm implements Form {
    private static final String FILE = "file";

    private final Constructor<?> constructor;
    private final Method[] parts;
    private final RecordComponent[] components;
    /** Found out when they are first needed: a record may have parts of its own kind. */
    private volatile Form[] forms;
    /** The part that names the file whose lines the other parts give; -1 where there is none. */
    private int file = -1;

    RecordForm(Class<?> type) {
        components = type.getRecordComponents();
        Class<?>[] types = new Class<?>[components.length];
        parts = new Method[components.length];
        for (int i = 0; i < components.length; i++) {
            types[i] = components[i].getType();
            parts[i] = components[i].getAccessor();
            parts[i].setAccessible(true);
            file = components[i].getName().equals(FILE) && types[i] == String.class ? i : file;
        }
        try {
            constructor = type.getDeclaredConstructor(types);
            constructor.setAccessible(true);
        } catch (NoSuchMethodException e) {
            throw new IllegalStateException("a record without its constructor: " + type, e);
        }
    }

    private Form[] forms() {
        Form[] known = forms;
        if (known == null) {
            known = new Form[components.length];
            for (int i = 0; i < known.length; i++) {
                known[i] = isLine(components[i]) ? Simple.LINE : Forms.of(components[i].getGenericType());
            }
            forms = known;
        }
        return known;
    }

    private static boolean isLine(RecordComponent component) {
        return component.isAnnotationPresent(Line.class);
    }

    @Override
    public void write(Object value, Output out) {
        try {
            String before = file < 0 ? "" : out.within((String) parts[file].invoke(value));
            Form[] each = forms();
            for (int i = 0; i < parts.length; i++) {
                each[i].write(parts[i].invoke(value), out);
            }
            if (file >= 0) {
                out.within(before);
            }
        } catch (IllegalAccessException | InvocationTargetException e) {
            throw new IllegalStateException("cannot read a part of " + value, e);
        }
    }

    @Override
    public Object read(Input in) {
        Form[] each = forms();
        Object[] values = new Object[each.length];
        for (int i = 0; i < values.length; i++) {
            values[i] = each[i].read(in);
        }
        try {
            return constructor.newInstance(values);
        } catch (InstantiationException | IllegalAccessException | InvocationTargetException e) {
            throw new IllegalStateException("no such record: " + constructor.getDeclaringClass(), e);
        }
    }
}
