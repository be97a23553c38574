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
import types
import zlib
import witness
from making import Unmade, find

UNNOTICED, UNREACHED, UNTRIED, UNPLANTED = -1, -2, -4, -5
# What a case costs beside the lines that it runs, in lines.
EACH_CASE = 200
MOST_COMPARED = 80
# Modules beside the observed ones.
MOST_BESIDE = 12
# So many of the cases that come to an unnoticed slip are told.
MOST_COMERS = 6
ORDER = {ast.Lt: (ast.LtE, "<", "<="), ast.LtE: (ast.Lt, "<=", "<"), ast.Gt: (ast.GtE, ">", ">="), ast.GtE: (ast.Gt, ">=", ">")}
OPPOSITE = {ast.Eq: ast.NotEq, ast.NotEq: ast.Eq, ast.Is: ast.IsNot, ast.IsNot: ast.Is, ast.In: ast.NotIn, ast.NotIn: ast.In}
SIGNS = {ast.Add: (ast.Sub, "+", "-"), ast.Sub: (ast.Add, "-", "+"), ast.Mult: (ast.Div, "*", "/"),
         ast.Div: (ast.Mult, "/", "*"), ast.FloorDiv: (ast.Mult, "//", "*"), ast.Mod: (ast.Mult, "%", "*")}
ROUTINES = (ast.FunctionDef, ast.AsyncFunctionDef)


# ---------------------------------------------------------------------------------------------- finding places

def routines_of(tree):
    """The routines of a module by qualified name, those inside of others left to them."""
    found = {}

    def within(body, prefix):
        for node in body:
            if isinstance(node, ROUTINES):
                found.setdefault(prefix + node.name, node)
            elif isinstance(node, ast.ClassDef):
                within(node.body, prefix + node.name + ".")
    within(tree.body, "")
    return found


def followed(routines, wanted):
    """The wanted routines and those of the same module that they lead to, by name."""
    reached, open_ = set(), [each for each in wanted if each in routines]
    while open_:
        name = open_.pop()
        if name in reached:
            continue
        reached.add(name)
        owner = name.rpartition(".")[0]
        for node in ast.walk(routines[name]):
            called = node.id if isinstance(node, ast.Name) else node.attr if isinstance(node, ast.Attribute) else None
            if called is None:
                continue
            near = [owner + "." + called] if owner and isinstance(node, ast.Attribute) else [called, called + ".__init__"]
            open_ += [each for each in near if each in routines]
    return sorted(reached, key=lambda each: routines[each].lineno)


def statements(routine):
    """Statements of a routine with the lines they reach over; those of nested blocks on their own."""
    for node in ast.walk(routine):
        for block in ("body", "orelse", "finalbody"):
            for each in getattr(node, block, []) if isinstance(getattr(node, block, []), list) else []:
                if isinstance(each, ast.stmt):
                    yield each


def mistakes(routine):
    """The slips of a routine: (line, kind, what, plant), always in the same order. Planting changes the tree."""
    doc = routine.body[0].value if isinstance(routine.body[0], ast.Expr) else None
    skipped = {id(doc)} if isinstance(doc, ast.Constant) else set()
    tests = set()
    for node in ast.walk(routine):
        if isinstance(node, ast.AnnAssign):
            skipped.update(id(each) for each in ast.walk(node.annotation))
        if isinstance(node, (ast.JoinedStr, ast.arguments)) or node is not routine and isinstance(node, ROUTINES) and node.returns:
            part = node.returns if isinstance(node, ROUTINES) else node
            skipped.update(id(each) for each in ast.walk(part) if not isinstance(node, ast.JoinedStr) or isinstance(each, ast.Constant))
        if isinstance(node, (ast.If, ast.While, ast.IfExp, ast.Assert)):
            tests.add(id(node.test))
    skipped.update(id(each) for decorator in routine.decorator_list for each in ast.walk(decorator))
    if routine.returns is not None:
        skipped.update(id(each) for each in ast.walk(routine.returns))
    for node in ast.walk(routine):
        if id(node) not in skipped:
            for kind, what, plant in at(node, tests):
                yield getattr(node, "lineno", None) or routine.lineno, kind, what, plant


