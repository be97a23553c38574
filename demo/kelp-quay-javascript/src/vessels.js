'use strict';

/** The kinds of vessels that call at Kelp Quay. */
const Kind = Object.freeze({ TUG: 'tug', TANKER: 'tanker', YACHT: 'yacht' });

/** A vessel, as the office knows it. */
class Vessel {
  constructor(name, kind, { tonnage = 0, hazardous = false } = {}) {
    this.name = name;
    this.kind = kind;
    this.tonnage = tonnage;
    this.hazardous = hazardous;
  }
}

/** Something in a hold. */
class Cargo {
  constructor(weight) {
    this.weight = weight;
  }
}

class Sack extends Cargo {}

/** Holds other cargo. */
class Crate extends Cargo {
  constructor(weight, contents) {
    super(weight);
    this.contents = contents;
  }
}

/** Pounds of everything in a hold. */
function weigh(hold) {
  let total = 0;
  for (const cargo of hold) {
    if (cargo instanceof Crate) {
      total += weigh(cargo.contents);
    } else {
      total += cargo.weight;
    }
  }
  return total;
}

module.exports = { Kind, Vessel, Cargo, Sack, Crate, weigh };
