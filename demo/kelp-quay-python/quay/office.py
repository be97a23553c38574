"""Where all of it comes together."""
from quay.vessels import Kind, Vessel


class HarbourLog:
    def __init__(self):
        self.out = open("harbour.log", "a")

    def note(self, vessel: Vessel) -> None:
        self.out.write(vessel.name + "\n")


class Ledger:
    def __init__(self):
        self.total = 0

    def book(self, vessel: Vessel) -> None:
        self.total += vessel.tonnage


class SignalTower:
    def __init__(self):
        self.shown = ""

    def announce(self, vessel: Vessel) -> None:
        self.shown = vessel.name


class Permit:
    def __init__(self, vessel: Vessel):
        self.vessel = vessel


class HeavyPermit(Permit):
    pass


class LightPermit(Permit):
    pass


class HarbourOffice:
    def __init__(self, ledger: Ledger, tower: SignalTower):
        self.ledger = ledger
        self.tower = tower
        self.log = HarbourLog()
        self.moored: list[Vessel] = []
        self.permits: list[Permit] = []

    def arrive(self, vessel: Vessel) -> None:
        self.moored.append(vessel)
        self.ledger.book(vessel)
        self.tower.announce(vessel)
        self.log.note(vessel)

    def permit(self, vessel: Vessel) -> None:
        if vessel.tonnage > 500:
            permit = HeavyPermit(vessel)
        else:
            permit = LightPermit(vessel)
        self.permits.append(permit)

    def berth(self, vessel: Vessel, row: int, place: int, tidal: bool, tug: bool, nights: int) -> str:
        return f"{vessel.name}:{row}/{place} {tidal} {tug} {nights}"


class NightWatch:
    def __init__(self):
        self.log = HarbourLog()

    def round(self, vessel: Vessel) -> None:
        if vessel.kind is not Kind.YACHT:
            self.log.note(vessel)
