import type { Vessel } from './vessels';

/** Somebody who may bring vessels in, up to a tonnage. */
export class Pilot {
  constructor(readonly name: string, readonly most: number) {}

  fee(): number {
    return 40 + this.name.length;
  }
}

/** Who is on duty. */
export class PilotRoster {
  private readonly onDuty: Pilot[] = [];

  report(pilot: Pilot): void {
    this.onDuty.push(pilot);
  }

  pilotFor(vessel: Vessel): Pilot | undefined {
    return this.onDuty.find(pilot => vessel.tonnage <= pilot.most);
  }
}

/** Takes vessels in. */
export class ArrivalDesk {
  private readonly waiting: Vessel[] = [];

  constructor(private readonly roster: PilotRoster) {}

  admit(vessel: Vessel): number {
    const pilot = this.roster.pilotFor(vessel);
    if (pilot === undefined) {
      this.waiting.push(vessel);
      return 0;
    }
    return pilot.fee();
  }

  bill(vessel: Vessel): number {
    return this.roster.pilotFor(vessel)?.fee() ?? 15;
  }

  rush(vessel: Vessel): number {
    return this.roster.pilotFor(vessel)!.fee() * 2;
  }
}
