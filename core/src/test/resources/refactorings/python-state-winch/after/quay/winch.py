class _Idle:
    def lower(self, winch, metres):
        winch._paid = min(winch._length, winch._paid + metres)
        return _Lowering()

    def haul(self, winch, metres):
        done = min(metres, winch._paid)
        winch._paid -= done
        return (_Idle() if winch._paid == 0 else _Hauling()), done


class _Lowering(_Idle):
    def haul(self, winch, metres):
        return _Idle(), 0


class _Hauling(_Idle):
    def lower(self, winch, metres):
        winch._stuck += 1
        return _Jammed()


class _Jammed:
    def lower(self, winch, metres):
        raise RuntimeError("jammed")

    def haul(self, winch, metres):
        return self, 0


class Winch:
    def __init__(self, cable: int):
        self._mode = _Idle()
        self._length = cable
        self._paid = 0
        self._stuck = 0

    def lower(self, metres: int) -> None:
        if metres < 0 and not isinstance(self._mode, _Jammed):
            raise ValueError("metres")
        self._mode = self._mode.lower(self, metres)

    def haul(self, metres: int) -> int:
        self._mode, done = self._mode.haul(self, metres)
        return done

    def free(self) -> None:
        if isinstance(self._mode, _Jammed):
            self._mode = _Idle()
            print("freed after %d jams" % self._stuck)

    def out(self) -> int:
        return self._paid
