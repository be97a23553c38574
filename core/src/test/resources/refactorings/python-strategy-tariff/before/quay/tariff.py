class Tariff:
    def __init__(self):
        self._kind = "day"
        self._sold = []

    def choose(self, kind: str) -> None:
        if kind not in ("day", "week", "member"):
            raise KeyError(kind)
        self._kind = kind

    def sell(self, metres: int, tidal: bool) -> int:
        if self._kind == "day":
            price = 4 * metres
        elif self._kind == "week":
            price = 20 * metres if metres <= 12 else 18 * metres
        else:
            price = 2 * metres if tidal else 3 * metres
        self._sold.append(price)
        return price

    def takings(self) -> int:
        return sum(self._sold)
