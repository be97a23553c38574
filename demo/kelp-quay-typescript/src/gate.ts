type Position = 'shut' | 'turning' | 'open';

/** The lock gate: shut, turning or open. */
export class LockGate {
  private position: Position = 'shut';
  private turns = 0;

  push(): void {
    switch (this.position) {
      case 'shut':
        this.position = 'turning';
        this.turns += 1;
        break;
      case 'turning':
        this.position = 'open';
        break;
      case 'open':
        this.position = 'shut';
        this.turns += 1;
        break;
    }
  }

  toll(tonnage: number): number {
    if (this.position === 'open') {
      return tonnage * 2 + this.turns;
    } else if (this.position === 'turning') {
      return tonnage * 3 + this.turns;
    }
    return 0;
  }
}
