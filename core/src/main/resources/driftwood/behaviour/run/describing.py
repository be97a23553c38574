"""Describes values by what a client can see of them. Works beside witness.py.

The project's own objects are told by the answers of their queries (methods without parameters, properties, len, str),
never by what is in their __dict__; which routines are queries is told in the file of cases.
"""
import enum
import inspect
import io
import json
import os
import re
import sys
import types
import zlib

DEPTHS = (7, 4, 3, 2, 1)
MOST = 200
MOST_PARTS = 600
LONGEST = 4000
IDENTITY = re.compile(r"\bat 0x[0-9a-fA-F]+")
SIMPLE = (types.FunctionType, types.BuiltinFunctionType, types.MethodType, types.BuiltinMethodType)
STANDARD = set(getattr(sys, "stdlib_module_names", ())) | {"datetime", "decimal", "fractions", "re", "collections",
                                                            "uuid", "pathlib", "io", "os", "threading", "functools",
                                                            "itertools", "random", "time", "logging"}


class TooLarge(BaseException):
    """A description has too many parts."""


class Asking:
    """What objects are asked, and how: "along", "backwards", "twice" (the second answer told) or "never"."""

    def __init__(self, asks, known, manner, roots, printed):
        self.asks, self.known, self.manner, self.printed = asks, set(known) | set(asks), manner, printed
        self.roots = [os.path.abspath(each) for each in roots]
        self.asked, self.loud, self.queries, self.own = {}, set(), {}, {}

    def is_own(self, kind):
        if kind not in self.own:
            file = getattr(sys.modules.get(kind.__module__), "__file__", None) or ""
            inside = any(os.path.abspath(file).startswith(root + os.sep) for root in self.roots)
            self.own[kind] = inside and "site-packages" not in file
        return self.own[kind]

    def of(self, kind):
        """(name, type that is known to have it) of what an object of a class is asked."""
        if kind not in self.queries:
            line = [qualified(each) for each in kind.__mro__ if self.is_own(each)]
            found = {}
            for each in line:
                for name in self.asks.get(each, ()):
                    found.setdefault(name, each)
            if not any(each in self.known for each in line):
                for each in self.asks:
                    for name in self.asks[each]:
                        found.setdefault(name, each)
            self.queries[kind] = [(name, found[name]) for name in sorted(found)
                                  if hasattr(kind, name) or not name.startswith("__")]
        return self.queries[kind]

    def answers(self, value, tell):
        if self.manner == "never":
            return {}
        wanted = self.of(type(value))
        told = {}
        for name, owner in reversed(wanted) if self.manner == "backwards" else wanted:
            answer = self.ask(value, name, owner, tell)
            if self.manner == "twice":
                answer = self.ask(value, name, owner, tell)
            if answer is not Asking:
                told[name] = answer
        return told

    def ask(self, value, name, owner, tell):
        symbol = owner + " " + name
        out, err = self.printed
        before = out.hush(True) + err.hush(True)
        try:
            if name == "__len__":
                answer = len(value)
            elif name == "__str__":
                answer = str(value)
            else:
                if not hasattr(type(value), name) and name not in getattr(value, "__dict__", {}):
                    return Asking
                answer = getattr(value, name)
                if inspect.ismethod(answer) or isinstance(answer, types.FunctionType) and name not in getattr(value, "__dict__", {}):
                    answer = answer()
            told = tell(answer)
        except TooLarge:
            raise
        except Exception as problem:
            told = {"throws": problem_of(problem)}
        finally:
            if out.hush(False) + err.hush(False) > before:
                self.loud.add(symbol)
        self.asked.setdefault(symbol)
        return told


# ---------------------------------------------------------------------------------------------- describing

def blurred(text):
    return IDENTITY.sub("at 0x...", text)


def short(text):
    return text if len(text) <= LONGEST else text[:LONGEST] + "..."


def qualified(kind):
    return kind.__module__ + "." + kind.__qualname__ if kind.__module__ != "builtins" else kind.__qualname__


def is_foreign(kind):
    return kind.__module__ == "builtins" or kind.__module__.split(".")[0] in STANDARD


def is_iterator(value):
    return hasattr(value, "__next__") and not isinstance(value, io.IOBase)


def describe(value, asking, drains=False):
    """As deep as there is room for."""
    for deepest in DEPTHS[:1] if drains and is_iterator(value) else DEPTHS:
        try:
            return Description(asking, deepest).of(value, 0, drains)
        except TooLarge:
            continue
    return {"cut": qualified(type(value))}


