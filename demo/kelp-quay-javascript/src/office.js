'use strict';

const fs = require('fs');

/** What happened, on disk. */
class HarbourLog {
  constructor() {
    this.out = fs.openSync('harbour.log', 'a');
  }

  note(vessel) {
    fs.writeSync(this.out, vessel.name + '\n');
  }
}

class Ledger {
  constructor() {
    this.total = 0;
  }

  book(vessel) {
    this.total += vessel.tonnage;
  }
}

class SignalTower {
  constructor() {
    this.shown = '';
  }

  announce(vessel) {
    this.shown = vessel.name;
  }
}

class Permit {
  constructor(vessel) {
    this.vessel = vessel;
  }
}

class HeavyPermit extends Permit {
  fee() {
    return 100 + Math.floor(this.vessel.tonnage / 4);
  }
}

class LightPermit extends Permit {
  fee() {
    return 15;
  }
}

/** Where all of it comes together. */
class HarbourOffice {
  /**
   * @param {Ledger} ledger
   * @param {SignalTower} tower
   */
  constructor(ledger, tower) {
    this.ledger = ledger;
    this.tower = tower;
    this.log = new HarbourLog();
    this.moored = [];
    this.permits = [];
  }

  arrive(vessel) {
    this.moored.push(vessel);
    this.ledger.book(vessel);
    this.tower.announce(vessel);
    this.log.note(vessel);
  }

  permit(vessel) {
    let permit;
    if (vessel.tonnage > 500) {
      permit = new HeavyPermit(vessel);
    } else {
      permit = new LightPermit(vessel);
    }
    this.permits.push(permit);
    return permit.fee();
  }

  berth(vessel, row, place, tidal, tug, nights) {
    return `${vessel.name}:${row}/${place} ${tidal ? 'tidal ' : ''}${tug ? 'tug ' : ''}${nights}`;
  }
}

class NightWatch {
  constructor() {
    this.log = new HarbourLog();
  }

  round(vessel) {
    if (vessel.kind !== 'yacht') {
      this.log.note(vessel);
    }
  }
}

module.exports = { HarbourLog, Ledger, SignalTower, HarbourOffice, NightWatch };
