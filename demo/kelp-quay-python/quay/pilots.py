"""Who may bring a vessel in."""
from typing import Optional

from quay.vessels import Vessel


class Pilot:
    def __init__(self, name: str, most: int):
        self.name = name
        self.most = most

    def fee(self) -> int:
        return 40 + len(self.name)


class PilotRoster:
    def __init__(self):
        self.on_duty: list[Pilot] = []

    def pilot_for(self, vessel: Vessel) -> Optional[Pilot]:
        for pilot in self.on_duty:
            if vessel.tonnage <= pilot.most:
                return pilot
        return None


class ArrivalDesk:
    def __init__(self, roster: PilotRoster):
        self.roster = roster
        self.waiting: list[Vessel] = []

    def admit(self, vessel: Vessel) -> int:
        pilot = self.roster.pilot_for(vessel)
        if pilot is None:
            self.waiting.append(vessel)
            return 0
        return pilot.fee()

    def bill(self, vessel: Vessel) -> int:
        pilot = self.roster.pilot_for(vessel)
        return pilot.fee() if pilot is not None else 15

    def rush(self, vessel: Vessel) -> int:
        return self.roster.pilot_for(vessel).fee() * 2
