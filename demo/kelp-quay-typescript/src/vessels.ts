/** The kinds of vessels that call at Kelp Quay. */
export enum Kind { Tug = 'tug', Tanker = 'tanker', Yacht = 'yacht' }

/** A vessel, as the office knows it. */
export interface Vessel {
  readonly name: string;
  readonly kind: Kind;
  readonly tonnage: number;
  readonly hazardous?: boolean;
}

/** Something in a hold. */
export class Cargo {
  constructor(readonly weight: number) {}
}

export class Sack extends Cargo {}

/** Holds other cargo. */
export class Crate extends Cargo {
  constructor(weight: number, readonly contents: Cargo[]) {
    super(weight);
  }
}

/** Pounds of everything in a hold. */
export function weigh(hold: Cargo[]): number {
  let total = 0;
  for (const cargo of hold) {
    if (cargo instanceof Crate) {
      total += weigh(cargo.contents);
    } else {
      total += cargo.weight;
    }
  }
  return total;
}
