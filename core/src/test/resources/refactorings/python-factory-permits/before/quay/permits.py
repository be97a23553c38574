class PermitDesk:
    def __init__(self, prefix: str = "KQ"):
        self._prefix = prefix
        self._issued = 0
        self._refused = []

    def issue(self, tons: int, hazardous: bool) -> str:
        if tons <= 0:
            self._refused.append(tons)
            raise ValueError("no cargo")
        self._issued += 1
        if hazardous:
            return "%s-%d hazard, escort" % (self._prefix, self._issued)
        if tons > 500:
            return "%s-%d heavy, %d axles" % (self._prefix, self._issued, tons // 100)
        return "%s-%d light" % (self._prefix, self._issued)

    def renew(self, number: int) -> str:
        if number < 1 or number > self._issued:
            raise LookupError(number)
        return "%s-%d renewed" % (self._prefix, number)

    def refused(self) -> list:
        return list(self._refused)
