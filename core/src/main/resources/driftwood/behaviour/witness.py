"""Driftwood's witness for Python: runs cases in the user's own interpreter and tells what happened.

python3 witness.py CASES OUTCOMES BEGIN MILLIS MEMORY_MIB LATER PATH...

CASES     file with a JSON list of cases, in the form of recordings (docs/formats.md)
OUTCOMES  file to append one JSON object a line to: {"begin": id}, then {"id": id, "outcome": ...} or
          {"id": id, "unmade": why}
BEGIN     how many cases to leave out at the beginning
LATER     1: the clock is more than a year ahead
PATH      folders to import from
Needs nothing but the standard library of Python 3.8 or newer.
"""
import sys

sys.dont_write_bytecode = True

import datetime  # noqa: E402
import enum
import importlib
import inspect
import io
import json
import os
import re
import threading
import time
import traceback
import types
import zlib

ENDLESS = 97
# A case that only waits may take this many times its limit.
PATIENCE = 5
DEEPEST = 7
MOST = 200
LONGEST = 4000
PRINTED = 64 * 1024
MOST_FILES = 40
AHEAD = datetime.timedelta(days=401, hours=7, minutes=13, seconds=29)
IDENTITY = re.compile(r"\bat 0x[0-9a-fA-F]+")
SIMPLE = (types.FunctionType, types.BuiltinFunctionType, types.MethodType, types.BuiltinMethodType)


class Unmade(Exception):
    """A case cannot be run with the code as it is now; the message says why."""


class Stop(BaseException):
    """Ends a case from inside."""


# ---------------------------------------------------------------------------------------------- finding things

def find(name):
    """The object of a qualified name: the longest module that can be imported, then its members."""
    parts = name.split(".")
    for cut in range(len(parts), 0, -1):
        module = ".".join(parts[:cut])
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

def make(value):
    if isinstance(value, list):
        return [make(each) for each in value]
    if not isinstance(value, dict):
        return value
    if "enum" in value:
        owner, name = value["enum"].rsplit(".", 1)
        return getattr(find(owner), name)
    if "set" in value:
        return set(make(each) for each in value["set"])
    if "tuple" in value:
        return tuple(make(each) for each in value["tuple"])
    if "optional" in value:
        return make(value["optional"][0]) if value["optional"] else None
    if "map" in value:
        return {freeze(make(pair[0])): make(pair[1]) for pair in value["map"]}
    if "bytes" in value:
        return bytes.fromhex(value["bytes"])
    if "number" in value:
        return float(value["number"])
    if "text" in value and value.get("is", "").split(".")[0] in ("datetime", "decimal", "fractions", "uuid", "pathlib"):
        return from_text(value["is"], value["text"])
    return build(value)


def freeze(key):
    return tuple(freeze(each) for each in key) if isinstance(key, list) else key


def from_text(name, text):
    kind = find(name)
    return kind.fromisoformat(text) if hasattr(kind, "fromisoformat") else kind(text)


def build(value):
    """An object from its named parts: by its constructor, a creation routine, or attributes set afterwards."""
    kind = find(value["is"])
    parts = {name: make(part) for name, part in value.items() if name not in ("is", "by")}
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


def names_of(routine):
    try:
        return [each.name for each in inspect.signature(routine).parameters.values()]
    except (TypeError, ValueError):
        return None


def fits(routine, parts):
    try:
        inspect.signature(routine).bind(**parts)
        return True
    except (TypeError, ValueError):
        return False


def call(routine, given):
    """By name where the names are known, else in order."""
    if fits(routine, given):
        return routine(**given)
    try:
        inspect.signature(routine).bind(*given.values())
    except TypeError as problem:
        raise Unmade("the arguments no longer fit %s: %s" % (getattr(routine, "__name__", "it"), problem))
    except ValueError:
        pass
    return routine(*given.values())


# ---------------------------------------------------------------------------------------------- describing values

def blurred(text):
    return IDENTITY.sub("at 0x...", text)


def short(text):
    return text if len(text) <= LONGEST else text[:LONGEST] + "..."


def qualified(kind):
    return kind.__module__ + "." + kind.__qualname__ if kind.__module__ != "builtins" else kind.__qualname__