class Description:
    """One description: objects that hold themselves are told by how far up they were met."""

    def __init__(self, asking, deepest):
        self.asking, self.deepest, self.around, self.parts = asking, deepest, {}, 0

    def of(self, value, depth, drains):
        self.parts += 1
        if self.parts > MOST_PARTS:
            raise TooLarge()
        if value is None or type(value) in (bool, int):
            return value
        if type(value) is str:
            return short(blurred(value))
        if type(value) is float:
            return value if value == value and value not in (float("inf"), float("-inf")) else {"number": repr(value)}
        if isinstance(value, enum.Enum):
            return {"enum": qualified(type(value)) + "." + value.name}
        if isinstance(value, (bytes, bytearray)):
            return {"bytes": bytes(value).hex()}
        if isinstance(value, type):
            return {"opaque": "class " + qualified(value)}
        if isinstance(value, SIMPLE):
            return {"opaque": "a function"}
        if id(value) in self.around:
            return {"same": "%d up" % (depth - self.around[id(value)])}
        self.around[id(value)] = depth
        try:
            return self.structure(value, depth, drains)
        finally:
            del self.around[id(value)]

    def structure(self, value, depth, drains):
        kind = type(value)
        if self.asking.is_own(kind):
            return self.own(value, depth, drains)
        if isinstance(value, BaseException):
            return problem_of(value)
        if isinstance(value, (list, tuple, set, frozenset, dict)):
            return {"cut": "collection"} if depth >= self.deepest else self.many(value, depth)
        if drains and is_iterator(value):
            return {"iterates": self.drained(value, depth)}
        text = str(value)
        return {"opaque": qualified(kind)} if IDENTITY.search(text) else {"is": qualified(kind), "text": short(text)}

    def inner(self, part, depth):
        return self.of(part, depth + 1, True)

    def many(self, value, depth):
        if isinstance(value, dict):
            return {"map": [[self.inner(key, depth), self.inner(part, depth)] for key, part in list(dict.items(value))[:MOST]]}
        if isinstance(value, (set, frozenset)):
            return {"set": sorted((self.inner(each, depth) for each in value), key=lambda each: json.dumps(each, sort_keys=True))}
        items = [self.inner(each, depth) for each in value[:MOST]]
        return items if isinstance(value, list) else {"tuple": items}

    def drained(self, value, depth):
        items = []
        for each in value:
            items.append(self.inner(each, depth))
            if len(items) == MOST:
                break
        return items

    def own(self, value, depth, drains):
        told = {"is": qualified(type(value))}
        if isinstance(value, BaseException):
            told.update(problem_of(value))
        if depth < self.deepest:
            if isinstance(value, (list, tuple, set, frozenset, dict)):
                told["elements"] = self.many(value, depth)
            elif drains and is_iterator(value):
                told["gives"] = self.drained(value, depth)
            answers = self.asking.answers(value, lambda answer: self.inner(answer, depth))
            told.update((name, answers[name]) for name in sorted(answers))
        return told


def problem_of(problem, depth=0):
    told = {"is": qualified(type(problem)), "message": short(blurred(str(problem)))}
    cause = problem.__cause__
    if cause is not None and cause is not problem and depth < DEPTHS[0]:
        told["cause"] = problem_of(cause, depth + 1)
    return told


# ---------------------------------------------------------------------------------------------- inner states

def inner_state(value, asking, depth=0, met=None):
    """A number for what is inside of an object, private attributes and all. It guides the search and is not recorded."""
    return zlib.crc32(inner_text(value, asking, 0, {}).encode("utf-8", "replace"))


def inner_text(value, asking, depth, met):
    if value is None or type(value) in (bool, int, str, float) or isinstance(value, enum.Enum):
        return repr(value)
    if id(value) in met:
        return "again %d" % met[id(value)]
    if depth > 6 or len(met) > 300 or isinstance(value, SIMPLE) or isinstance(value, type):
        return type(value).__name__
    met[id(value)] = len(met)
    if isinstance(value, dict):
        parts = ["%s:%s" % (inner_text(key, asking, depth + 1, met), inner_text(part, asking, depth + 1, met))
                 for key, part in list(dict.items(value))[:MOST]]
    elif isinstance(value, (list, tuple)):
        parts = [inner_text(each, asking, depth + 1, met) for each in value[:MOST]]
    elif isinstance(value, (set, frozenset)):
        parts = sorted(inner_text(each, asking, depth + 1, met) for each in value)
    else:
        parts = []
    if asking.is_own(type(value)):
        held = dict(getattr(value, "__dict__", {}))
        for each in type(value).__mro__:
            names = each.__dict__.get("__slots__", ())
            for name in [names] if isinstance(names, str) else names:
                if hasattr(value, name):
                    held[name] = getattr(value, name)
        parts += ["%s=%s" % (name, inner_text(held[name], asking, depth + 1, met)) for name in sorted(held)]
    return type(value).__name__ + str(parts)
