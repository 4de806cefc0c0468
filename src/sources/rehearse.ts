// A rehearsal: a plan carried out on a scratch copy, forward, proven, forward again, and back; then the copy
// is compared with what it was.

import { sizeInWords } from '../core/naming/words';
import type { Plan } from '../core/plan/plan';
import type { Rehearsal, RehearsalLine, RehearsalPart, RehearsalPartName } from '../core/plan/rehearsal';
import { rehearsalParts } from '../core/plan/rehearsal';
import type { Direction } from '../core/plan/runnable';
import { carryOutPlan, plannedSteps, provePlan } from './carryOut';
import { openPostgresqlForChange } from './postgresql/changing';
import { differences, fingerprintOf, leftBehind, makeScratch, type Scratch, type ScratchOptions } from './postgresql/scratch';
import type { ChangingSession, ConnectionDetails } from './source';
import { proofsInWords } from '../core/plan/proofs';
import { SourceError } from './SourceError';

export interface RehearseOptions extends ScratchOptions {
  /** Told as it goes, after each step. */
  readonly onProgress?: (rehearsal: Rehearsal) => Promise<void> | void;
  /** Told when the copy could not be removed; without it, that is thrown. */
  readonly onLeftBehind?: () => Promise<void>;
}

/** Throws SourceError when no copy can be made, LeftBehind when it could not be removed; what fails on the copy is in the answer. */
export async function rehearse(
  plan: Plan,
  source: ConnectionDetails,
  server: ConnectionDetails,
  options: RehearseOptions,
): Promise<Rehearsal> {
  const parts: RehearsalPart[] = [];
  const part = async (name: RehearsalPartName, work: (lines: Lines) => Promise<Said>): Promise<boolean> => {
    if (parts.some((earlier) => earlier.state === 'failed')) {
      parts.push({ name, state: 'left out', ms: 0, says: 'Something before it failed.', lines: [] });
      return false;
    }
    const at = parts.length;
    const started = Date.now();
    const lines: RehearsalLine[] = [];
    const keep = async (state: RehearsalPart['state'], says: string): Promise<void> => {
      parts[at] = { name, state, ms: Date.now() - started, says, lines: [...lines] };
      await options.onProgress?.(reportOf(parts));
    };
    await keep('running', '');
    const add: Lines = async (line) => {
      lines.push(line);
      await keep('running', '');
    };
    try {
      const { ok, says } = await work(add);
      await keep(ok ? 'held' : 'failed', says);
      return ok;
    } catch (error) {
      refuseWhenStopped();
      await keep('failed', error instanceof Error ? error.message : 'unknown error');
      return false;
    }
  };

  const scratch = await makeCopy();
  let session: ChangingSession | null = null;
  try {
    const before = await fingerprintOf(scratch.details);
    session = await openPostgresqlForChange(scratch.details);
    const open = session;
    await part('forward', (add) => steps(open, 'forward', add));
    await part('proofs', (add) => proofs(open, add));
    await part('again', (add) => steps(open, 'forward', add, true));
    await part('back', (add) => steps(open, 'back', add));
    await part('compare', async (add) => {
      const found = differences(before, await fingerprintOf(scratch.details));
      for (const difference of found.slice(0, 200))
        await add({ title: difference, outcome: '', ok: false, ms: 0, locks: [], statement: '' });
      return found.length === 0
        ? { ok: true, says: `Structure and rows of ${before.rows.size.toLocaleString('en-GB')} tables are as they were.` }
        : { ok: false, says: `${found.length.toLocaleString('en-GB')} differences are left after going back.` };
    });
  } finally {
    await session?.close().catch(() => undefined);
    await scratch.remove().catch(async (cause: unknown) => {
      await options.onLeftBehind?.();
      if (!options.onLeftBehind) throw leftBehind(server, cause);
    });
  }
  return reportOf(parts);

  async function makeCopy() {
    const started = Date.now();
    parts.push({ name: 'copy', state: 'running', ms: 0, says: '', lines: [] });
    await options.onProgress?.(reportOf(parts));
    const made = await makeScratch(source, server, { ...options, also: referencesOf(plan) });
    parts[0] = {
      name: 'copy',
      state: 'held',
      ms: Date.now() - started,
      says: `${copiedInWords(source.database, made)}${made.leftOut.length > 0 ? ', but for what is listed' : ''}.`,
      lines: made.leftOut.map((text) => ({ title: text, outcome: 'left out', ok: false, ms: 0, locks: [], statement: '' })),
    };
    await options.onProgress?.(reportOf(parts));
    return made;
  }

  function refuseWhenStopped(): void {
    if (options.signal?.aborted) throw new SourceError('The rehearsal was stopped.', 'cancelled');
  }

  async function steps(open: ChangingSession, direction: Direction, add: Lines, nothingToDo = false): Promise<Said> {
    const planned = plannedSteps(plan, direction);
    let started = 0;
    let changed = 0;
    const line = (step: number, outcome: string, ok: boolean, locks: readonly string[]): RehearsalLine => {
      const { title = '', statement = '' } = planned[step - 1] ?? {};
      return { title, statement, outcome, ok, ms: Date.now() - started, locks };
    };
    await carryOutPlan(open, plan, direction, {
      started: () => {
        refuseWhenStopped();
        started = Date.now();
      },
      ended: (step, outcome) => {
        if (outcome.changed) changed++;
        return add(line(step, outcome.words, !nothingToDo || !outcome.changed, outcome.locks));
      },
      failed: (step, error) => add(line(step, error instanceof Error ? error.message : 'unknown error', false, [])),
    });
    if (!nothingToDo) return { ok: true, says: `${changed} of ${planned.length - 2} steps changed something.` };
    return changed === 0
      ? { ok: true, says: 'A second run changes nothing.' }
      : { ok: false, says: `A second run changes something in ${changed} steps.` };
  }

  async function proofs(open: ChangingSession, add: Lines): Promise<Said> {
    const count = { refused: 0, acted: 0, accepted: 0, 'not provable': 0 };
    for await (const { title, statement, outcome, answer } of provePlan(open, plan)) {
      count[outcome]++;
      await add({ title, statement, outcome: `${outcome}: ${answer}`, ok: outcome !== 'accepted', ms: 0, locks: [] });
    }
    const { refused, acted, accepted, 'not provable': untried } = count;
    return { ok: accepted === 0, says: proofsInWords({ refused, acted, accepted, untried }) };
  }
}

// What the plan will tie is as good as declared: parents come along for it too.
function referencesOf(plan: Plan): NonNullable<ScratchOptions['also']> {
  return plan.steps.flatMap(({ operation }) =>
    operation.kind === 'addForeignKey'
      ? [{ child: operation.table, columns: operation.columns, parent: operation.parent, parentColumns: operation.parentColumns }]
      : [],
  );
}

function copiedInWords(database: string, { bytes, sampled }: Scratch): string {
  if (!sampled) return `${database} was copied in full, ${sizeInWords(bytes)}`;
  const { rows, ofRows } = sampled;
  return `Of ${database}, ${sizeInWords(bytes)}, ${rows.toLocaleString('en-GB')} of about ${ofRows.toLocaleString('en-GB')} rows were copied, with every parent that they refer to`;
}

type Lines = (line: RehearsalLine) => Promise<void>;

interface Said {
  readonly ok: boolean;
  readonly says: string;
}

function reportOf(parts: readonly RehearsalPart[]): Rehearsal {
  return {
    holds: parts.length === rehearsalParts.length && parts.every((part) => part.state === 'held'),
    parts: [...parts],
  };
}
