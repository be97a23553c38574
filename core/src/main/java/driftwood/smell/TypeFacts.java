package driftwood.smell;

import driftwood.program.Symbol;
import java.util.List;

/** What is known of a finding about whole types whose plan is told in words. */
public sealed interface TypeFacts extends Gathered {

    /**
     * A type whose every instance takes hold of the same resource.
     *
     * @param type     qualified name
     * @param resource as written
     * @param places   where instances are created
     */
    record Holding(String type, String resource, List<Place> places) implements TypeFacts {
        @Override
        public String change() {
            return "user of " + Symbol.of(type).simpleType();
        }

        @Override
        public List<Part> parts() {
            return List.of(Gathered.types("type", type), new Part("resource", List.of(resource)));
        }
    }

    /**
     * A client that creates what it works with.
     *
     * @param client       qualified name
     * @param collaborator qualified name of what it creates
     * @param abstractions qualified names of what could be asked for instead
     * @param places       where else it creates one
     */
    record Creating(String client, String collaborator, List<String> abstractions, List<Place> places) implements TypeFacts {
        @Override
        public String change() {
            return "kind of " + Symbol.of(collaborator).simpleType();
        }

        @Override
        public List<Part> parts() {
            return List.of(Gathered.types("client", client), Gathered.types("collaborator", collaborator));
        }
    }

    /**
     * A type that is wrapped in some places and forgotten in others.
     *
     * @param wrapped qualified name
     * @param wrapper qualified name
     * @param places  where it is wrapped
     */
    record Wrapping(String wrapped, String wrapper, List<Place> places) implements TypeFacts {
        @Override
        public String change() {
            return "place that creates " + Symbol.of(wrapped).simpleType();
        }

        @Override
        public List<Part> parts() {
            return List.of(Gathered.types("wrapped", wrapped), Gathered.types("wrapper", wrapper));
        }
    }

    /**
     * RoutinesByVariant that are kept apart for each variant of a family.
     *
     * @param keeper qualified name of who keeps them
     * @param family qualified name
     * @param duties what the routines of a duty have in common in their names
     * @param places where the family is
     */
    record Kept(String keeper, String family, List<String> duties, List<Place> places) implements TypeFacts {
        @Override
        public String change() {
            return Symbol.of(family).simpleType();
        }

        @Override
        public List<Part> parts() {
            return List.of(new Part("routine", duties), new Part("home", List.of("each " + change())));
        }
    }

    /**
     * Types that are the same but for little.
     *
     * @param types   qualified names
     * @param names   what they are called where their simple names do not tell them apart
     * @param differs in what they differ: names of routines, or what else it is
     * @param places  all but the first
     */
    record Twins(List<String> types, List<String> names, List<String> differs, List<Place> places) implements TypeFacts {
        @Override
        public String change() {
            return "twin of " + Symbol.of(types.get(0)).simpleType();
        }

        @Override
        public List<Part> parts() {
            return List.of(new Part("twins", names), new Part("differs", differs));
        }
    }

    /**
     * Subclasses whose names combine two directions.
     *
     * @param parent  qualified name
     * @param rows    words of one direction
     * @param columns words of the other
     * @param cells   the subclasses with their words
     * @param places  the subclasses
     */
    record Grid(String parent, List<String> rows, List<String> columns, List<Cell> cells, List<Place> places) implements TypeFacts {
        /** A subclass. @param type qualified name */
        public record Cell(String type, String row, String column) {
        }

        @Override
        public String change() {
            return "word in either direction";
        }

        @Override
        public List<Part> parts() {
            return List.of(new Part("rows", rows), new Part("columns", columns));
        }
    }

    /**
     * A container that others ask for and descend into.
     *
     * @param container qualified name
     * @param common    qualified name of the type that parts are walked as; empty where it is none of the project, or not known
     * @param leaves    simple names of its other parts
     * @param places    where else it is asked
     */
    record Descent(String container, String common, List<String> leaves, List<Place> places) implements TypeFacts {
        @Override
        public String change() {
            return "kind of " + Symbol.of(common.isEmpty() ? container : common).simpleType();
        }

        @Override
        public List<Part> parts() {
            return List.of(Gathered.types("container", container), new Part("leaf", leaves));
        }
    }

    /**
     * A type that cannot be used as it is made.
     *
     * @param type    qualified name
     * @param setters calls or fields that make it whole
     * @param places  where it is created
     */
    record Unfinished(String type, List<String> setters, List<Place> places) implements TypeFacts {
        @Override
        public String change() {
            return "required part of " + Symbol.of(type).simpleType();
        }

        @Override
        public List<Part> parts() {
            return List.of(Gathered.types("type", type), new Part("setters", setters));
        }
    }
}
