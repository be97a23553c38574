package driftwood.witness;

import driftwood.witness.Outcome.Told;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** One case as it is played: makes the receiver, does step after step, and tells after each what answers otherwise. */
final class Scene {
    /** More objects than these are not looked at after each step. */
    private static final int MOST_WATCHED = 8;

    private final Script script;
    private final Answers answers;
    private final boolean guiding;
    private final StandIns standIns = new StandIns();
    private final Map<String, Object> alive = new LinkedHashMap<>();
    private final Map<String, Value> known = new LinkedHashMap<>();
    private final IdentityHashMap<Object, String> watched = new IdentityHashMap<>();
    private final Maker maker = new Maker(standIns, alive);
    private final List<Told> told = new ArrayList<>();
    private final List<Long> states = new ArrayList<>();

    /** @param guiding whether inner states are told as well */
    Scene(Script script, Answers answers, boolean guiding) {
        this.script = script;
        this.answers = answers;
        this.guiding = guiding;
        answers.on(standIns);
        standIns.telling(this::brief);
    }

    /** The inner state of the receiver after each step. */
    List<Long> states() {
        return states;
    }

    private Value brief(Object argument) {
        return new Describer(answers, false).describe(argument);
    }

    Outcome play() {
        Value beginning;
        try {
            Object receiver = script.receiver().isEmpty() ? null : maker.make(script.receiver().get(0));
            if (receiver != null) {
                alive.put(Script.THIS, receiver);
            }
            beginning = describe(receiver, !isCalled(Script.THIS) && script.steps().isEmpty());
            watch(Script.THIS, receiver, beginning);
        } catch (Unmade e) {
            return Outcome.ended(script.id(), "unmade", e.getMessage());
        } catch (Throwable problem) {
            return outcome("throws", describe(problem, false));
        }
        note();
        try {
            for (Script.Step step : script.steps()) {
                step(step, Integer.toString(told.size() + 1));
                note();
            }
        } catch (Unmade e) {
            return Outcome.ended(script.id(), "unmade", e.getMessage());
        }
        return outcome("ran", beginning);
    }

    private void note() {
        if (guiding) {
            states.add(answers.unheard(() -> new Inner(answers).of(alive.get(Script.THIS))));
        }
    }

    private Outcome outcome(String ending, Value value) {
        return new Outcome(script.id(), ending, value, List.copyOf(told), "", "", new Comparing(answers).pairs(alive),
                standIns.calls(), List.of());
    }

    private void step(Script.Step step, String number) throws Unmade {
        Object target = alive.get(step.of());
        boolean makes = step.of().equals(Script.NEW);
        if (!makes && !step.of().isEmpty() && target == null) {
            told.add(new Told("skips", Value.NULL, List.of(), List.of()));
            return;
        }
        Object[] arguments = new Object[0];
        if (!makes && step.act() instanceof Make.Call call) {
            arguments = arguments(call, step.names());
            for (int i = 0; i < arguments.length; i++) {
                hand(number + "." + step.names().get(i), arguments[i]);
            }
        }
        String ending = "gives";
        Object result = null;
        try {
            result = !makes && step.act() instanceof Make.Call call ? maker.invoke(call, target, arguments) : maker.make(step.act());
        } catch (Unmade e) {
            throw e;
        } catch (Throwable problem) {
            ending = "throws";
            result = problem;
        }
        Value value = ending.equals("throws") ? describe(result, false) : null;
        List<String> names = new ArrayList<>();
        List<Value> left = new ArrayList<>();
        changes(names, left);
        if (value == null) {
            value = describe(result, !isCalled(number));
            if (value.equals(known.get(Script.THIS)) && answers.isOwn(result.getClass())) {
                value = Value.scalar("same", Script.THIS);
            }
            hand(number, result);
        }
        told.add(new Told(ending, value, names, left));
    }

    /** What goes wrong while an argument is made is no behaviour of the step. */
    private Object[] arguments(Make.Call call, List<String> names) throws Unmade {
        try {
            return maker.all(call.arguments());
        } catch (Unmade e) {
            throw e;
        } catch (Throwable problem) {
            throw new Unmade("what is handed to " + call.name() + " cannot be made: " + problem.getClass().getName()
                    + Foreign.message(problem).map(each -> ": " + each).orElse(""));
        }
    }

    /** Whether a later step uses what has this name. */
    private boolean isCalled(String name) {
        for (Script.Step each : script.steps()) {
            if (each.of().equals(name) || each.act() instanceof Make.Call call && isHanded(call, name)) {
                return true;
            }
        }
        return false;
    }

    private static boolean isHanded(Make.Call call, String name) {
        for (Make each : call.arguments()) {
            if (each instanceof Make.Same same && same.name().equals(name)) {
                return true;
            }
        }
        return false;
    }

    private void hand(String name, Object object) {
        if (object != null && Foreign.scalar(object).isEmpty()) {
            alive.put(name, object);
            if (!watched.containsKey(object) && watched.size() < MOST_WATCHED) {
                watch(name, object, describe(object, false));
            }
        }
    }

    private void watch(String name, Object object, Value described) {
        if (object != null) {
            watched.put(object, name);
            known.put(name, described);
        }
    }

    private void changes(List<String> names, List<Value> left) {
        for (Map.Entry<String, Value> each : known.entrySet()) {
            Value now = describe(alive.get(each.getKey()), false);
            if (!now.equals(each.getValue())) {
                names.add(each.getKey());
                left.add(delta(each.getValue(), now));
                each.setValue(now);
            }
        }
    }

    /** Of an object only the answers that changed. */
    private static Value delta(Value before, Value now) {
        boolean comparable = now.kind().equals("object") && before.kind().equals("object") && now.text().equals(before.text())
                && now.names().equals(before.names());
        if (!comparable) {
            return now;
        }
        List<String> names = new ArrayList<>();
        List<Value> parts = new ArrayList<>();
        for (int i = 0; i < now.names().size(); i++) {
            if (!now.parts().get(i).equals(before.parts().get(i))) {
                names.add(now.names().get(i));
                parts.add(now.parts().get(i));
            }
        }
        return new Value("object", now.text(), names, parts);
    }

    private Value describe(Object object, boolean drains) {
        return new Describer(answers, drains).describe(object);
    }
}
