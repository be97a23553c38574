"""Where Python code can slip: the places of a routine, what may go wrong at each, and how to plant it in the tree. Works beside slips.py."""
import ast
import sys

ORDER = {ast.Lt: (ast.LtE, "<", "<="), ast.LtE: (ast.Lt, "<=", "<"), ast.Gt: (ast.GtE, ">", ">="), ast.GtE: (ast.Gt, ">=", ">")}
OPPOSITE = {ast.Eq: ast.NotEq, ast.NotEq: ast.Eq, ast.Is: ast.IsNot, ast.IsNot: ast.Is, ast.In: ast.NotIn, ast.NotIn: ast.In}
SIGNS = {ast.Add: (ast.Sub, "+", "-"), ast.Sub: (ast.Add, "-", "+"), ast.Mult: (ast.Div, "*", "/"),
         ast.Div: (ast.Mult, "/", "*"), ast.FloorDiv: (ast.Mult, "//", "*"), ast.Mod: (ast.Mult, "%", "*")}
ROUTINES = (ast.FunctionDef, ast.AsyncFunctionDef)


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
    skipped, tests = set(), set()
    for node in ast.walk(routine):
        if isinstance(node, ast.Expr) and isinstance(node.value, ast.Constant):
            skipped.add(id(node.value))
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
        yield "RESULT", "None is handed back", lambda: setattr(node, "value", nothing(node.value))
    elif isinstance(node, ast.Expr) and isinstance(node.value, ast.Call):
        yield "REMOVED_CALL", "the call of %s is left out" % called(node.value), \
            lambda: setattr(node, "value", nothing(node.value))
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


def nothing(value):
    """None in the place of a value. What the value names stays named, for a function that lives keeps what it holds of others."""
    if any(isinstance(each, (ast.Await, ast.Yield, ast.YieldFrom, ast.NamedExpr)) for each in ast.walk(value)):
        return placed(ast.Constant(None), value)
    unused = ast.Lambda(ast.arguments(posonlyargs=[], args=[], kwonlyargs=[], kw_defaults=[], defaults=[]), value)
    return placed(picked([ast.Constant(None), unused], 0), value)


def picked(parts, at_):
    """One of some values, all of which are worked out."""
    index = ast.Constant(at_)
    return ast.Subscript(ast.Tuple(parts, ast.Load()), index if sys.version_info >= (3, 9) else ast.Index(index), ast.Load())


def turned(test):
    return placed(ast.UnaryOp(ast.Not(), test), test)


def called(node):
    return node.func.attr if isinstance(node.func, ast.Attribute) else node.func.id if isinstance(node.func, ast.Name) else "it"


def swap(arguments):
    arguments[-1], arguments[-2] = arguments[-2], arguments[-1]
