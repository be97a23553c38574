"""Plants small slips in Python code, one at a time, and tells which cases notice them.

python3 slips.py list SYMBOLS TOLD PATH...
python3 slips.py try CASES SLIPS TOLD BEGIN MILLIS MEMORY_MIB WORK PATH...

SYMBOLS   file with a JSON list of observed routines, as in recordings: quay.harbour.Desk#admit(vessel)
TOLD      file to append one JSON object a line to. list: {"module", "file", "routine", "number", "line", "kind",
          "what", "beside"}. try: for each case that does the same twice {"passed": its number, "lines", "work",
          "signature", "features", "states", "compared"}; then {"begin": n} and {"slip": n, "by": case or code, "comers":
          [cases that come to its place]}
CASES     as for witness.py
SLIPS     file with a JSON list of what "list" told
BEGIN     how many slips to leave out at the beginning
WORK      lines to run for slips at most: what is not tried by then is left, the same on every machine
Works beside witness.py; needs nothing but the standard library of Python 3.8 or newer.
"""
import sys

sys.dont_write_bytecode = True

import ast  # noqa: E402
import builtins
import functools
import gc
import importlib
import json
import os
import pickle
import types
import zlib
import witness
from making import Unmade, find
from mistakes import followed, mistakes, picked, routines_of, statements

UNNOTICED, UNREACHED, UNTRIED, UNPLANTED = -1, -2, -4, -5
# What a case costs beside the lines that it runs, in lines.
EACH_CASE = 200
MOST_COMPARED = 80
# Modules beside the observed ones.
MOST_BESIDE = 12
# So many of the cases that come to an unnoticed slip are told.
MOST_COMERS = 6


# ---------------------------------------------------------------------------------------------- telling slips

def parsed(module):
    with open(module.__file__, "rb") as file:
        return ast.parse(file.read(), module.__file__)


def list_slips(symbols, to, roots):
    wanted = {}
    for symbol in symbols:
        owner, member = symbol.split("#", 1)
        try:
            found = find(owner)
        except Unmade:
            continue
        name = "__init__" if member == "new" else member.split("(")[0]
        module = found.__name__ if isinstance(found, types.ModuleType) else found.__module__
        prefix = "" if isinstance(found, types.ModuleType) else found.__qualname__ + "."
        wanted.setdefault(module, []).append(prefix + name)
    for name, names in wanted.items():
        routines = routines_of(parsed(importlib.import_module(name)))
        main = followed(routines, names)
        tell(name, routines, main, to, False)
        tell(name, routines, [each for each in routines if each not in main], to, True)
    for name in beside(list(wanted), roots):
        routines = routines_of(parsed(sys.modules[name]))
        tell(name, routines, list(routines), to, True)


def tell(name, routines, some, to, beside_):
    for routine in some:
        for number, (line, kind, what, _) in enumerate(mistakes(routines[routine])):
            to.write(json.dumps({"module": name, "file": os.path.abspath(sys.modules[name].__file__), "routine": routine,
                                 "number": number, "line": line, "kind": kind, "what": what, "beside": beside_}) + "\n")


def beside(names, roots):
    """The project's other modules that those of some names work with, the nearest first."""
    roots = [os.path.abspath(each) + os.sep for each in roots]
    found, open_ = [], list(names)
    while open_ and len(found) < MOST_BESIDE:
        for value in list(vars(sys.modules[open_.pop(0)]).values()):
            name = value.__name__ if isinstance(value, types.ModuleType) else getattr(value, "__module__", None)
            file = getattr(sys.modules.get(name), "__file__", None) or ""
            own = any(os.path.abspath(file).startswith(root) for root in roots) and "site-packages" not in file
            if own and name not in names and name not in found:
                found.append(name)
                open_.append(name)
    return found[:MOST_BESIDE]


# ---------------------------------------------------------------------------------------------- planting slips

def code_of(whole, routine):
    """The code of a routine inside the code of its module."""
    found = whole
    for part in routine.split("."):
        found = next((each for each in found.co_consts if isinstance(each, types.CodeType) and each.co_name == part), None)
        if found is None:
            return None
    return found


