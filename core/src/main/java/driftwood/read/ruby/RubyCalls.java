package driftwood.read.ruby;

import driftwood.read.Normal;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Ruby's calls: creations, questions and errors among them. */
final class RubyCalls {
    private RubyCalls() {
    }

    /** Whether it is spelled like a class, rather than like a value that does not change. */
    static boolean isType(Cst node, RubyExpressions reader) {
        String name = reader.text(node);
        String last = name.substring(name.lastIndexOf(':') + 1);
        return (node.is("constant") || node.is("scope_resolution")) && (last.length() == 1 || !last.equals(last.toUpperCase(java.util.Locale.ROOT)));
    }

    static TypeRef type(Cst node, RubyExpressions reader) {
        return new TypeRef(reader.text(node).replaceFirst("^::", "").replace("::", ".").intern());
    }

    static Node call(RubyExpressions reader, Cst node) {
        Optional<Cst> receiver = node.part("receiver");
        String name = node.part("method").map(reader::text).orElse("call");
        List<Cst> given = node.part("arguments").map(Cst::inner).orElse(List.of());
        int start = node.start();
        int end = node.end();
        if (name.equals("new") && (isOwn(receiver, reader) ? !reader.owner().isEmpty() : isType(receiver.get(), reader))) {
            return new Creation(start, end, isOwn(receiver, reader) ? new TypeRef(reader.owner()) : type(receiver.get(), reader), arguments(reader, node), Optional.empty(), false);
        }
        if (receiver.isPresent()) {
            Optional<Node> asked = asked(reader, node, receiver.get(), name, given);
            if (asked.isPresent()) {
                return asked.get();
            }
        } else if (name.equals("raise")) {
            return new Throw(start, end, given.isEmpty() ? Optional.empty() : Optional.of(isType(given.get(0), reader)
                    ? new Creation(start, end, type(given.get(0), reader), given.stream().skip(1).map(reader::expression).toList(), Optional.empty(), false)
                    : reader.expression(given.get(0))));
        } else if (name.equals("super")) {
            return new Call(start, end, Optional.empty(), "super", arguments(reader, node));
        }
        Optional<Node> object = receiver.map(reader::expression);
        Node call = new Call(start, end, object, name, arguments(reader, node));
        boolean safe = object.isPresent() && node.has("&.") || node.part("operator").map(reader::text).orElse("").equals("&.");
        return safe ? Normal.ifAny(start, end, object.orElseThrow(), call) : call;
    }

    /** {@code new} in a class's own routines, {@code self.class.new} in those of its instances. */
    private static boolean isOwn(Optional<Cst> receiver, RubyExpressions reader) {
        return receiver.isEmpty() || receiver.filter(each -> reader.text(each).equals("self.class")).isPresent();
    }

    private static Optional<Node> asked(RubyExpressions reader, Cst node, Cst receiver, String name, List<Cst> given) {
        int start = node.start();
        int end = node.end();
        if (name.equals("nil?") && given.isEmpty()) {
            return Optional.of(Normal.nothing(start, end, reader.expression(receiver), false));
        }
        if (given.size() != 1 || !isType(given.get(0), reader)) {
            return Optional.empty();
        }
        return switch (name) {
            case "is_a?", "kind_of?" -> Optional.of(Normal.ofType(start, end, reader.expression(receiver), type(given.get(0), reader), Optional.empty()));
            case "instance_of?" -> Optional.of(Normal.exactlyOf(start, end, reader.expression(receiver), type(given.get(0), reader)));
            default -> Optional.empty();
        };
    }

    /** What is handed over, the block last. */
    private static List<Node> arguments(RubyExpressions reader, Cst node) {
        List<Node> all = new ArrayList<>(node.part("arguments").map(Cst::inner).map(reader::expressions).orElse(List.of()));
        node.part("block").ifPresent(each -> all.add(block(reader, each)));
        return all;
    }

    static Node block(RubyExpressions reader, Cst node) {
        List<Parameter> taken = node.part("parameters").map(reader::parameters).orElse(List.of());
        taken.forEach(each -> reader.locals.know(each.name()));
        Block body = node.part("body").map(reader::block).orElseGet(() -> new Block(node.end(), node.end(), List.of()));
        Node only = body.statements().size() == 1 && body.statements().get(0) instanceof Evaluate evaluate ? evaluate.expression() : body;
        return new Lambda(node.start(), node.end(), taken, only);
    }
}