def describe(value, met=None, path="it", depth=0, drains=False):
    if value is None or isinstance(value, (bool, str)) and type(value) in (bool, str):
        return short(blurred(value)) if isinstance(value, str) else value
    if type(value) is int:
        return value
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
    met = {} if met is None else met
    if id(value) in met:
        return {"same": met[id(value)][0]}
    met[id(value)] = (path, value)
    if depth > DEEPEST:
        return {"cut": qualified(type(value))}

    def inner(part, step):
        return describe(part, met, path + step, depth + 1)
    if type(value) in (list, tuple):
        items = [inner(each, "[%d]" % at) for at, each in enumerate(value[:MOST])]
        return items if type(value) is list else {"tuple": items}
    if isinstance(value, (set, frozenset)):
        return {"set": sorted((inner(each, "{}") for each in value), key=lambda each: json.dumps(each, sort_keys=True))}
    if isinstance(value, dict):
        pairs = [[inner(key, ".key"), inner(part, "[%s]" % (key,))] for key, part in list(dict.items(value))[:MOST]]
        return {"map": pairs} if is_foreign(type(value)) else {"is": qualified(type(value)), "_entries": pairs}
    if isinstance(value, BaseException):
        return problem_of(value, depth)
    if isinstance(value, (list, tuple)):
        return {"is": qualified(type(value)), "_items": [inner(each, "[%d]" % at) for at, each in enumerate(value[:MOST])]}
    if drains and is_iterator(value):
        items = []
        for each in value:
            items.append(inner(each, "[%d]" % len(items)))
            if len(items) == MOST:
                break
        return {"iterates": items}
    return own(value, met, path, depth)


def is_foreign(kind):
    return kind.__module__ == "builtins" or kind.__module__.split(".")[0] in STANDARD


def is_iterator(value):
    return hasattr(value, "__next__") and not isinstance(value, io.IOBase)


def own(value, met, path, depth):
    kind = type(value)
    if is_foreign(kind):
        text = str(value)
        return {"opaque": qualified(kind)} if IDENTITY.search(text) else {"is": qualified(kind), "text": short(text)}
    names = sorted(set(getattr(value, "__dict__", {})) | set(slots(kind)))
    public = [name for name in names if not name.startswith("_")]
    public += [name for name, part in inspect.getmembers(kind) if isinstance(part, property) and not name.startswith("_")]
    told = {"is": qualified(kind)}
    for name in sorted(set(public or names)):
        try:
            part = getattr(value, name)
        except Exception as problem:
            told[name] = {"opaque": "raises " + type(problem).__name__}
            continue
        told[name] = describe(part, met, path + "." + name, depth + 1)
    return told


def slots(kind):
    found = []
    for each in kind.__mro__:
        own_slots = each.__dict__.get("__slots__", ())
        found += [own_slots] if isinstance(own_slots, str) else list(own_slots)
    return [name for name in found if not name.startswith("__")]


def problem_of(problem, depth=0):
    told = {"is": qualified(type(problem)), "message": short(blurred(str(problem)))}
    cause = problem.__cause__
    if cause is not None and cause is not problem and depth < DEEPEST:
        told["cause"] = problem_of(cause, depth + 1)
    return told


STANDARD = set(getattr(sys, "stdlib_module_names", ())) | {"datetime", "decimal", "fractions", "re", "collections",
                                                            "uuid", "pathlib", "io", "os", "threading", "functools",
                                                            "itertools", "random", "time", "logging"}


# ---------------------------------------------------------------------------------------------- running a case

class Kept(io.TextIOBase):
    """Keeps the beginning of what is printed, and only counts the rest."""

    def __init__(self):
        self.parts, self.size, self.lost = [], 0, 0

    def writable(self):
        return True

    def write(self, text):
        room = max(0, PRINTED - self.size)
        if room:
            self.parts.append(text[:room])
            self.size += len(text[:room])
        self.lost += max(0, len(text) - room)
        return len(text)

    def take(self):
        text = "".join(self.parts) + ("... and %d characters more" % self.lost if self.lost else "")
        self.parts, self.size, self.lost = [], 0, 0
        return blurred(text)


def desk(folder, tell):
    """What was written in the working folder; it is cleared away."""
    files = {}
    for here, folders, names in os.walk(folder, topdown=False):
        for name in sorted(names):
            path = os.path.join(here, name)
            if len(files) < MOST_FILES:
                files[os.path.relpath(path, folder).replace(os.sep, "/")] = text_of(path)
            os.remove(path)
        for name in folders:
            path = os.path.join(here, name)
            os.remove(path) if os.path.islink(path) else os.rmdir(path)
    if files and tell is not None:
        tell["files"] = {name: files[name].split("\n") for name in sorted(files)}


def text_of(path):
    if os.path.islink(path):
        return "a link"
    if os.path.getsize(path) > PRINTED:
        return "%d bytes" % os.path.getsize(path)
    with open(path, "rb") as file:
        content = file.read()
    try:
        return blurred(content.decode("utf-8").replace("\r\n", "\n"))
    except UnicodeDecodeError:
        return "%d bytes, checksum %x" % (len(content), zlib.crc32(content))


