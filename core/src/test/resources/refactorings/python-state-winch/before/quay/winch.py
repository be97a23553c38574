class Winch:
    def __init__(self, cable: int):
        self._state = "idle"
        self._cable = cable
        self._out = 0
        self._jams = 0

    def lower(self, metres: int) -> None:
        if self._state == "jammed":
            raise RuntimeError("jammed")
        if metres < 0:
            raise ValueError("metres")
        if self._state == "hauling":
            self._state = "jammed"
            self._jams += 1
            return
        self._out = min(self._cable, self._out + metres)
        self._state = "lowering"

    def haul(self, metres: int) -> int:
        if self._state == "jammed":
            return 0
        if self._state == "lowering":
            self._state = "idle"
            return 0
        self._state = "hauling"
        done = min(metres, self._out)
        self._out -= done
        if self._out == 0:
            self._state = "idle"
        return done

    def free(self) -> None:
        if self._state == "jammed":
            self._state = "idle"
            print("freed after %d jams" % self._jams)

    def out(self) -> int:
        return self._out
