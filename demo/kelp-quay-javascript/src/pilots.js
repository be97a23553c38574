'use strict';

/** Somebody who may bring vessels in, up to a tonnage. */
class Pilot {
  constructor(name, most) {
    this.name = name;
    this.most = most;
  }

  fee() {
    return 40 + this.name.length;
  }
}

/** Who is on duty. */
class PilotRoster {
  constructor() {
    this.onDuty = [];
  }

  report(pilot) {
    this.onDuty.push(pilot);
  }

  /** @returns {Pilot|null} */
  pilotFor(vessel) {
    for (const pilot of this.onDuty) {
      if (vessel.tonnage <= pilot.most) {
        return pilot;
      }
    }
    return null;
  }
}

/** Takes vessels in. */
class ArrivalDesk {
  /** @param {PilotRoster} roster */
  constructor(roster) {
    this.roster = roster;
    this.waiting = [];
  }

  admit(vessel) {
    const pilot = this.roster.pilotFor(vessel);
    if (pilot === null) {
      this.waiting.push(vessel);
      return 0;
    }
    return pilot.fee();
  }

  bill(vessel) {
    const pilot = this.roster.pilotFor(vessel);
    return pilot ? pilot.fee() : 15;
  }

  rush(vessel) {
    return this.roster.pilotFor(vessel).fee() * 2;
  }
}

module.exports = { Pilot, PilotRoster, ArrivalDesk };