def place_of(code):
    return code.co_filename, code.co_name, code.co_firstlineno


def pairs_of(plain, other):
    """A code and what is put in its place, then those of the functions inside, which may be alive already: in decorators, say."""
    yield plain, other
    inner = [[each for each in code.co_consts if isinstance(each, types.CodeType)] for code in (plain, other)]
    if [each.co_name for each in inner[0]] == [each.co_name for each in inner[1]]:
        for was, now in zip(*inner):
            if was.co_freevars == now.co_freevars:
                yield from pairs_of(was, now)


class Ground:
    """The modules under observation, in which slips are planted and taken out again."""

    def __init__(self, modules, functions, routines, future):
        """@functions by where their code is @routines trees, by module and name @future what each module imports of the language to come"""
        self.modules, self.functions, self.future, self.plain = modules, functions, future, {}
        self.files = {module.__file__ for module in modules.values()}
        self.reach = {name: sorted((each.lineno, getattr(each, "end_lineno", each.lineno)) for each in statements(node))
                      for name, node in routines.items()}
        # A copy for each slip: reading this is several times quicker than copying a tree, and than parsing it again.
        self.own = {name: pickle.dumps(node) for name, node in routines.items()}

    def lines(self, slip):
        """First and last line of the narrowest statement around a slip."""
        around = [each for each in self.reach[slip["module"], slip["routine"]] if each[0] <= slip["line"] <= each[1]]
        return min(around, key=lambda each: each[1] - each[0]) if around else (slip["line"], slip["line"])

    def routine(self, name, routine):
        """A routine's own tree, to be changed."""
        return pickle.loads(self.own[name, routine])

    def plant(self, slip):
        """Plants a slip in all functions of its code. Hands back how to take it out; None where it cannot be planted."""
        node = self.routine(slip["module"], slip["routine"])
        for number, (_, _, _, plant) in enumerate(mistakes(node)):
            if number == slip["number"]:
                plant()
                break
        return self.replace(slip["module"], slip["routine"], node)

    def telling(self, slips):
        """Makes the code of some slips say what it compares. Hands back how to make it silent again."""
        silent = []
        for module, routine in sorted({(each["module"], each["routine"]) for each in slips}):
            node = self.routine(module, routine)
            node.body = [Telling(module).visit(each) for each in node.body]
            silent.append(self.replace(module, routine, node))
        return lambda: [each() for each in silent if each]

    def replace(self, name, routine, node):
        """Puts the code of a changed tree in place of a routine's own; hands back how to undo that."""
        if (name, routine) not in self.plain:
            self.plain[name, routine] = self.compiled(name, routine, self.routine(name, routine))
        plain = self.plain[name, routine]
        other = self.compiled(name, routine, node)
        if plain is None or other is None or plain.co_freevars != other.co_freevars:
            return None
        pairs = list(pairs_of(plain, other))
        places = [place_of(was) for was, _ in pairs]
        before = [(each, each.__code__, now) for (was, now), place in zip(pairs, places) if places.count(place) == 1
                  for each in self.functions.get(place, [])]
        for each, _, now in before:
            each.__code__ = now
        return (lambda: [setattr(each, "__code__", code) for each, code, _ in before]) if before else None

    def compiled(self, name, routine, node):
        """The code of a routine, compiled alone: within classes named as its own, which decide what private names stand for."""
        for part in reversed(routine.split(".")[:-1]):
            around = ast.parse("class %s: pass" % part).body[0]
            around.body, node = [node], around
        tree = ast.parse("")
        tree.body = self.future[name] + [node]
        return code_of(compile(ast.fix_missing_locations(tree), self.modules[name].__file__, "exec", dont_inherit=True), routine)


