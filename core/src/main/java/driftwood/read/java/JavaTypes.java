package driftwood.read.java;

import com.sun.source.tree.AnnotatedTypeTree;
import com.sun.source.tree.ArrayTypeTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.IntersectionTypeTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.ParameterizedTypeTree;
import com.sun.source.tree.PrimitiveTypeTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnionTypeTree;
import com.sun.source.tree.WildcardTree;
import driftwood.tree.TypeRef;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javax.lang.model.type.TypeKind;

/** Java's types as written, without annotations and white space. */
final class JavaTypes {
    private static final Map<TypeKind, String> PRIMITIVES = new EnumMap<>(TypeKind.class);

    static {
        for (TypeKind kind : TypeKind.values()) {
            PRIMITIVES.put(kind, kind.name().toLowerCase(Locale.ROOT));
        }
    }

    private final Spelling spelling;

    JavaTypes(Spelling spelling) {
        this.spelling = spelling;
    }

    /** @param tree a type, or null where none is written ({@code var}) */
    TypeRef of(Tree tree) {
        if (tree == null) {
            return TypeRef.NONE;
        }
        if (tree instanceof IdentifierTree identifier) {
            return new TypeRef(spelling.of(identifier.getName()));
        }
        if (tree instanceof PrimitiveTypeTree primitive) {
            return new TypeRef(PRIMITIVES.get(primitive.getPrimitiveTypeKind()));
        }
        StringBuilder text = new StringBuilder();
        write(tree, text);
        return new TypeRef(text.toString());
    }

    /** @param element the type of the elements, or null for a bare array initialiser */
    TypeRef arrayOf(Tree element) {
        return element == null ? TypeRef.NONE : new TypeRef(of(element).text() + "[]");
    }

    private void write(Tree tree, StringBuilder text) {
        if (tree instanceof IdentifierTree identifier) {
            text.append(spelling.of(identifier.getName()));
        } else if (tree instanceof MemberSelectTree select) {
            write(select.getExpression(), text);
            text.append('.').append(spelling.of(select.getIdentifier()));
        } else if (tree instanceof PrimitiveTypeTree primitive) {
            text.append(PRIMITIVES.get(primitive.getPrimitiveTypeKind()));
        } else if (tree instanceof ArrayTypeTree array) {
            write(array.getType(), text);
            text.append("[]");
        } else if (tree instanceof ParameterizedTypeTree generic) {
            write(generic.getType(), text);
            list(generic.getTypeArguments(), text);
        } else {
            rare(tree, text);
        }
    }

    private void rare(Tree tree, StringBuilder text) {
        if (tree instanceof AnnotatedTypeTree annotated) {
            write(annotated.getUnderlyingType(), text);
        } else if (tree instanceof UnionTypeTree union) {
            write(union.getTypeAlternatives().get(0), text);
        } else if (tree instanceof IntersectionTypeTree both) {
            write(both.getBounds().get(0), text);
        } else if (tree instanceof WildcardTree wildcard) {
            text.append(wildcard.getKind() == Tree.Kind.EXTENDS_WILDCARD ? "?extends"
                    : wildcard.getKind() == Tree.Kind.SUPER_WILDCARD ? "?super" : "?");
            if (wildcard.getBound() != null) {
                write(wildcard.getBound(), text);
            }
        }
    }

    private void list(List<? extends Tree> arguments, StringBuilder text) {
        text.append('<');
        for (int i = 0; i < arguments.size(); i++) {
            if (i > 0) {
                text.append(',');
            }
            write(arguments.get(i), text);
        }
        text.append('>');
    }
}
