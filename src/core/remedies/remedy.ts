// What is known of each kind of remedy, in one place: what it asks, what it does, when it holds. A proposal carries what
// its questions need; the facts of a finding serve its words only. Each kind has a file of its own; `index` lists them.

import type { Catalogue, Table } from '../catalogue/model';
import type { Operation } from '../operations/index';
import type { Refusal } from '../operations/refusal';
import type { Naming } from './names';
import type { Decision, Question } from './question';

/** What a remedy may look at: the table of its finding, and what was chosen so far. */
export interface Ground {
  readonly table: Table;
  readonly catalogue: Catalogue;
  /** Some questions follow from what was chosen for others: which orphans there are depends on the parent. */
  readonly chosen: Decision;
}

export interface Making extends Ground {
  readonly naming: Naming;
}

export interface Touching {
  /** What others may name, or rest on. */
  readonly part: { readonly kind: 'table' | 'column' | 'constraint'; readonly name: string };
  /** What the catalogue shows of that already, in words. */
  readonly known: readonly string[];
  /** What it means that a view rests on it. */
  readonly resting: string;
}

export interface Remedy<P> {
  /** The type of its proposals, for the union to be read off; never set. */
  readonly of?: P;
  /** The questions that it may ask, and what each is called when many findings share it. */
  readonly asks?: Readonly<Record<string, string>>;
  /** None when there is only one way to mend a finding. */
  questions?(proposal: P, on: Ground): readonly Question[];
  /** What mends it, as it was decided; `on.chosen` is complete. */
  operations(proposal: P, on: Making): readonly Operation[] | Refusal;
  /** Whether a catalogue forbids what was found; `ask the rule` where only it can tell, by no longer finding it. */
  holds(proposal: P, on: Omit<Ground, 'chosen'>): boolean | 'ask the rule';
  /** What will hold once it is carried out, as a sentence; left out where the script says it all. */
  outcome?(proposal: P, on: Ground): string;
  /** Columns that become a key, for those who need one there. */
  makesKey?(proposal: P): readonly string[];
  /** What the data says of a single column by it, in a word or two, that nothing declares. */
  seems?(proposal: P): string;
  /** What carries another name or key than before, and what that means for others; null where nobody would notice. */
  touches?(proposal: P, on: Omit<Ground, 'chosen'>): Touching | null;
  /** `never`: no script can mend it; `thought`: none is written unless a person has decided on it. */
  readonly scripted?: 'never' | 'thought';
  /** It changes rows and declares nothing: that it holds shows in no catalogue. */
  readonly rowsAlone?: true;
  /** Columns of its table that it speaks of, where they are not those of the proposal. */
  columns?(proposal: P): readonly string[];
}
