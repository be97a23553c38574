"""Driftwood's witness for Python: runs cases in the user's own interpreter and tells what happened.

python3 witness.py CASES OUTCOMES MILLIS MEMORY_MIB LATER PATH...

CASES     file with {"manner", "asks", "types", "cases"}: what objects are asked, and a list of cases in the form of
          recordings (docs/formats.md)
OUTCOMES  file to append one JSON object a line to: {"begin": id}, then {"id": id, "outcome": ...} or
          {"id": id, "unmade": why}
LATER     1: the clock is more than a year ahead
PATH      folders to import from
Works beside describing.py and making.py; needs nothing but the standard library of Python 3.8 or newer.
"""
import sys

sys.dont_write_bytecode = True

import builtins  # noqa: E402
import datetime
import io
import itertools
import json
import os
import re
import threading
import time
import traceback
import zlib
from describing import Asking, blurred, describe, inner_state, is_iterator, problem_of, qualified
from making import Unmade, call, find, make

ENDLESS = 97
HAUNTED = 98
# A case that only waits may take this many times its limit.
PATIENCE = 5
PRINTED = 64 * 1024
MOST_FILES = 40
MOST_WATCHED = 8
MOST_COMPARED = 4
AHEAD = datetime.timedelta(days=401, hours=7, minutes=13, seconds=29)
STEP = datetime.timedelta(milliseconds=61)
# What waits for a case reads the real one.
REAL_CLOCK = time.monotonic


# ---------------------------------------------------------------------------------------------- what is printed

class Kept(io.TextIOBase):
    """Keeps the beginning of what is printed, and only counts the rest. While hushed everything is only counted."""

    def __init__(self):
        self.parts, self.size, self.lost, self.hushes, self.unheard = [], 0, 0, 0, 0

    def writable(self):
        return True

    def write(self, text):
        if self.hushes:
            self.unheard += len(text)
            return len(text)
        room = max(0, PRINTED - self.size)
        if room:
            self.parts.append(text[:room])
            self.size += len(text[:room])
        self.lost += max(0, len(text) - room)
        return len(text)

    def hush(self, on):
        """Begins or ends a silence; hands back how much was printed in silence so far."""
        self.hushes = max(0, self.hushes + (1 if on else -1))
        return self.unheard

    def take(self):
        text = "".join(self.parts) + ("... and %d characters more" % self.lost if self.lost else "")
        self.parts, self.size, self.lost, self.hushes = [], 0, 0, 0
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
    if not os.path.isfile(path):
        return "a pipe or device"
    if os.path.getsize(path) > PRINTED:
        return "%d bytes" % os.path.getsize(path)
    with open(path, "rb") as file:
        content = file.read()
    try:
        return blurred(content.decode("utf-8").replace("\r\n", "\n"))
    except UnicodeDecodeError:
        return "%d bytes, checksum %x" % (len(content), zlib.crc32(content))


# ---------------------------------------------------------------------------------------------- running a case