def at(node, tests):
    if isinstance(node, (ast.If, ast.While, ast.IfExp, ast.Assert)):
        yield "CONDITION", "the condition is turned round", lambda: setattr(node, "test", turned(node.test))
    elif isinstance(node, ast.Compare) and type(node.ops[0]) in ORDER:
        other, was, becomes = ORDER[type(node.ops[0])]
        yield "LIMIT", "%s becomes %s" % (was, becomes), lambda: node.ops.__setitem__(0, other())
    elif isinstance(node, ast.Compare) and type(node.ops[0]) in OPPOSITE and id(node) not in tests:
        yield "CONDITION", "the condition is turned round", lambda: node.ops.__setitem__(0, OPPOSITE[type(node.ops[0])]())
    elif isinstance(node, ast.BoolOp):
        was, other = ("and", ast.Or) if isinstance(node.op, ast.And) else ("or", ast.And)
        yield "CONDITION", "%s becomes %s" % (was, "or" if was == "and" else "and"), lambda: setattr(node, "op", other())
    elif isinstance(node, (ast.BinOp, ast.AugAssign)) and type(node.op) in SIGNS and not is_text(getattr(node, "left", None)):
        other, was, becomes = SIGNS[type(node.op)]
        yield "OPERATOR", "%s becomes %s" % (was, becomes), lambda: setattr(node, "op", other())
    elif isinstance(node, ast.Constant):
        yield from constants(node)
    elif isinstance(node, ast.Return) and node.value is not None and not is_none(node.value):
        yield "RESULT", "None is handed back", lambda: setattr(node, "value", placed(ast.Constant(None), node))
    elif isinstance(node, ast.Expr) and isinstance(node.value, ast.Call):
        yield "REMOVED_CALL", "the call of %s is left out" % called(node.value), \
            lambda: setattr(node, "value", placed(ast.Constant(None), node))
    elif isinstance(node, ast.Call):
        plain = [each for each in node.args if not isinstance(each, ast.Starred)]
        if len(plain) >= 2 and len(plain) == len(node.args) and ast.dump(plain[-1]) != ast.dump(plain[-2]) \
                and called(node) not in ("isinstance", "issubclass", "min", "max"):
            yield "SWAPPED", "the last two arguments of %s change places" % called(node), lambda: swap(node.args)
    elif type(node).__name__ == "match_case":
        yield "LOST_ARM", "the arm is lost", lambda: setattr(node, "guard", placed(ast.Constant(False), node.pattern))


def constants(node):
    value = node.value
    if value is True or value is False:
        yield "CONSTANT", "%s becomes %s" % (value, not value), lambda: setattr(node, "value", not value)
    elif isinstance(value, (int, float)):
        other = 0 if value == 1 else value + 1
        yield "CONSTANT", "%s becomes %s" % (value, other), lambda: setattr(node, "value", other)
    elif isinstance(value, str):
        told = value if len(value) <= 30 else value[:30] + "..."
        yield "CONSTANT", "\"%s\" becomes another text" % told.replace("\n", "\\n"), lambda: setattr(node, "value", value + "?")


def is_text(node):
    return isinstance(node, ast.JoinedStr) or isinstance(node, ast.Constant) and isinstance(node.value, (str, bytes))


def is_none(node):
    return isinstance(node, ast.Constant) and node.value is None


def placed(node, near):
    return ast.copy_location(node, near)


def turned(test):
    return placed(ast.UnaryOp(ast.Not(), test), test)


def called(node):
    return node.func.attr if isinstance(node.func, ast.Attribute) else node.func.id if isinstance(node.func, ast.Name) else "it"


def swap(arguments):
    arguments[-1], arguments[-2] = arguments[-2], arguments[-1]


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


