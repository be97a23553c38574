class Guides:
    def __init__(self, most: int):
        self._guide = None
        self._most = most
        self._tours = 0

    def hire(self, name: str, fee: int) -> None:
        self._guide = (name, fee)

    def dismiss(self) -> None:
        self._guide = None

    def tour(self, people: int) -> int:
        if people > self._most:
            raise ValueError("too many: %d" % people)
        self._tours += 1
        if self._guide is None:
            print("on your own")
            return 0
        name, fee = self._guide
        print(name + " leads")
        return fee * people if people < 10 else fee * people - fee

    def tours(self) -> int:
        return self._tours
