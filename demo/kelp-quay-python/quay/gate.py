"""The lock gate: shut, turning or open."""


class LockGate:
    def __init__(self):
        self.position = "shut"
        self.turns = 0

    def push(self) -> None:
        if self.position == "shut":
            self.position = "turning"
            self.turns += 1
        elif self.position == "turning":
            self.position = "open"
        elif self.position == "open":
            self.position = "shut"
            self.turns += 1

    def toll(self, tonnage: int) -> int:
        if self.position == "open":
            return tonnage * 2 + self.turns
        elif self.position == "turning":
            return tonnage * 3 + self.turns
        return 0
