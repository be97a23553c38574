"""Finds what a recording names, and makes its values with what the code offers now. Works beside witness.py."""
import importlib
import inspect
import sys
import types

# By function or class, and whether it is bound: thousands of cases ask for the same few.
SIGNATURES = {}


class Unmade(Exception):
    """A case cannot be run with the code as it is now; the message says why."""


# ---------------------------------------------------------------------------------------------- finding things

def find(name):
    """The object of a qualified name: the longest module that can be imported, then its members."""
    parts = name.split(".")
    for cut in range(len(parts), 0, -1):
        module = ".".join(parts[:cut])
        above = sys.modules.get(module.rpartition(".")[0])
        if above is not None and module not in sys.modules and not hasattr(above, "__path__"):
            continue
        try:
            found = importlib.import_module(module)
        except ModuleNotFoundError as problem:
            if problem.name is not None and (module == problem.name or module.startswith(problem.name + ".")):
                continue
            raise Unmade("%s cannot be imported: %s" % (module, problem))
        except Exception as problem:
            raise Unmade("%s cannot be imported: %s: %s" % (module, type(problem).__name__, problem))
        for part in parts[cut:]:
            if not hasattr(found, part):
                raise Unmade("%s has no %s any more" % (module, ".".join(parts[cut:])))
            found = getattr(found, part)
        return found
    raise Unmade("there is no module of %s any more" % name)


# ---------------------------------------------------------------------------------------------- making values

def make(value, alive=None):
    """A value as a recording tells it. @alive what is there already, by name"""
    if isinstance(value, list):
        return [make(each, alive) for each in value]
    if not isinstance(value, dict):
        return value
    if "is" in value:
        # Its parts may go by any name, such as those below.
        told = value["is"].split(".")[0] in ("datetime", "decimal", "fractions", "uuid", "pathlib") and "text" in value
        return from_text(value["is"], value["text"]) if told else build(value, alive)
    if isinstance(value.get("same"), str):
        if alive is None or value["same"] not in alive:
            raise Unmade("there is no %s in this case" % value["same"])
        return alive[value["same"]]
    if "enum" in value:
        owner, name = value["enum"].rsplit(".", 1)
        return getattr(find(owner), name)
    if "set" in value:
        return set(make(each, alive) for each in value["set"])
    if "tuple" in value:
        return tuple(make(each, alive) for each in value["tuple"])
    if "optional" in value:
        return make(value["optional"][0], alive) if value["optional"] else None
    if "map" in value:
        return {freeze(make(pair[0], alive)): make(pair[1], alive) for pair in value["map"]}
    if "bytes" in value:
        return bytes.fromhex(value["bytes"])
    if "number" in value:
        return float(value["number"])
    return build(value, alive)


def freeze(key):
    return tuple(freeze(each) for each in key) if isinstance(key, list) else key


def from_text(name, text):
    kind = find(name)
    return kind.fromisoformat(text) if hasattr(kind, "fromisoformat") else kind(text)


def build(value, alive=None):
    """An object from its named parts, and the calls that bring it into its state."""
    made = built(value, alive)
    for step in value.get("then", []):
        call(getattr(made, step["call"]), {name: make(part, alive) for name, part in step.get("given", {}).items()})
    return made


def built(value, alive):
    """An object from its named parts: by its constructor, a creation routine, or attributes set afterwards."""
    kind = find(value["is"])
    parts = {name: make(part, alive) for name, part in value.items() if name not in ("is", "by", "then")}
    if value.get("by") == "new":
        return call(kind, parts)
    if "by" in value and hasattr(kind, value["by"]):
        return call(getattr(kind, value["by"]), parts)
    if fits(kind, parts):
        return kind(**parts)
    for name, way in inspect.getmembers(kind, callable):
        if not name.startswith("_") and inspect.ismethod(way) and fits(way, parts):
            made = way(**parts)
            if isinstance(made, kind):
                return made
    wanted = names_of(kind)
    if wanted is not None:
        first = {name: part for name, part in parts.items() if name in wanted}
        if fits(kind, first):
            made = kind(**first)
            if all(settle(made, name, part) for name, part in parts.items() if name not in first):
                return made
    raise Unmade("no constructor, creation routine or attributes of %s take the parts %s"
                 % (value["is"], ", ".join(parts)))


def settle(made, name, part):
    for step in ("set_" + name, "with_" + name):
        if callable(getattr(made, step, None)):
            getattr(made, step)(part)
            return True
    if hasattr(made, name) and not callable(getattr(made, name)):
        setattr(made, name, part)
        return True
    return False


def signature(routine):
    bound = isinstance(routine, types.MethodType)
    key = (routine.__func__ if bound else routine, bound)
    if not isinstance(key[0], (types.FunctionType, type)):
        return inspect.signature(routine)
    if key not in SIGNATURES:
        SIGNATURES[key] = inspect.signature(routine)
    return SIGNATURES[key]


def names_of(routine):
    try:
        return [each.name for each in signature(routine).parameters.values()]
    except (TypeError, ValueError):
        return None


def fits(routine, parts):
    try:
        signature(routine).bind(**parts)
        return True
    except (TypeError, ValueError):
        return False


def call(routine, given):
    """By name where the names are known, else in order."""
    if fits(routine, given):
        return routine(**given)
    try:
        signature(routine).bind(*given.values())
    except TypeError as problem:
        raise Unmade("the arguments no longer fit %s: %s" % (getattr(routine, "__name__", "it"), problem))
    except ValueError:
        pass
    return routine(*given.values())
