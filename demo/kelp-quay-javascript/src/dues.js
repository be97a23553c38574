'use strict';

const { Kind } = require('./vessels');

/** What a stay costs, in whole crowns. */
class HarbourDues {
  constructor(nightRate = 90) {
    this.nightRate = nightRate;
  }

  quote(vessel, nights) {
    switch (vessel.kind) {
      case Kind.TUG: {
        const base = nights * this.nightRate;
        return Math.floor(base / 2);
      }
      case Kind.TANKER: {
        const extra = vessel.hazardous ? 200 : 0;
        return nights * (this.nightRate + extra);
      }
      default:
        return nights * this.nightRate;
    }
  }

  lineUp(vessel, queue) {
    if (vessel.kind === Kind.TUG) {
      queue.unshift(vessel);
    } else if (vessel.kind === Kind.TANKER) {
      queue.splice(1, 0, vessel);
    } else {
      queue.push(vessel);
    }
  }

  surcharge(vessel, holiday = false) {
    if (holiday) {
      return this.nightRate * 2 + Math.floor(vessel.tonnage / 10);
    }
    return Math.floor(this.nightRate / 4);
  }
}

const estimate = (dues, vessel) => dues.quote(vessel, 3) + dues.surcharge(vessel);
const holidayEstimate = (dues, vessel) => dues.quote(vessel, 3) + dues.surcharge(vessel, true);

module.exports = { HarbourDues, estimate, holidayEstimate };
