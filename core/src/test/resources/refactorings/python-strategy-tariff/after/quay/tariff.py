def _day(metres, tidal):
    return 4 * metres


def _week(metres, tidal):
    return (20 if metres <= 12 else 18) * metres


def _member(metres, tidal):
    return (2 if tidal else 3) * metres


_RATES = {"day": _day, "week": _week, "member": _member}


class Tariff:
    def __init__(self):
        self._rate = _day
        self._total = 0

    def choose(self, kind: str) -> None:
        if kind not in _RATES:
            raise KeyError(kind)
        self._rate = _RATES[kind]

    def sell(self, metres: int, tidal: bool) -> int:
        price = self._rate(metres, tidal)
        self._total += price
        return price

    def takings(self) -> int:
        return self._total
