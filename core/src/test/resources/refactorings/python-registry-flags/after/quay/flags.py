_FLAGS = {"pilot": "H", "quarantine": "Q", "fire": "J"}


class FlagLocker:
    def __init__(self):
        self._mast = {}

    def hoist(self, word: str) -> str:
        flag = _FLAGS.get(word)
        if flag is None and word.startswith("number "):
            flag = "N" + word[len("number "):]
        if flag is None:
            raise KeyError("no flag for " + word)
        if flag in self._mast:
            return "already " + flag
        self._mast[flag] = len(self._mast)
        return flag

    def lower(self) -> str:
        return self._mast.popitem()[0] if self._mast else ""

    def signal(self) -> str:
        return "-".join(self._mast)
