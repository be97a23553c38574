class _Leg:
    def __init__(self, miles):
        self._length = miles

    def miles(self):
        return self._length

    def text(self):
        return str(self._length)


class _Detour:
    def __init__(self, *miles):
        self._legs = [_Leg(each) for each in miles]

    def miles(self):
        return sum(each.miles() for each in self._legs)

    def text(self):
        return "+".join(each.text() for each in self._legs)


class Voyage:
    def __init__(self, name: str):
        self._title = name
        self._course = []

    def leg(self, miles: int) -> None:
        if miles <= 0:
            raise ValueError(miles)
        self._course.append(_Leg(miles))

    def detour(self, first: int, second: int) -> None:
        self._course.append(_Detour(first, second))

    def miles(self) -> int:
        return sum(each.miles() for each in self._course)

    def longest(self) -> int:
        return max([0] + [each.miles() for each in self._course])

    def __str__(self) -> str:
        return self._title + ": " + ", ".join(each.text() for each in self._course)
