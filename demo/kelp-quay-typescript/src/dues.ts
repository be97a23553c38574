import { Kind, type Vessel } from './vessels';

/** What a stay costs, in whole crowns. */
export class HarbourDues {
  constructor(private readonly nightRate = 90) {}

  quote(vessel: Vessel, nights: number): number {
    switch (vessel.kind) {
      case Kind.Tug: {
        const base = nights * this.nightRate;
        return Math.floor(base / 2);
      }
      case Kind.Tanker: {
        const extra = vessel.hazardous ? 200 : 0;
        return nights * (this.nightRate + extra);
      }
      default:
        return nights * this.nightRate;
    }
  }

  lineUp(vessel: Vessel, queue: Vessel[]): void {
    if (vessel.kind === Kind.Tug) {
      queue.unshift(vessel);
    } else if (vessel.kind === Kind.Tanker) {
      queue.splice(1, 0, vessel);
    } else {
      queue.push(vessel);
    }
  }

  surcharge(vessel: Vessel, holiday: boolean): number {
    if (holiday) {
      return this.nightRate * 2 + Math.floor(vessel.tonnage / 10);
    }
    return Math.floor(this.nightRate / 4);
  }
}

export const estimate = (dues: HarbourDues, vessel: Vessel): number =>
  dues.quote(vessel, 3) + dues.surcharge(vessel, false);
export const holidayEstimate = (dues: HarbourDues, vessel: Vessel): number =>
  dues.quote(vessel, 3) + dues.surcharge(vessel, true);