def ground_of(slips):
    """The ground for some slips: their modules are imported, and read."""
    modules = {each["module"]: importlib.import_module(each["module"]) for each in slips}
    files = {module.__file__ for module in modules.values()}
    functions, routines, future = {}, {}, {}
    for each in gc.get_objects():
        if isinstance(each, types.FunctionType) and each.__code__.co_filename in files:
            functions.setdefault(place_of(each.__code__), []).append(each)
    for name, module in modules.items():
        tree = parsed(module)
        routines.update(((name, routine), node) for routine, node in routines_of(tree).items())
        future[name] = [each for each in tree.body if isinstance(each, ast.ImportFrom) and each.module == "__future__"]
    return Ground(modules, functions, routines, future)


class Telling(ast.NodeTransformer):
    """Makes comparisons of two values say what they compare."""

    def __init__(self, module):
        self.module = module

    def visit_Compare(self, node):
        self.generic_visit(node)
        if len(node.ops) != 1 or type(node.ops[0]) not in (ast.Lt, ast.LtE, ast.Gt, ast.GtE, ast.Eq, ast.NotEq):
            return node
        pair = [ast.Name("left_", ast.Load()), ast.Name("right_", ast.Load())]
        place = ast.Constant("%s:%d" % (self.module, node.lineno))
        told = ast.Call(ast.Name("driftwood_compared", ast.Load()), [place] + pair, [])
        both = picked([told, ast.Compare(pair[0], node.ops, [pair[1]])], 1)
        taken = ast.arguments(posonlyargs=[], args=[ast.arg("left_"), ast.arg("right_")], kwonlyargs=[], kw_defaults=[], defaults=[])
        return ast.copy_location(ast.Call(ast.Lambda(taken, both), [node.left] + node.comparators, []), node)

    def visit_FunctionDef(self, node):
        return node

    visit_AsyncFunctionDef = visit_ClassDef = visit_Lambda = visit_FunctionDef


class Remembered:
    """What functions remember of their answers. What was remembered under a slip, or before it, must not answer for the code now."""

    def __init__(self):
        self.loaded, self.caches = 0, []

    def forget(self):
        # Looking at every object there is costs more than most cases: once for all, and again when modules came.
        if self.loaded != len(sys.modules):
            self.loaded = len(sys.modules)
            self.caches = [each for each in gc.get_objects() if isinstance(each, functools._lru_cache_wrapper)]
        for each in self.caches:
            each.cache_clear()


# ---------------------------------------------------------------------------------------------- trying slips

class Bench:
    """Runs cases one at a time, with their time limited, and tells what happened as one text."""

    def __init__(self, millis, whole, paths):
        self.stage = witness.Stage(millis)
        self.asking = self.stage.asking(whole, paths)

    def run(self, case, watch=None, scenes=None):
        """The outcome as text; None where the case did not end. @watch files, and a list for the lines come to"""
        def around():
            sys.settrace(lambda frame, event, _: tracer(frame, event, *watch))
            return lambda: sys.settrace(None)
        told = self.stage.run(case, self.asking, scenes, around if watch else None)
        return None if told is None else json.dumps(told, sort_keys=True)


def tracer(frame, event, files, lines):
    if frame.f_code.co_filename not in files:
        return None

    def local(inner, what, _):
        if what == "line":
            lines.append((inner.f_code.co_filename, inner.f_lineno))
        return local
    lines.append((frame.f_code.co_filename, frame.f_lineno))
    return local


