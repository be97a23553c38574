'use strict';

// One day at Kelp Quay, told line by line: node day.js [NIGHTS]
const { Kind, Vessel } = require('./src/vessels');
const { HarbourDues } = require('./src/dues');
const { LockGate } = require('./src/gate');
const { Pilot, PilotRoster, ArrivalDesk } = require('./src/pilots');

const nights = Number(process.argv[2] ?? 3);
const roster = new PilotRoster();
roster.report(new Pilot('Mira', 300));
roster.report(new Pilot('Odd', 2000));
const desk = new ArrivalDesk(roster);
const dues = new HarbourDues();
const gate = new LockGate();
const vessels = [new Vessel('Patience', Kind.TUG, { tonnage: 150 }),
  new Vessel('Grey Heron', Kind.TANKER, { tonnage: 1800, hazardous: true }),
  new Vessel('Nonsuch', Kind.YACHT, { tonnage: 12 }), new Vessel('Leviathan', Kind.TANKER, { tonnage: 9000 })];
for (const vessel of vessels) {
  gate.push();
  console.log(`${vessel.name}: dues ${dues.quote(vessel, nights)}, pilot ${desk.admit(vessel)}, `
    + `bill ${desk.bill(vessel)}, toll ${gate.toll(vessel.tonnage)}`);
}
