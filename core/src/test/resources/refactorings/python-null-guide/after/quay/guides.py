class _Guide:
    def __init__(self, name, fee):
        self._called = name
        self._price = fee

    def lead(self, people):
        print(self._called + " leads")
        return self._price * (people if people < 10 else people - 1)


class _Nobody:
    def lead(self, people):
        print("on your own")
        return 0


_NOBODY = _Nobody()


class Guides:
    def __init__(self, most: int):
        self._leader = _NOBODY
        self._limit = most
        self._count = 0

    def hire(self, name: str, fee: int) -> None:
        self._leader = _Guide(name, fee)

    def dismiss(self) -> None:
        self._leader = _NOBODY

    def tour(self, people: int) -> int:
        if people > self._limit:
            raise ValueError("too many: %d" % people)
        self._count += 1
        return self._leader.lead(people)

    def tours(self) -> int:
        return self._count