class Scene:
    """One case as it is played: step after step, telling after each what answers otherwise than before."""

    def __init__(self, case, asking):
        self.case, self.asking = case, asking
        self.owner, self.member = case["routine"].split("#", 1)
        self.alive, self.known, self.met = {}, {}, []
        self.states, self.features = [], []

    def play(self):
        outcome = {}
        if self.case.get("on") is not None:
            receiver = make(self.case["on"])
            self.alive["this"] = receiver
            starts = describe(receiver, self.asking)
            self.watch("this", receiver, starts)
            if self.member == "new" and not self.case.get("before"):
                self.note("new", {}, {})
                return {"gives": starts}
            if isinstance(starts, dict) and len(starts) > 1:
                outcome["starts"] = starts
        self.note_state()
        before = [self.step(step, str(at + 1)) for at, step in enumerate(self.case.get("before", []))]
        for each in before:
            if each.get("gives", 0) is None:
                del each["gives"]
        if self.member == "new":
            outcome["gives"] = describe(receiver, self.asking)
        if before:
            outcome["before"] = before
        if self.member != "new":
            last = {"call": self.member.split("(")[0], "given": self.case.get("given", {})}
            outcome.update(self.step(last, str(len(before) + 1)))
        pairs = self.pairs()
        if pairs:
            outcome["compares"] = pairs
        return outcome

    def step(self, step, number):
        told = {}
        if "make" in step:
            given, routine = {}, None
        else:
            of = step.get("of", "this" if "this" in self.alive else None)
            if of is not None and self.alive.get(of) is None:
                return {"skips": True}
            routine = routine_of(self.alive.get(of), self.owner, step["call"])
            given = self.handed(step, number)
        value = None
        try:
            value = make(step["make"], self.alive) if "make" in step else call(routine, given)
        except (Unmade, MemoryError):
            raise
        except SystemExit as leaving:
            told["exits"] = "exit code %s" % (0 if leaving.code is None else leaving.code)
        except BaseException as problem:
            told["throws"] = problem_of(problem)
        if not told:
            try:
                told["gives"] = describe(value, self.asking, drains=not self.is_used(number))
            except Exception as problem:
                told["throws"] = problem_of(problem)
                told["iterating"] = True
        left = self.changes()
        if left:
            told["leaves"] = left
        if "gives" in told and isinstance(told["gives"], dict) and told["gives"] == self.known.get("this") and self.asking.is_own(type(value)):
            told["gives"] = {"same": "this"}
        self.hand(number, value)
        self.note(step.get("call", "make"), told, left)
        return told

    def handed(self, step, number):
        given = {}
        for name, part in step.get("given", {}).items():
            try:
                given[name] = make(part, self.alive)
            except Unmade:
                raise
            except Exception as problem:
                raise Unmade("what is handed to %s cannot be made: %s: %s" % (step["call"], type(problem).__name__, problem))
            self.hand(number + "." + name, given[name])
        return given

    def is_used(self, name):
        return any(step.get("of") == name for step in self.case.get("before", [])) or '"same": "%s"' % name in json.dumps(self.case)

    def hand(self, name, value):
        if value is not None and not isinstance(value, (bool, int, float, str)):
            self.alive[name] = value
            if not any(each is value for each in self.met) and len(self.met) < MOST_WATCHED:
                self.watch(name, value, describe(value, self.asking))

    def watch(self, name, value, described):
        self.met.append(value)
        self.known[name] = described

    def changes(self):
        left = {}
        for name in list(self.known):
            now = describe(self.alive[name], self.asking)
            was = self.known[name]
            if now != was:
                comparable = isinstance(now, dict) and isinstance(was, dict) and "is" in now and now.get("is") == was.get("is") \
                    and "text" not in now and set(now) == set(was)
                left[name] = {key: now[key] for key in now if key == "is" or now[key] != was[key]} if comparable else now
                self.known[name] = now
        return left

    def pairs(self):
        some = []
        for name, value in self.alive.items():
            if self.asking.is_own(type(value)) and not isinstance(value, type) and len(some) < MOST_COMPARED \
                    and not any(each is value for _, each in some) and "__members__" not in type(value).__dict__:
                some.append((name, value))
        told = {}
        for at, (name, one) in enumerate(some):
            for other_name, other in some[at + 1:]:
                if type(one) is type(other):
                    words = [word for word in (equality(one, other, self.asking), order(one, other, self.asking)) if word]
                    if words:
                        told[name + ", " + other_name] = ", ".join(words)
        return told

    def note_state(self):
        if self.asking.manner == "along" and "this" in self.alive:
            self.states.append(inner_state(self.alive["this"], self.asking))

    def note(self, name, told, left):
        """Coarse numbers of what happens: which step ended how and changed what, alone and after those before it."""
        self.note_state()
        coarse = name + kind_of(told) + str(sorted((each, sorted(left[each]) if isinstance(left[each], dict) else "") for each in left))
        self.features.append(coarse)


def kind_of(told):
    if "throws" in told:
        return "throws " + told["throws"]["is"] + "".join("0" if each.isdigit() else each for each in str(told["throws"].get("message")))
    value = told.get("gives")
    if isinstance(value, bool) or value is None:
        return str(value)
    if isinstance(value, (int, float)):
        return "minus" if value < 0 else "some" if value else "none"
    if isinstance(value, str):
        return "text" if value else "empty"
    if isinstance(value, list):
        return "list %d" % min(3, len(value))
    return " ".join(sorted(value)) + str(value.get("is", value.get("enum", "")))


