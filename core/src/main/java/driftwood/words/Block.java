package driftwood.words;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A block of a table: what its keys stand for. It is asked value by value, because finding out how to fill objects of
 * any class takes a tenth of a scan after a small change.
 */
public final class Block {
    private final String where;
    private final Map<?, ?> values;

    private Block(String where, Map<?, ?> values) {
        this.where = where;
        this.values = values;
    }

    /**
     * Takes a value for a block.
     *
     * @param where it stands, for messages
     * @throws IllegalArgumentException where it is none
     */
    static Block of(String where, Object value) {
        if (value instanceof Map<?, ?> map) {
            return new Block(where, map);
        }
        throw new IllegalArgumentException(where + " is no block of keys and values");
    }

    /** @throws IllegalArgumentException where there is a key that is not among these */
    public Block only(Set<String> keys) {
        values.keySet().stream().filter(each -> !keys.contains(each)).findFirst().ifPresent(each -> {
            throw new IllegalArgumentException(where + " has " + each + ", which is not among its keys");
        });
        return this;
    }

    public boolean has(String key) {
        return values.get(key) != null;
    }

    /** Empty where the key is missing. */
    public String text(String key) {
        return has(key) ? values.get(key).toString() : "";
    }

    /** @throws IllegalArgumentException where it is none, or missing */
    public double number(String key) {
        if (values.get(key) instanceof Number number) {
            return number.doubleValue();
        }
        throw new IllegalArgumentException(where + ": " + key + " is no number");
    }

    /** Empty where the key is missing. */
    public List<String> texts(String key) {
        return has(key) ? listed(key, values.get(key)) : List.of();
    }

    /** Lists by their keys; empty where the key is missing. */
    public Map<String, List<String>> lists(String key) {
        Map<String, List<String>> lists = new LinkedHashMap<>();
        if (has(key)) {
            of(where + ": " + key, values.get(key)).values.forEach((each, list) -> lists.put(each.toString(), listed(key, list)));
        }
        return lists;
    }

    /** Texts by their keys; empty where the key is missing. */
    public Map<String, String> pairs(String key) {
        Map<String, String> pairs = new LinkedHashMap<>();
        if (has(key)) {
            of(where + ": " + key, values.get(key)).values.forEach((each, text) -> pairs.put(each.toString(), text.toString()));
        }
        return pairs;
    }

    /** The block of a key. @throws IllegalArgumentException where it is none, or missing */
    public Block block(String key) {
        return of(where + ": " + key, values.get(key));
    }

    /** All blocks by their keys, in order. @throws IllegalArgumentException where one is none */
    public Map<String, Block> blocks() {
        Map<String, Block> blocks = new LinkedHashMap<>();
        values.keySet().forEach(each -> blocks.put(each.toString(), block(each.toString())));
        return blocks;
    }

    private List<String> listed(String key, Object value) {
        if (value instanceof List<?> list) {
            return list.stream().map(Object::toString).toList();
        }
        throw new IllegalArgumentException(where + ": " + key + " is no list");
    }
}
