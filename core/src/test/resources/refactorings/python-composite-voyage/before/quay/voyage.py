class Voyage:
    def __init__(self, name: str):
        self._name = name
        self._parts = []

    def leg(self, miles: int) -> None:
        if miles <= 0:
            raise ValueError(miles)
        self._parts.append(miles)

    def detour(self, first: int, second: int) -> None:
        self._parts.append([first, second])

    def miles(self) -> int:
        total = 0
        for part in self._parts:
            if isinstance(part, list):
                total += sum(part)
            else:
                total += part
        return total

    def longest(self) -> int:
        longest = 0
        for part in self._parts:
            longest = max(longest, sum(part) if isinstance(part, list) else part)
        return longest

    def __str__(self) -> str:
        return self._name + ": " + ", ".join("+".join(map(str, part)) if isinstance(part, list) else str(part) for part in self._parts)
