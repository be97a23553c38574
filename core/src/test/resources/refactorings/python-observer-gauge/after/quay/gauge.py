class _Alarm:
    def __init__(self):
        self._rung = 0

    def heard(self, level):
        if level > 300:
            self._rung += 1
            print("alarm %d at %d" % (self._rung, level))


class _Lowest:
    def __init__(self):
        self._known = []

    def heard(self, level):
        if not self._known or level < self._known[-1]:
            self._known.append(level)
            print("lowest %d" % level)


class Gauge:
    def __init__(self):
        self._total = 0
        self._count = 0
        self._alarm = _Alarm()
        self._ears = [self._alarm, _Lowest()]

    def read(self, level: int) -> None:
        self._total += level
        self._count += 1
        for each in self._ears:
            each.heard(level)

    def mean(self) -> float:
        return self._total / self._count if self._count else 0.0

    def alarms(self) -> int:
        return self._alarm._rung
