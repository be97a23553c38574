class _Permit:
    def __init__(self, head):
        self._head = head

    def text(self):
        return self._head + " light"


class _Hazard(_Permit):
    def text(self):
        return self._head + " hazard, escort"


class _Heavy(_Permit):
    def __init__(self, head, tons):
        super().__init__(head)
        self._axles = tons // 100

    def text(self):
        return "%s heavy, %d axles" % (self._head, self._axles)


def _permit(head, tons, hazardous):
    if hazardous:
        return _Hazard(head)
    return _Heavy(head, tons) if tons > 500 else _Permit(head)


class PermitDesk:
    def __init__(self, prefix: str = "KQ"):
        self._letters = prefix
        self._last = 0
        self._turned_away = ()

    def issue(self, tons: int, hazardous: bool) -> str:
        if tons <= 0:
            self._turned_away += (tons,)
            raise ValueError("no cargo")
        self._last += 1
        return _permit("%s-%d" % (self._letters, self._last), tons, hazardous).text()

    def renew(self, number: int) -> str:
        if not 1 <= number <= self._last:
            raise LookupError(number)
        return "%s-%d renewed" % (self._letters, number)

    def refused(self) -> list:
        return list(self._turned_away)
