"""Who comes in, and what it carries."""
from dataclasses import dataclass
from enum import Enum


class Kind(Enum):
    TUG = "tug"
    TANKER = "tanker"
    YACHT = "yacht"


@dataclass
class Vessel:
    name: str
    kind: Kind
    tonnage: int = 0
    hazardous: bool = False


class Cargo:
    def __init__(self, weight: int):
        self.weight = weight


class Sack(Cargo):
    pass


class Crate(Cargo):
    def __init__(self, weight: int, contents: list[Cargo]):
        super().__init__(weight)
        self.contents = contents


def weigh(hold: list[Cargo]) -> int:
    total = 0
    for cargo in hold:
        if isinstance(cargo, Crate):
            total += weigh(cargo.contents)
        else:
            total += cargo.weight
    return total
