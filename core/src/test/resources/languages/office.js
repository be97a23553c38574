class Berth { constructor(name, length, depth, tidal) { this.name = name; this.length = length; this.depth = depth; this.tidal = tidal; } }
class Gate {
  constructor() { this.state = 'closed'; }
  open() { if (this.state === 'closed') { this.state = 'opening'; this.pump(); } else if (this.state === 'flooded') { this.warn(); this.state = 'closed'; } }
  close() { if (this.state === 'open') { this.state = 'closing'; this.pump(); } else if (this.state === 'flooded') { this.warn(); } }
  pump() { this.n = 1; } warn() { this.n = 2; }
}
function make(kind) { if (kind === 'berth') { return new Berth('a', 1, 2, true); } else if (kind === 'gate') { return new Gate(); } throw new Error(kind); }
module.exports = { Berth, Gate, make };
