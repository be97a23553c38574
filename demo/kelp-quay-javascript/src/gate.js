'use strict';

/** The lock gate: shut, turning or open. */
class LockGate {
  constructor() {
    this.position = 'shut';
    this.turns = 0;
  }

  push() {
    if (this.position === 'shut') {
      this.position = 'turning';
      this.turns += 1;
    } else if (this.position === 'turning') {
      this.position = 'open';
    } else if (this.position === 'open') {
      this.position = 'shut';
      this.turns += 1;
    }
  }

  toll(tonnage) {
    if (this.position === 'open') {
      return tonnage * 2 + this.turns;
    } else if (this.position === 'turning') {
      return tonnage * 3 + this.turns;
    }
    return 0;
  }
}

module.exports = { LockGate };
