import * as fs from 'fs';
export enum Kind { Tug, Tanker, Yacht }
export interface Vessel { kind: Kind; length: number; tonnage: number; }
class Pilot { constructor(private fee: number, readonly name: string) {} cost(n: number) { return this.fee * n; } }
export class PilotRoster {
  private pilots: Pilot[] = [];
  constructor() { this.pilots = JSON.parse(fs.readFileSync('pilots.json', 'utf8')); }
  find(name: string): Pilot | null {
    for (const each of this.pilots) { if (each.name === name) { return each; } }
    return null;
  }
}
export class Dues {
  private roster = new PilotRoster();
  private quoted = 0;
  quote(vessel: Vessel): number {
    switch (vessel.kind) {
      case Kind.Tug: this.quoted++; return vessel.length * 2;
      case Kind.Tanker: this.quoted += 2; return vessel.tonnage * 3 + vessel.length;
      default: return 10;
    }
  }
  guide(name: string) { const p = this.roster.find(name); if (p === null) { return 0; } return p.cost(3); }
  call(name: string) { const p = this.roster.find(name); return p == null ? 'none' : p.name; }
  tell(name: string) { const p = this.roster.find(name); if (p) { this.quoted += p.cost(1); } }
}
export class Crate { parts: (Crate | Barrel)[] = []; }
export class Barrel { weight = 3; }
export function weigh(all: (Crate | Barrel)[]): number {
  let sum = 0;
  for (const each of all) {
    if (each instanceof Crate) { sum += weigh(each.parts); } else { sum += each.weight; }
  }
  return sum;
}
