package driftwood.pack;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** The form of each type, found out once. */
final class Forms {
    private static final Map<Type, Form> KNOWN = new ConcurrentHashMap<>();

    private Forms() {
    }

    static Form of(Type type) {
        Form known = KNOWN.get(type);
        if (known == null) {
            Form made = type instanceof ParameterizedType whole ? ofParts(whole) : ofClass((Class<?>) type);
            known = KNOWN.putIfAbsent(type, made);
            known = known == null ? made : known;
        }
        return known;
    }

    private static Form ofClass(Class<?> type) {
        if (type == String.class) {
            return Simple.TEXT;
        } else if (type == int.class || type == Integer.class) {
            return Simple.NUMBER;
        } else if (type == boolean.class || type == Boolean.class) {
            return Simple.FLAG;
        } else if (type == long.class || type == Long.class) {
            return Simple.WHOLE;
        } else if (type == byte[].class) {
            return Simple.BYTES;
        } else if (type == int[].class) {
            return Simple.NUMBERS;
        } else if (type == double.class || type == Double.class) {
            return Simple.FRACTION;
        } else if (type.isEnum()) {
            return new Chosen(type.getEnumConstants());
        } else if (Keyed.class.isAssignableFrom(type)) {
            return new ByKey(type);
        } else if (type.isRecord()) {
            return new RecordForm(type);
        } else if (type.isSealed()) {
            return new Family(type.getPermittedSubclasses());
        }
        throw new UnsupportedOperationException("no form for " + type);
    }

    private static Form ofParts(ParameterizedType type) {
        Type[] parts = type.getActualTypeArguments();
        if (type.getRawType() == List.class) {
            return new Listed(of(parts[0]));
        } else if (type.getRawType() == Set.class) {
            return new Bag(of(parts[0]));
        } else if (type.getRawType() == Optional.class) {
            return new Perhaps(of(parts[0]));
        } else if (type.getRawType() == Map.class) {
            return new Table(of(parts[0]), of(parts[1]));
        }
        throw new UnsupportedOperationException("no form for " + type);
    }

    /** A list. @param each the form of its elements */
    record Listed(Form each) implements Form {
        @Override
        public void write(Object value, Output out) {
            List<?> list = (List<?>) value;
            out.number(list.size());
            for (Object element : list) {
                each.write(element, out);
            }
        }

        @Override
        public Object read(Input in) {
            int count = in.count();
            Object[] elements = count == 0 ? null : new Object[count];
            for (int i = 0; i < count; i++) {
                elements[i] = each.read(in);
            }
            return count == 0 ? List.of() : Arrays.asList(elements);
        }
    }

    /** A set; one without an order of its own is written in the order of its texts. */
    private record Bag(Form each) implements Form {
        @Override
        public void write(Object value, Output out) {
            Collection<?> elements = (Collection<?>) value;
            out.number(elements.size());
            boolean ordered = elements.size() < 2 || value instanceof LinkedHashSet || value instanceof java.util.SortedSet;
            (ordered ? elements.stream() : elements.stream().sorted()).forEach(element -> each.write(element, out));
        }

        @Override
        public Object read(Input in) {
            int count = in.count();
            if (count == 0) {
                return Set.of();
            }
            Set<Object> elements = new LinkedHashSet<>();
            for (int i = 0; i < count; i++) {
                elements.add(each.read(in));
            }
            return elements;
        }
    }

    private record Table(Form key, Form value) implements Form {
        @Override
        public void write(Object map, Output out) {
            Map<?, ?> all = (Map<?, ?>) map;
            out.number(all.size());
            all.forEach((name, meant) -> {
                key.write(name, out);
                value.write(meant, out);
            });
        }

        @Override
        public Object read(Input in) {
            Map<Object, Object> all = new LinkedHashMap<>();
            int count = in.count();
            for (int i = 0; i < count; i++) {
                Object name = key.read(in);
                all.put(name, value.read(in));
            }
            return all;
        }
    }

    private record Perhaps(Form each) implements Form {
        @Override
        public void write(Object value, Output out) {
            Optional<?> perhaps = (Optional<?>) value;
            out.number(perhaps.isPresent() ? 1 : 0);
            perhaps.ifPresent(present -> each.write(present, out));
        }

        @Override
        public Object read(Input in) {
            return in.number() == 0 ? Optional.empty() : Optional.of(each.read(in));
        }
    }

    private record Chosen(Object[] constants) implements Form {
        @Override
        public void write(Object value, Output out) {
            out.number(((Enum<?>) value).ordinal());
        }

        @Override
        public Object read(Input in) {
            return constants[in.number()];
        }
    }

    /** A value that its class gives for a key. */
    private static final class ByKey implements Form {
        private final Method ofKey;

        ByKey(Class<?> type) {
            try {
                ofKey = type.getMethod("ofKey", String.class);
            } catch (NoSuchMethodException e) {
                throw new IllegalStateException("a keyed class without ofKey(): " + type, e);
            }
        }

        @Override
        public void write(Object value, Output out) {
            Simple.TEXT.write(((Keyed) value).key(), out);
        }

        @Override
        public Object read(Input in) {
            try {
                return ((Optional<?>) ofKey.invoke(null, Simple.TEXT.read(in))).orElseThrow(IllegalArgumentException::new);
            } catch (IllegalAccessException | InvocationTargetException e) {
                throw new IllegalStateException("no value of " + ofKey.getDeclaringClass(), e);
            }
        }
    }

    /** One of a few kinds of records. */
    private static final class Family implements Form {
        private final List<Class<?>> kinds;
        private final List<Form> forms = new ArrayList<>();

        /** The records of a family, those of families in it among them. */
        private static List<Class<?>> leaves(Class<?>[] kinds) {
            List<Class<?>> leaves = new ArrayList<>();
            for (Class<?> kind : kinds) {
                if (kind.isRecord()) {
                    leaves.add(kind);
                } else {
                    leaves.addAll(leaves(kind.getPermittedSubclasses()));
                }
            }
            return leaves;
        }

        Family(Class<?>[] kinds) {
            this.kinds = leaves(kinds);
            this.kinds.forEach(each -> forms.add(of(each)));
        }

        @Override
        public void write(Object value, Output out) {
            int at = kinds.indexOf(value.getClass());
            out.number(at);
            forms.get(at).write(value, out);
        }

        @Override
        public Object read(Input in) {
            return forms.get(in.number()).read(in);
        }
    }
}
