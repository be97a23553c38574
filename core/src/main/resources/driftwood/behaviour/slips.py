"""Plants small slips in Python code, one at a time, and tells which cases notice them.

python3 slips.py list SYMBOLS TOLD PATH...
python3 slips.py try CASES SLIPS TOLD BEGIN MILLIS MEMORY_MIB PATH...

SYMBOLS   file with a JSON list of observed routines, as in recordings: quay.harbour.Desk#admit(vessel)
TOLD      file to append one JSON object a line to. list: {"module", "file", "routine", "number", "line", "kind",
          "what"}. try: {"begin": n}, then {"slip": n, "by": case or code, "comers": [cases that come to its place]}
CASES     file with a JSON list of cases, in the form of recordings (docs/formats.md)
SLIPS     file with a JSON list of what "list" told
BEGIN     how many slips to leave out at the beginning
Works beside witness.py; needs nothing but the standard library of Python 3.8 or newer.
"""
import sys

sys.dont_write_bytecode = True

import ast  # noqa: E402
import functools
import gc
import importlib
import io
import json
import os
import threading
import traceback
import types
import witness

UNNOTICED, UNREACHED, UNTRIED = -1, -2, -4
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


def list_slips(symbols, to):
    wanted = {}
    for symbol in symbols:
        owner, member = symbol.split("#", 1)
        try:
            found = witness.find(owner)
        except witness.Unmade:
            continue
        name = "__init__" if member == "new" else member.split("(")[0]
        module = found.__name__ if isinstance(found, types.ModuleType) else found.__module__
        prefix = "" if isinstance(found, types.ModuleType) else found.__qualname__ + "."
        wanted.setdefault(module, []).append(prefix + name)
    for name, names in wanted.items():
        module = importlib.import_module(name)
        routines = routines_of(parsed(module))
        for routine in followed(routines, names):
            for number, (line, kind, what, _) in enumerate(mistakes(routines[routine])):
                to.write(json.dumps({"module": name, "file": os.path.abspath(module.__file__), "routine": routine,
                                     "number": number, "line": line, "kind": kind, "what": what}) + "\n")


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
        module = self.modules[slip["module"]]
        tree = parsed(module)
        plain = code_of(compile(parsed(module), module.__file__, "exec", dont_inherit=True), slip["routine"])
        for number, (_, _, _, plant) in enumerate(mistakes(routines_of(tree)[slip["routine"]])):
            if number == slip["number"]:
                plant()
                break
        slipped = code_of(compile(ast.fix_missing_locations(tree), module.__file__, "exec", dont_inherit=True), slip["routine"])
        if plain is None or slipped is None or plain.co_freevars != slipped.co_freevars:
            return None
        live = [each for each in gc.get_objects() if isinstance(each, types.FunctionType)
                and each.__code__.co_filename == plain.co_filename and each.__code__.co_name == plain.co_name
                and each.__code__.co_firstlineno == plain.co_firstlineno]
        before = [(each, each.__code__) for each in live]
        for each in live:
            each.__code__ = slipped
        return (lambda: [setattr(each, "__code__", code) for each, code in before]) if live else None


def forget():
    """What was remembered under a slip, or before it, must not answer for the code now."""
    for each in gc.get_objects():
        if isinstance(each, functools._lru_cache_wrapper):
            each.cache_clear()


# ---------------------------------------------------------------------------------------------- trying slips

class Bench:
    """Runs cases one at a time, with their time limited, and tells what happened as one text."""

    def __init__(self, millis):
        self.limit = millis / 1000
        self.work = os.getcwd()
        self.out, self.err = witness.Kept(), witness.Kept()
        sys.stdout, sys.stderr, sys.stdin = self.out, self.err, io.StringIO("")

    def run(self, case, watch=None):
        """The outcome as text; None where the case did not end. @watch files, and a set for the lines come to"""
        told = []

        def work():
            if watch is not None:
                sys.settrace(lambda frame, event, _: tracer(frame, event, *watch))
            try:
                told.append(witness.attempt(case, self.out, self.err))
            finally:
                sys.settrace(None)
        thread = threading.Thread(target=work, daemon=True)
        thread.start()
        witness.wait(thread, self.limit)
        if not told:
            return None
        os.chdir(self.work)
        witness.desk(self.work, told[0].get("outcome"))
        return json.dumps(told[0], sort_keys=True)


def tracer(frame, event, files, lines):
    if frame.f_code.co_filename not in files:
        return None

    def local(inner, what, _):
        if what == "line":
            lines.add((inner.f_code.co_filename, inner.f_lineno))
        return local
    lines.add((frame.f_code.co_filename, frame.f_lineno))
    return local


def try_slips(cases, slips, to, begin, millis):
    bench, ground = Bench(millis), Ground(slips)
    steady = []
    for number, case in enumerate(cases):
        lines = set()
        # Following every line makes a case slower, so its time is no reason to leave it out: it ends, as is known.
        first = bench.run(case, (ground.files, lines))
        if first is None:
            os._exit(witness.ENDLESS)
        if first == bench.run(case) and "unmade" not in json.loads(first):
            steady.append((number, case, first, lines))
    for at_, slip in enumerate(slips[begin:], begin):
        to.write(json.dumps({"begin": at_}) + "\n")
        to.flush()
        by, comers, stuck = UNREACHED, [], False
        file = ground.modules[slip["module"]].__file__
        reach = ground.lines(slip)
        coming = [each for each in steady if any((file, line) in each[3] for line in range(reach[0], reach[1] + 1))]
        remove = ground.plant(slip) if coming else None
        if coming and remove is None:
            by = UNTRIED
        elif coming:
            by = UNNOTICED
            forget()
            for entry in coming:
                now = bench.run(entry[1])
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


def read(file):
    with open(file, encoding="utf-8") as source:
        return json.load(source)


def main(mode, *rest):
    sys.argv = ["program"]
    if mode == "list":
        sys.path[:0] = rest[2:]
        with open(rest[1], "a", encoding="utf-8") as to:
            list_slips(read(rest[0]), to)
    else:
        witness.limit_memory(int(rest[5]))
        sys.path[:0] = rest[6:]
        with open(rest[2], "a", encoding="utf-8") as to:
            try_slips(read(rest[0]), read(rest[1]), to, int(rest[3]), int(rest[4]))
    os._exit(0)


if __name__ == "__main__":
    threading.stack_size(16 * 1024 * 1024)
    sys.setrecursionlimit(1000)
    try:
        main(*sys.argv[1:])
    except Exception:
        traceback.print_exc(file=sys.__stderr__)
        sys.__stderr__.flush()
        os._exit(1)
