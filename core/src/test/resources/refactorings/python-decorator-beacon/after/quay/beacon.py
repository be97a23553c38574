class _Lamp:
    def __init__(self):
        self._used = 0
        self._out = False

    def flash(self, strength):
        self._used += 1
        self._out = self._used % 5 == 0
        return "*" * strength


class _Limit:
    def __init__(self, inner, most):
        self._inner = inner
        self._most = most

    def flash(self, strength):
        if strength < 0:
            raise ValueError("strength")
        return self._inner.flash(min(strength, self._most))


class _Shade:
    def __init__(self, inner):
        self._inner = inner
        self._drawn = False

    def flash(self, strength):
        return self._inner.flash(strength // 2 if self._drawn else strength)


class Beacon:
    def __init__(self, power: int = 6):
        self._lamp = _Lamp()
        self._shade = _Shade(self._lamp)
        self._light = _Limit(self._shade, power)

    def dim(self, on: bool) -> None:
        self._shade._drawn = on

    def flash(self, strength: int) -> str:
        return "dark" if self._lamp._out else self._light.flash(strength)

    def repair(self) -> None:
        self._lamp._out = False

    @property
    def flashes(self) -> int:
        return self._lamp._used
