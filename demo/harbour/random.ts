/** A seeded generator of numbers: the same seed gives the same harbour (mulberry32). */
export class Random {
  constructor(private state: number) {}

  /** From 0 to just below 1. */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  }

  /** A whole number, both ends included. */
  int(from: number, to: number): number {
    return from + Math.floor(this.next() * (to - from + 1));
  }

  pick<T>(items: readonly T[]): T {
    const item = items[this.int(0, items.length - 1)];
    if (item === undefined) throw new Error('Nothing to pick from.');
    return item;
  }

  chance(share: number): boolean {
    return this.next() < share;
  }
}
