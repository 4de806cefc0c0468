// Where a source stands at the end of a survey, and what made its soundness another than at the survey before.

import type { Concern, Severity } from '../rules/finding';
import type { CoverageBoard } from '../survey/boards';
import { brokenCells, cellName, type Soundness } from './soundness';
import type { FindingState } from './states';

/** How many findings are in a state, for one concern and severity. */
export interface Count {
  readonly concern: Concern;
  readonly severity: Severity;
  readonly state: FindingState;
  readonly findings: number;
}

/** Why cells of the board became sound or broken. */
export const causes = ['mended', 'slipped', 'data', 'tables', 'rules', 'waived', 'measured'] as const;
export type Cause = (typeof causes)[number];

/** Cells that became sound by a cause, and those that stopped being so. */
export interface Turned {
  readonly cause: Cause;
  readonly sound: number;
  readonly broken: number;
}

/** What is kept of a board, to hold the next one against. */
export interface Cells {
  /** Tables that were measured. */
  readonly measured: readonly string[];
  readonly notMeasured: readonly string[];
  /** Cells with something open of Moderate or worse. */
  readonly broken: readonly string[];
}

export interface Standing {
  readonly counts: readonly Count[];
  readonly soundness: Soundness;
  readonly turned: readonly Turned[];
}

/** What happened to a finding between two surveys. */
export interface Happened {
  readonly table: string;
  readonly concern: Concern;
  readonly rule: string;
  readonly from: FindingState | null;
  readonly to: FindingState;
}

export function cellsOf(board: CoverageBoard): Cells {
  const [measured, notMeasured] = [true, false].map((is) =>
    board.tables.filter((table) => (table.notMeasured === null) === is).map((table) => table.id as string),
  );
  return { measured: measured ?? [], notMeasured: notMeasured ?? [], broken: brokenCells(board) };
}

interface Between {
  readonly before: Cells;
  readonly after: Cells;
  readonly happened: readonly Happened[];
  /** Rules that are set otherwise than they were. */
  readonly otherRules: ReadonlySet<string>;
}

/** Every cell that turned counts once, by what weighs most: what a person did, then what the rules or the tables did, then the data. */
export function turnedBetween({ before, after, happened, otherRules }: Between): readonly Turned[] {
  const told = new Map<string, Happened[]>();
  for (const event of happened) {
    const cell = cellName(event.table, event.concern);
    const events = told.get(cell);
    if (events) events.push(event);
    else told.set(cell, [event]);
  }
  const [was, is] = [new Set(before.broken), new Set(after.broken)];
  const [seenBefore, seenAfter] = [tablesOf(before), tablesOf(after)];
  const counts = new Map(causes.map((cause) => [cause, { cause, sound: 0, broken: 0 }]));
  const count = (cause: Cause, way: 'sound' | 'broken') => {
    const turned = counts.get(cause);
    if (turned) turned[way]++;
  };
  for (const cell of was) if (!is.has(cell)) count(causeOf(cell, told.get(cell) ?? [], seenAfter, otherRules), 'sound');
  for (const cell of is) if (!was.has(cell)) count(causeOf(cell, told.get(cell) ?? [], seenBefore, otherRules), 'broken');
  return [...counts.values()].filter(({ sound, broken }) => sound > 0 || broken > 0);
}

type Tables = ReadonlyMap<string, 'measured' | 'not measured'>;

function tablesOf({ measured, notMeasured }: Cells): Tables {
  return new Map([
    ...notMeasured.map((table) => [table, 'not measured'] as const),
    ...measured.map((table) => [table, 'measured'] as const),
  ]);
}

/** `other`: the tables on the side where the cell was sound, or not there. */
function causeOf(cell: string, events: readonly Happened[], other: Tables, otherRules: ReadonlySet<string>): Cause {
  const table = other.get(cell.slice(0, cell.lastIndexOf(' ')));
  if (table === undefined) return 'tables';
  if (table === 'not measured') return 'measured';
  if (events.some(({ to }) => to === 'Slipped')) return 'slipped';
  if (events.some(({ to }) => to === 'Held')) return 'mended';
  if (events.some(({ from, to }) => to === 'Waived' || from === 'Waived')) return 'waived';
  return events.some(({ rule }) => otherRules.has(rule)) ? 'rules' : 'data';
}

/** What came of several surveys one after another. */
export function turnedTogether(several: readonly (readonly Turned[])[]): readonly Turned[] {
  return causes.flatMap((cause) => {
    const own = several.flat().filter((turned) => turned.cause === cause);
    const sum = (way: 'sound' | 'broken') => own.reduce((all, turned) => all + turned[way], 0);
    return own.length === 0 ? [] : [{ cause, sound: sum('sound'), broken: sum('broken') }];
  });
}