def feature_numbers(coarse, states):
    """Numbers for what happens; what moves the object counts four at a time, whatever is in between."""
    numbers = set()
    moving = [each for at, each in enumerate(coarse) if at + 1 >= len(states) or states[at] != states[at + 1]]
    for four in itertools.combinations(moving[:7], 4):
        numbers.add(zlib.crc32(" . ".join(four).encode()) & 0x7FFFFFFF)
    for at, each in enumerate(coarse):
        numbers.add(zlib.crc32(each.encode()) & 0x7FFFFFFF)
        for before in range(at):
            numbers.add(zlib.crc32((coarse[before] + (" then " if before == at - 1 else " later ") + each).encode()) & 0x7FFFFFFF)
            for first in range(before):
                numbers.add(zlib.crc32(" ".join((coarse[first], coarse[before], each)).encode()) & 0x7FFFFFFF)
    return sorted(numbers)


def shapes(printed):
    """Printed lines without their numbers and words: blanks and signs are left."""
    return sorted({zlib.crc32(re.sub(r"[^\W\d]+", "a", re.sub(r"\d+", "0", line)).encode()) & 0x7FFFFFFF for line in printed[:12]})


def own_routine(value, name, asking):
    return any(name in each.__dict__ for each in type(value).__mro__ if asking.is_own(each))


def equality(one, other, asking):
    if not own_routine(one, "__eq__", asking):
        return ""
    try:
        if one != other and not one == other:
            return "unequal"
        return "equal" if type(one).__hash__ is None or hash(one) == hash(other) else "equal with other hashes"
    except Exception as problem:
        return "throws " + type(problem).__name__


def order(one, other, asking):
    if not own_routine(one, "__lt__", asking):
        return ""
    try:
        return "before" if one < other else "after" if other < one else "level"
    except Exception as problem:
        return "throws " + type(problem).__name__


def routine_of(receiver, owner, name):
    if receiver is None:
        return find(owner + "." + name)
    if not callable(getattr(receiver, name, None)):
        raise Unmade("%s has no routine %s any more" % (qualified(type(receiver)), name))
    return getattr(receiver, name)


def attempt(case, asking, out, err, scenes=None):
    """What becomes of a case. @scenes a list to add the scene to, for who wants to know more of it"""
    scene = Scene(case, asking)
    if scenes is not None:
        scenes.append(scene)
    try:
        outcome = scene.play()
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
    """Puts the clock ahead, and lets it go on between two readings: what depends on how fast the code runs shows as well."""
    real = datetime.datetime
    readings = itertools.count(1)

    def ahead():
        return AHEAD + next(readings) * STEP

    class Later(real):
        @classmethod
        def now(cls, tz=None):
            return real.now(tz) + ahead()

        @classmethod
        def utcnow(cls):
            return real.utcnow() + ahead()

        @classmethod
        def today(cls):
            return real.today() + ahead()

    class LaterDate(datetime.date):
        @classmethod
        def today(cls):
            return (real.now() + ahead()).date()
    Later.__name__ = Later.__qualname__ = "datetime"
    LaterDate.__name__ = LaterDate.__qualname__ = "date"
    Later.__module__ = LaterDate.__module__ = "datetime"
    datetime.datetime, datetime.date = Later, LaterDate
    for clock in ("time", "monotonic", "perf_counter"):
        setattr(time, clock, (lambda read: lambda: read() + ahead().total_seconds())(getattr(time, clock)))


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
    begun, until = time.process_time(), REAL_CLOCK() + PATIENCE * limit
    thread.join(limit)
    while thread.is_alive() and REAL_CLOCK() < until and time.process_time() - begun < limit:
        thread.join(limit / 20)


def adopt():
    """Lets processes that leave their parent come to this one, where the system can: so they are found and ended."""
    try:
        import ctypes
        ctypes.CDLL(None).prctl(36, 1, 0, 0, 0)
    except Exception:
        return


def descendants():
    """The numbers of all processes that this one or its children started."""
    parents = {}
    for name in os.listdir("/proc"):
        if name.isdigit():
            try:
                with open("/proc/%s/stat" % name, encoding="latin-1") as file:
                    parents[int(name)] = int(file.read().rsplit(")", 1)[-1].split()[1])
            except OSError:
                continue
    found, new = set(), {os.getpid()}
    while new:
        new = {each for each, parent in parents.items() if parent in new and each not in found}
        found |= new
    return found


