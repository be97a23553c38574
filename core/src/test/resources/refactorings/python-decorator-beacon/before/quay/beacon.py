class Beacon:
    def __init__(self, power: int = 6):
        self._power = power
        self._dimmed = False
        self._flashes = 0
        self._broken = False

    def dim(self, on: bool) -> None:
        self._dimmed = on

    def flash(self, strength: int) -> str:
        if self._broken:
            return "dark"
        if strength < 0:
            raise ValueError("strength")
        shown = min(strength, self._power)
        if self._dimmed:
            shown = shown // 2
        self._flashes += 1
        if self._flashes % 5 == 0:
            self._broken = True
        return "*" * shown

    def repair(self) -> None:
        self._broken = False

    @property
    def flashes(self) -> int:
        return self._flashes
