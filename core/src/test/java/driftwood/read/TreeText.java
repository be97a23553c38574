package driftwood.read;

import driftwood.tree.Absent;
import driftwood.tree.Arm;
import driftwood.tree.Block;
import driftwood.tree.Literal;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.Parameter;
import driftwood.tree.Traits;
import driftwood.tree.TypeRef;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** A tree on one line: the kind of each node and its parts, without offsets. */
final class TreeText {
    private TreeText() {
    }

    static String of(Node node) {
        if (node instanceof Name name) {
            return name.name();
        } else if (node instanceof Parameter parameter) {
            return parameter.name();
        } else if (node instanceof Absent) {
            return "_";
        } else if (node instanceof Literal literal) {
            return literal.text().equals("null") || literal.text().equals("None") ? literal.kind().name() : literal.kind() + ":" + literal.text();
        } else if (node instanceof Block block) {
            return "{" + block.statements().stream().map(TreeText::of).collect(Collectors.joining(" ")) + "}";
        }
        List<String> parts = new ArrayList<>();
        for (RecordComponent component : node.getClass().getRecordComponents()) {
            if (!component.getName().equals("start") && !component.getName().equals("end")) {
                part(node, component).ifPresent(parts::add);
            }
        }
        return node.getClass().getSimpleName() + "(" + String.join(" ", parts) + ")";
    }

    private static Optional<String> part(Node node, RecordComponent component) {
        try {
            Object value = component.getAccessor().invoke(node);
            if (value instanceof Optional<?> perhaps) {
                return perhaps.map(TreeText::told);
            } else if (component.getName().equals("filled") && ((List<?>) value).isEmpty()) {
                return Optional.empty();
            } else if (value instanceof Boolean is) {
                return is ? Optional.of(component.getName()) : Optional.empty();
            } else if (node instanceof Arm && component.getName().equals("body")) {
                List<?> body = (List<?>) value;
                String text = body.stream().map(TreeText::told).collect(Collectors.joining(" "));
                return Optional.of(text.startsWith("{") ? text : "{" + text + "}");
            }
            String text = told(value);
            return text.isEmpty() ? Optional.empty() : Optional.of(text);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String told(Object value) {
        if (value instanceof Node node) {
            return of(node);
        } else if (value instanceof List<?> list) {
            return "[" + list.stream().map(TreeText::told).collect(Collectors.joining(" ")) + "]";
        } else if (value instanceof TypeRef type) {
            return type.text();
        }
        return value instanceof Traits ? "" : String.valueOf(value);
    }
}