def end_children():
    """Ends the processes that a case started and left: thousands of cases would fill the machine with them."""
    try:
        for _ in range(20):
            # No child at all, as nearly always, is an error that ends this at once.
            if os.waitpid(-1, os.WNOHANG)[0]:
                continue
            for each in descendants():
                os.kill(each, 9)
            os.waitpid(-1, 0)
    except (AttributeError, OSError):
        return


class Stage:
    """Where cases are run: one after the other, each in a thread of its own with its time limited."""

    # driftwood: leave constructor-work because a stage stands in the folder in which the process began
    def __init__(self, millis):
        self.limit = millis / 1000
        self.process = os.getpid()
        adopt()
        self.work = os.getcwd()
        self.own_folder = not os.listdir(self.work)
        self.built_in, self.path, self.modules = dict(vars(builtins)), list(sys.path), dict(sys.modules)
        self.out, self.err = Kept(), Kept()
        sys.stdout, sys.stderr, sys.stdin = self.out, self.err, io.StringIO("")

    def restore(self):
        """What all code here stands on, where a case took it away."""
        vars(builtins).update(self.built_in)
        sys.path[:] = self.path + [each for each in sys.path if each not in self.path]
        for name, module in self.modules.items():
            sys.modules.setdefault(name, module)
        sys.stdout, sys.stderr = self.out, self.err

    def asking(self, file, paths, manner=None):
        return Asking(file["asks"], file["types"], manner or file["manner"], paths, (self.out, self.err))

    def run(self, case, asking, scenes=None, around=None):
        """What became of a case; None where it did not end. @around begins in the thread and hands back what ends it"""
        told = []

        def work():
            end = around() if around else None
            try:
                told.append(attempt(case, asking, self.out, self.err, scenes))
            finally:
                if end:
                    end()
                if os.getpid() != self.process:
                    os._exit(0)
        self.known = set(threading.enumerate())
        thread = threading.Thread(target=work, daemon=True)
        thread.start()
        wait(thread, self.limit)
        answer = told[0] if told else None
        self.restore()
        end_children()
        if self.own_folder:
            os.makedirs(self.work, exist_ok=True)
            os.chdir(self.work)
            desk(self.work, answer.get("outcome") if answer else None)
        return answer

    def is_haunted(self):
        """Whether threads that the last case started go on computing: they would starve all others."""
        if all(each in self.known for each in threading.enumerate()):
            return False
        begun = time.process_time()
        time.sleep(0.02)
        return time.process_time() - begun > 0.01


def read(name):
    with open(name, encoding="utf-8") as file:
        return json.load(file)


def main(cases_file, outcomes_file, millis, memory, later, paths):
    whole = read(cases_file)
    limit_memory(memory)
    if later:
        move_clock()
    sys.path[:0] = paths
    sys.argv = ["program"]
    stage = Stage(millis)
    asking = stage.asking(whole, paths)
    with open(outcomes_file, "a", encoding="utf-8") as to:
        for case in whole["cases"]:
            to.write(json.dumps({"begin": case["id"]}) + "\n")
            to.flush()
            answer = stage.run(case, asking)
            ended = answer is not None
            answer = answer if ended else {"outcome": {"endless": None}}
            answer["id"] = case["id"]
            to.write(json.dumps(answer) + "\n")
            to.flush()
            if not ended:
                os._exit(ENDLESS)
            if stage.is_haunted():
                os._exit(HAUNTED)
    os._exit(0)


def step_aside():
    """Takes these scripts out of the way of imports: the project may have a module that is called making, too."""
    own = os.path.dirname(os.path.abspath(__file__))
    sys.path[:] = [each for each in sys.path if os.path.abspath(each or ".") != own]
    for name, module in list(sys.modules.items()):
        if name != "__main__" and os.path.dirname(getattr(module, "__file__", None) or "") == own:
            del sys.modules[name]


def begin(program):
    """Runs a program of these scripts; what goes wrong in it ends the process."""
    step_aside()
    threading.stack_size(16 * 1024 * 1024)
    sys.setrecursionlimit(1000)
    try:
        program()
    except Exception:
        traceback.print_exc(file=sys.__stderr__)
        sys.__stderr__.flush()
        os._exit(1)


if __name__ == "__main__":
    begin(lambda: main(sys.argv[1], sys.argv[2], int(sys.argv[3]), int(sys.argv[4]), sys.argv[5] == "1", sys.argv[6:]))
