package driftwood.behaviour.replay;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.tree.TypeRef;
import driftwood.witness.Make;
import java.util.Locale;
import java.util.Set;

/** Numbers, texts, yes and no, and nothing, for the type that they are declared with. */
final class PlainValues {
    private static final Set<String> BROKEN = Set.of("double", "float", "Double", "Float");
    /** Numbers that JSON can only write as texts. */
    private static final Set<String> ODD = Set.of("Infinity", "-Infinity", "NaN");
    private static final Set<String> NUMBERS = Set.of("int", "long", "short", "byte", "double", "float", "Integer", "Long", "Short",
            "Byte", "Double", "Float");

    private PlainValues() {
    }

    /** How to make one. @param declared the type it is declared with, NONE where that is not known */
    static Make make(JsonNode value, TypeRef declared) {
        if (value.isNull()) {
            return new Make.Literal("null", "");
        }
        if (value.isBoolean()) {
            return new Make.Literal("boolean", value.asText());
        }
        return new Make.Literal(value.isNumber() ? numberType(value, declared) : textType(value.asText(), declared.text()), value.asText());
    }

    private static String textType(String text, String declared) {
        if (declared.equals("char") || declared.equals("Character")) {
            return "char";
        }
        return BROKEN.contains(declared) && ODD.contains(text) ? declared.toLowerCase(Locale.ROOT) : "String";
    }

    private static String numberType(JsonNode value, TypeRef declared) {
        String name = declared.simpleName();
        return NUMBERS.contains(name) ? name.toLowerCase(Locale.ROOT).replace("integer", "int") : value.isIntegralNumber() ? "int" : "double";
    }
}
