class Gauge:
    def __init__(self):
        self._readings = []
        self._alarms = 0
        self._low = None

    def read(self, level: int) -> None:
        self._readings.append(level)
        if level > 300:
            self._alarms += 1
            print("alarm %d at %d" % (self._alarms, level))
        if self._low is None or level < self._low:
            self._low = level
            print("lowest %d" % level)

    def mean(self) -> float:
        return sum(self._readings) / len(self._readings) if self._readings else 0.0

    def alarms(self) -> int:
        return self._alarms