def steady_cases(cases, skipped, slips, bench, ground, to):
    """The cases that do the same twice; tells what they pass. One that does not end, or leaves threads computing, ends this run."""
    compared = []

    def tell(place, one, other):
        plain = (int, float, str)
        if len(compared) < MOST_COMPARED and type(one) in plain and type(other) in plain and one != other \
                and isinstance(one, str) == isinstance(other, str) and len(str(one)) + len(str(other)) < 120:
            told = [place, str(one), str(other), not isinstance(one, str)]
            if told not in compared:
                compared.append(told)
    builtins.driftwood_compared = tell
    steady = []
    silence = ground.telling(slips)
    watched = []
    for number, case in enumerate(cases):
        lines, scenes = [], []
        if number in skipped:
            watched.append(None)
            continue
        del compared[:]
        # Following every line makes a case slower, so its time is no reason to leave it out: it ends, as is known.
        first = bench.run(case, (ground.files, lines), scenes)
        if first is None or bench.stage.is_haunted():
            to.write(json.dumps({"haunts": number}) + "\n")
            to.flush()
            os._exit(witness.ENDLESS if first is None else witness.HAUNTED)
        watched.append((first, lines, scenes, list(compared)))
    silence()
    for number, case in enumerate(cases):
        if watched[number] is None:
            continue
        first, lines, scenes, met = watched[number]
        told = json.loads(first)
        if "unmade" in told or first != bench.run(case):
            continue
        reached = {}
        for file, line in set(lines):
            reached.setdefault(file, []).append(line)
        steady.append((number, case, first, set(lines), EACH_CASE + len(lines)))
        to.write(json.dumps({"passed": number, "lines": {each: sorted(reached[each]) for each in reached}, "work": len(lines),
                             "signature": zlib.crc32(first.encode()) & 0x7FFFFFFF, "states": scenes[0].states,
                             "features": [-1 - each for each in witness.feature_numbers(scenes[0].features, scenes[0].states)]
                             + witness.shapes(told["outcome"].get("prints", [])) + visits(lines), "compared": met}) + "\n")
    return steady


def visits(lines):
    """Numbers for how often code came to each line, in powers of two."""
    counts = {}
    for each in lines:
        counts[each] = counts.get(each, 0) + 1
    return sorted({(zlib.crc32(each[0].encode()) + 997 * each[1] + counts[each].bit_length()) & 0x7FFFFFFF for each in counts})


def skipped_cases(cases_file):
    """The numbers of cases that earlier runs could not go on behind, a line each in a file beside the cases."""
    try:
        with open(cases_file + ".skip", encoding="utf-8") as file:
            return {int(each) for each in file.read().split()}
    except FileNotFoundError:
        return set()


def try_slips(whole, skipped, slips, to, begin, millis, work, paths):
    bench, ground, remembered = Bench(millis, whole, paths), ground_of(slips), Remembered()
    steady = steady_cases(whole["cases"], skipped, slips, bench, ground, to)
    spent = 0
    for at_, slip in enumerate(slips[begin:], begin):
        to.write(json.dumps({"begin": at_}) + "\n")
        to.flush()
        by, comers, stuck = UNREACHED, [], False
        file = ground.modules[slip["module"]].__file__
        reach = ground.lines(slip)
        places = {(file, line) for line in range(reach[0], reach[1] + 1)}
        coming = [each for each in steady if not places.isdisjoint(each[3])]
        remove = ground.plant(slip) if coming and spent <= work else None
        if coming and remove is None:
            by = UNTRIED if spent > work else UNPLANTED
        elif coming:
            by = UNNOTICED
            remembered.forget()
            for entry in coming:
                now = bench.run(entry[1])
                spent += entry[4]
                if now != entry[2]:
                    by, stuck = entry[0], now is None
                    steady.remove(entry)
                    steady.insert(0, entry)
                    break
            else:
                step = max(1, len(coming) // MOST_COMERS)
                comers = [each[0] for each in coming[::step]][:MOST_COMERS]
            remove()
            remembered.forget()
        to.write(json.dumps({"slip": at_, "by": by, "comers": comers}) + "\n")
        to.flush()
        if stuck:
            os._exit(witness.ENDLESS)


def main(mode, *rest):
    sys.argv = ["program"]
    if mode == "list":
        sys.path[:0] = rest[2:]
        with open(rest[1], "a", encoding="utf-8") as to:
            list_slips(witness.read(rest[0]), to, rest[2:])
    else:
        witness.limit_memory(int(rest[5]))
        sys.path[:0] = rest[7:]
        with open(rest[2], "a", encoding="utf-8") as to:
            try_slips(witness.read(rest[0]), skipped_cases(rest[0]), witness.read(rest[1]), to, int(rest[3]), int(rest[4]), int(rest[6]), rest[7:])
    os._exit(0)


if __name__ == "__main__":
    witness.begin(lambda: main(*sys.argv[1:]))
