import { openSync, writeSync } from 'node:fs';
import { Kind, type Vessel } from './vessels';

/** What happened, on disk. */
export class HarbourLog {
  private readonly out: number;

  constructor() {
    this.out = openSync('harbour.log', 'a');
  }

  note(vessel: Vessel): void {
    writeSync(this.out, vessel.name + '\n');
  }
}

export class Ledger {
  total = 0;

  book(vessel: Vessel): void {
    this.total += vessel.tonnage;
  }
}

export class SignalTower {
  shown = '';

  announce(vessel: Vessel): void {
    this.shown = vessel.name;
  }
}

abstract class Permit {
  constructor(protected readonly vessel: Vessel) {}

  abstract fee(): number;
}

class HeavyPermit extends Permit {
  fee(): number {
    return 100 + Math.floor(this.vessel.tonnage / 4);
  }
}

class LightPermit extends Permit {
  fee(): number {
    return 15;
  }
}

/** Where all of it comes together. */
export class HarbourOffice {
  private readonly log = new HarbourLog();
  private readonly moored: Vessel[] = [];
  private readonly permits: Permit[] = [];

  constructor(private readonly ledger: Ledger, private readonly tower: SignalTower) {}

  arrive(vessel: Vessel): void {
    this.moored.push(vessel);
    this.ledger.book(vessel);
    this.tower.announce(vessel);
    this.log.note(vessel);
  }

  permit(vessel: Vessel): number {
    let permit: Permit;
    if (vessel.tonnage > 500) {
      permit = new HeavyPermit(vessel);
    } else {
      permit = new LightPermit(vessel);
    }
    this.permits.push(permit);
    return permit.fee();
  }

  berth(vessel: Vessel, row: number, place: number, tidal: boolean, tug: boolean, nights: number): string {
    return `${vessel.name}:${row}/${place} ${tidal ? 'tidal ' : ''}${tug ? 'tug ' : ''}${nights}`;
  }
}

export class NightWatch {
  private readonly log = new HarbourLog();

  round(vessel: Vessel): void {
    if (vessel.kind !== Kind.Yacht) {
      this.log.note(vessel);
    }
  }
}
