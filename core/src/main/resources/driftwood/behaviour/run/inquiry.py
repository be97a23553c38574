"""Finds out which routines are queries: those that answer the same twice, and leave everything else as it was.

python3 inquiry.py CASES ANSWERS MILLIS MEMORY_MIB PATH...

CASES     as for witness.py, with candidates for what objects are asked
ANSWERS   file to write the queries to, a line each: "type name"
Each case is played without asking, asking in one order, in the other, and asking twice; where that makes a difference,
the candidates are tried one at a time, then taken in one after the other. Works beside witness.py.
"""
import sys

sys.dont_write_bytecode = True

import json  # noqa: E402
import os
import witness

MOST_STUCK = 6
# Likelier to be queries, and so taken in first.
LIKELY = ("get", "is", "has", "count", "size", "__", "to", "name", "total", "list")


class Inquiry:
    def __init__(self, stage, whole, paths):
        self.stage, self.whole, self.paths = stage, whole, paths
        self.rejected, self.seen, self.stuck = set(), [], 0

    def play(self, case, queries, manner):
        asks = {each: [] for each in self.whole["asks"]}
        for each in queries:
            owner, name = each.split(" ", 1)
            asks.setdefault(owner, []).append(name)
        asking = self.stage.asking({"asks": asks, "types": self.whole["types"]}, self.paths, manner)
        told = self.stage.run(case, asking)
        self.stuck += told is None
        return told, asking

    def about(self, case):
        alone, _ = self.play(case, [], "never")
        again, _ = self.play(case, [], "never")
        if alone is None or alone != again or "unmade" in alone:
            return
        everything = [each + " " + name for each in self.whole["asks"] for name in self.whole["asks"][each]
                      if each + " " + name not in self.rejected]
        _, asking = self.play(case, everything, "along")
        self.seen += [each for each in asking.asked if each not in self.seen]
        self.rejected |= asking.loud
        open_ = [each for each in asking.asked if each not in self.rejected]
        if not open_ or not self.disturbs(case, alone, open_):
            return
        for each in open_:
            if self.disturbs(case, alone, [each]):
                self.rejected.add(each)
        open_ = sorted((each for each in open_ if each not in self.rejected),
                       key=lambda each: (not each.split(" ")[1].startswith(LIKELY), each))
        if self.disturbs(case, alone, open_):
            taken = []
            for each in open_:
                if self.disturbs(case, alone, taken + [each]):
                    self.rejected.add(each)
                else:
                    taken.append(each)

    def disturbs(self, case, alone, queries):
        along = self.play(case, queries, "along")[0]
        if along is None or bare(along) != bare(alone):
            return True
        return along != self.play(case, queries, "backwards")[0] or along != self.play(case, queries, "twice")[0]


def bare(told):
    """What happens without any answers: how each step ended, and what was printed."""
    outcome = dict(told.get("outcome", told))
    outcome.pop("starts", None)
    return json.dumps([plain(step) for step in outcome.pop("before", [])] + [plain(outcome)], sort_keys=True)


def plain(step):
    return {key: "thing" if key == "gives" and isinstance(value, (dict, list)) else value for key, value in step.items() if key != "leaves"}


def main(cases_file, answers_file, millis, memory, paths):
    whole = witness.read(cases_file)
    witness.limit_memory(memory)
    sys.path[:0] = paths
    sys.argv = ["program"]
    inquiry = Inquiry(witness.Stage(millis), whole, paths)
    for case in whole["cases"]:
        if inquiry.stuck < MOST_STUCK:
            inquiry.about(case)
    with open(answers_file, "w", encoding="utf-8") as to:
        to.writelines(each + "\n" for each in inquiry.seen if each not in inquiry.rejected)
    os._exit(0)


if __name__ == "__main__":
    witness.begin(lambda: main(sys.argv[1], sys.argv[2], int(sys.argv[3]), int(sys.argv[4]), sys.argv[5:]))
