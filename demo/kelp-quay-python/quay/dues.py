"""What a stay costs."""
from quay.vessels import Kind, Vessel


class HarbourDues:
    def __init__(self, night_rate: int = 90):
        self.night_rate = night_rate

    def quote(self, vessel: Vessel, nights: int) -> int:
        if vessel.kind == Kind.TUG:
            base = nights * self.night_rate
            return base // 2
        elif vessel.kind == Kind.TANKER:
            extra = 200 if vessel.hazardous else 0
            return nights * (self.night_rate + extra)
        return nights * self.night_rate

    def priority(self, vessel: Vessel, queue: list) -> None:
        match vessel.kind:
            case Kind.TUG:
                queue.insert(0, vessel)
            case Kind.TANKER if vessel.hazardous:
                queue.insert(1, vessel)
            case _:
                queue.append(vessel)

    def surcharge(self, vessel: Vessel, holiday: bool) -> int:
        if holiday:
            return self.night_rate * 2 + vessel.tonnage // 10
        else:
            return self.night_rate // 4


def estimate(dues: HarbourDues, vessel: Vessel) -> int:
    return dues.quote(vessel, 3) + dues.surcharge(vessel, False)


def holiday_estimate(dues: HarbourDues, vessel: Vessel) -> int:
    return dues.quote(vessel, 3) + dues.surcharge(vessel, True)
