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
import java.util.List;
import java.util.Locale;

/** Java's types as written, without annotations and white space. */
final class JavaTypes {
    private JavaTypes() {
    }

    /** @param tree a type, or null where none is written ({@code var}) */
    static TypeRef of(Tree tree) {
        if (tree == null) {
            return TypeRef.NONE;
        }
        StringBuilder text = new StringBuilder();
        write(tree, text);
        return new TypeRef(text.toString());
    }

    /** @param element the type of the elements, or null for a bare array initialiser */
    static TypeRef arrayOf(Tree element) {
        return element == null ? TypeRef.NONE : new TypeRef(of(element).text() + "[]");
    }

    private static void write(Tree tree, StringBuilder text) {
        if (tree instanceof IdentifierTree identifier) {
            text.append(identifier.getName());
        } else if (tree instanceof MemberSelectTree select) {
            write(select.getExpression(), text);
            text.append('.').append(select.getIdentifier());
        } else if (tree instanceof PrimitiveTypeTree primitive) {
            text.append(primitive.getPrimitiveTypeKind().name().toLowerCase(Locale.ROOT));
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

    private static void rare(Tree tree, StringBuilder text) {
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

    private static void list(List<? extends Tree> arguments, StringBuilder text) {
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
