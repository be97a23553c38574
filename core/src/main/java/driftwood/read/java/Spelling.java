package driftwood.read.java;

import java.util.HashMap;
import java.util.Map;
import javax.lang.model.element.Name;

/** The compiler's names as texts. It spells a name out anew each time it is asked; here each is spelled out once. */
final class Spelling {
    private final Map<Name, String> known = new HashMap<>();

    String of(Name name) {
        String text = known.get(name);
        if (text == null) {
            text = name.toString();
            known.put(name, text);
        }
        return text;
    }
}