def run(case):
    owner, member = case["routine"].split("#", 1)
    receiver = make(case["on"]) if case.get("on") is not None else None
    for step in case.get("before", []):
        call(routine_of(receiver, owner, step["call"]), {k: make(v) for k, v in step.get("given", {}).items()})
    if member == "new":
        return {"gives": describe(receiver)}
    given = {name: make(part) for name, part in case.get("given", {}).items()}
    watched = dict(given)
    if receiver is not None:
        watched["this"] = receiver
    before = {name: json.dumps(describe(part), sort_keys=True) for name, part in watched.items()}
    outcome = {}
    value = None
    try:
        value = call(routine_of(receiver, owner, member.split("(")[0]), given)
        outcome["gives"] = describe(value, drains=True)
    except (Unmade, Stop):
        raise
    except SystemExit as leaving:
        outcome["exits"] = "exit code %s" % (0 if leaving.code is None else leaving.code)
    except BaseException as problem:
        outcome["throws"] = problem_of(problem)
        if is_iterator(value):
            outcome["iterating"] = True
    left = {}
    for name, part in watched.items():
        after = describe(part)
        if json.dumps(after, sort_keys=True) != before[name]:
            left[name] = after
    if left:
        outcome["leaves"] = left
    return outcome


def routine_of(receiver, owner, name):
    if receiver is None:
        return find(owner + "." + name)
    if not callable(getattr(receiver, name, None)):
        raise Unmade("%s has no routine %s any more" % (qualified(type(receiver)), name))
    return getattr(receiver, name)


def attempt(case, out, err):
    try:
        outcome = run(case)
    except Unmade as problem:
        return {"unmade": str(problem)}
    except SystemExit as leaving:
        outcome = {"exits": "exit code %s" % (0 if leaving.code is None else leaving.code)}
    except BaseException as problem:
        outcome = {"throws": problem_of(problem)}
    for key, kept in (("prints", out), ("complains", err)):
        text = kept.take()
        if text:
            outcome[key] = text.split("\n")
    return {"outcome": outcome}


# ---------------------------------------------------------------------------------------------- the clock

def move_clock():
    real, real_time = datetime.datetime, time.time

    class Later(real):
        @classmethod
        def now(cls, tz=None):
            return real.now(tz) + AHEAD

        @classmethod
        def utcnow(cls):
            return real.utcnow() + AHEAD

        @classmethod
        def today(cls):
            return real.today() + AHEAD

    class LaterDate(datetime.date):
        @classmethod
        def today(cls):
            return (real.now() + AHEAD).date()
    Later.__name__ = Later.__qualname__ = "datetime"
    LaterDate.__name__ = LaterDate.__qualname__ = "date"
    Later.__module__ = LaterDate.__module__ = "datetime"
    datetime.datetime, datetime.date = Later, LaterDate
    time.time = lambda: real_time() + AHEAD.total_seconds()


# ---------------------------------------------------------------------------------------------- the process

def limit_memory(mib):
    try:
        import resource
        most = (mib + 256) * 1024 * 1024
        resource.setrlimit(resource.RLIMIT_AS, (most, most))
    except (ImportError, ValueError, OSError):
        pass


def wait(thread, limit):
    """A case's time is what it computes, not what passes: a busy machine must not look like an endless loop."""
    begun, until = time.process_time(), time.monotonic() + PATIENCE * limit
    thread.join(limit)
    while thread.is_alive() and time.monotonic() < until and time.process_time() - begun < limit:
        thread.join(limit / 20)


def main(cases_file, outcomes_file, begin, millis, memory, later, paths):
    with open(cases_file, encoding="utf-8") as file:
        cases = json.load(file)
    work = os.getcwd()
    own_folder = not os.listdir(work)
    limit_memory(memory)
    if later:
        move_clock()
    sys.path[:0] = paths
    sys.argv = ["program"]
    out, err = Kept(), Kept()
    sys.stdout, sys.stderr, sys.stdin = out, err, io.StringIO("")
    with open(outcomes_file, "a", encoding="utf-8") as to:
        for case in cases[begin:]:
            to.write(json.dumps({"begin": case["id"]}) + "\n")
            to.flush()
            told = []
            thread = threading.Thread(target=lambda: told.append(attempt(case, out, err)), daemon=True)
            thread.start()
            wait(thread, millis / 1000)
            ended = bool(told)
            answer = told[0] if ended else {"outcome": {"endless": None}}
            if own_folder:
                os.chdir(work)
                desk(work, answer.get("outcome"))
            answer["id"] = case["id"]
            to.write(json.dumps(answer) + "\n")
            to.flush()
            if not ended:
                os._exit(ENDLESS)
    os._exit(0)


if __name__ == "__main__":
    threading.stack_size(16 * 1024 * 1024)
    sys.setrecursionlimit(1000)
    try:
        main(sys.argv[1], sys.argv[2], int(sys.argv[3]), int(sys.argv[4]), int(sys.argv[5]), sys.argv[6] == "1",
             sys.argv[7:])
    except Exception:
        traceback.print_exc(file=sys.__stderr__)
        sys.__stderr__.flush()
        os._exit(1)
