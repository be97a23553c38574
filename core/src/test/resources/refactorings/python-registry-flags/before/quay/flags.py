class FlagLocker:
    def __init__(self):
        self._hoisted = []

    def hoist(self, word: str) -> str:
        if word == "pilot":
            flag = "H"
        elif word == "quarantine":
            flag = "Q"
        elif word == "fire":
            flag = "J"
        elif word.startswith("number "):
            flag = "N" + word[7:]
        else:
            raise KeyError("no flag for " + word)
        if flag in self._hoisted:
            return "already " + flag
        self._hoisted.append(flag)
        return flag

    def lower(self) -> str:
        return self._hoisted.pop() if self._hoisted else ""

    def signal(self) -> str:
        return "-".join(self._hoisted)
