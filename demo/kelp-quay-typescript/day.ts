// One day at Kelp Quay, told line by line: npx tsx day.ts [NIGHTS]
import { Kind, type Vessel } from './src/vessels';
import { HarbourDues } from './src/dues';
import { LockGate } from './src/gate';
import { Pilot, PilotRoster, ArrivalDesk } from './src/pilots';

const nights = Number(process.argv[2] ?? 3);
const roster = new PilotRoster();
roster.report(new Pilot('Mira', 300));
roster.report(new Pilot('Odd', 2000));
const desk = new ArrivalDesk(roster);
const dues = new HarbourDues();
const gate = new LockGate();
const vessels: Vessel[] = [{ name: 'Patience', kind: Kind.Tug, tonnage: 150 },
  { name: 'Grey Heron', kind: Kind.Tanker, tonnage: 1800, hazardous: true },
  { name: 'Nonsuch', kind: Kind.Yacht, tonnage: 12 }, { name: 'Leviathan', kind: Kind.Tanker, tonnage: 9000 }];
for (const vessel of vessels) {
  gate.push();
  console.log(`${vessel.name}: dues ${dues.quote(vessel, nights)}, pilot ${desk.admit(vessel)}, `
    + `bill ${desk.bill(vessel)}, toll ${gate.toll(vessel.tonnage)}`);
}