class Ground:
    """The modules under observation, in which slips are planted and taken out again."""

    def __init__(self, slips):
        self.modules = {each["module"]: importlib.import_module(each["module"]) for each in slips}
        self.files = {module.__file__ for module in self.modules.values()}
        self.reach = {}
        for name, module in self.modules.items():
            for routine, node in routines_of(parsed(module)).items():
                self.reach[name, routine] = sorted((each.lineno, getattr(each, "end_lineno", each.lineno))
                                                   for each in statements(node))

    def lines(self, slip):
        """First and last line of the narrowest statement around a slip."""
        around = [each for each in self.reach[slip["module"], slip["routine"]] if each[0] <= slip["line"] <= each[1]]
        return min(around, key=lambda each: each[1] - each[0]) if around else (slip["line"], slip["line"])

    def plant(self, slip):
        """Plants a slip in all functions of its code. Hands back how to take it out; None where it cannot be planted."""
        tree = parsed(self.modules[slip["module"]])
        for number, (_, _, _, plant) in enumerate(mistakes(routines_of(tree)[slip["routine"]])):
            if number == slip["number"]:
                plant()
                break
        return self.replace(slip["module"], slip["routine"], tree)

    def telling(self, slips):
        """Makes the code of some slips say what it compares. Hands back how to make it silent again."""
        silent = []
        for module, routine in sorted({(each["module"], each["routine"]) for each in slips}):
            tree = parsed(self.modules[module])
            node = routines_of(tree)[routine]
            node.body = [Telling(module).visit(each) for each in node.body]
            silent.append(self.replace(module, routine, tree))
        return lambda: [each() for each in silent if each]

    def replace(self, name, routine, tree):
        """Puts the code of a changed tree in place of a routine's own; hands back how to undo that."""
        module = self.modules[name]
        plain = code_of(compile(parsed(module), module.__file__, "exec", dont_inherit=True), routine)
        other = code_of(compile(ast.fix_missing_locations(tree), module.__file__, "exec", dont_inherit=True), routine)
        if plain is None or other is None or plain.co_freevars != other.co_freevars:
            return None
        live = [each for each in gc.get_objects() if isinstance(each, types.FunctionType)
                and each.__code__.co_filename == plain.co_filename and each.__code__.co_name == plain.co_name
                and each.__code__.co_firstlineno == plain.co_firstlineno]
        before = [(each, each.__code__) for each in live]
        for each in live:
            each.__code__ = other
        return (lambda: [setattr(each, "__code__", code) for each, code in before]) if live else None


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
        both = ast.Subscript(ast.Tuple([told, ast.Compare(pair[0], node.ops, [pair[1]])], ast.Load()), ast.Constant(1), ast.Load())
        if sys.version_info < (3, 9):
            both.slice = ast.Index(both.slice)
        taken = ast.arguments(posonlyargs=[], args=[ast.arg("left_"), ast.arg("right_")], kwonlyargs=[], kw_defaults=[], defaults=[])
        return ast.copy_location(ast.Call(ast.Lambda(taken, both), [node.left] + node.comparators, []), node)

    def visit_FunctionDef(self, node):
        return node

    visit_AsyncFunctionDef = visit_ClassDef = visit_Lambda = visit_FunctionDef


def forget():
    """What was remembered under a slip, or before it, must not answer for the code now."""
    for each in gc.get_objects():
        if isinstance(each, functools._lru_cache_wrapper):
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
    bench, ground = Bench(millis, whole, paths), Ground(slips)
    steady = steady_cases(whole["cases"], skipped, slips, bench, ground, to)
    spent = 0
    for at_, slip in enumerate(slips[begin:], begin):
        to.write(json.dumps({"begin": at_}) + "\n")
        to.flush()
        by, comers, stuck = UNREACHED, [], False
        file = ground.modules[slip["module"]].__file__
        reach = ground.lines(slip)
        coming = [each for each in steady if any((file, line) in each[3] for line in range(reach[0], reach[1] + 1))]
        remove = ground.plant(slip) if coming and spent <= work else None
        if coming and remove is None:
            by = UNTRIED if spent > work else UNPLANTED
        elif coming:
            by = UNNOTICED
            forget()
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
            forget()
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
