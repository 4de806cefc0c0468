// A rehearsal: a plan carried out on a scratch copy, forward, proven, forward again, and back; then the copy
// is compared with what it was.

import { counted, sizeInWords } from '../../core/naming/words';
import { ownedBy, type Plan } from '../../core/plan/plan';
import type { FailedRemedy, Rehearsal, RehearsalLine, RehearsalPart, RehearsalPartName } from '../../core/plan/rehearsal';
import { rehearsalParts } from '../../core/plan/rehearsal';
import type { Direction } from '../../core/plan/direction';
import { carryOutPlan, carryOutWhatHolds, type PlannedStep, plannedSteps, type StepListener } from './carryOut';
import { differences, type Scratch, type ScratchOptions } from './scratch';
import { provePlan } from './prove';
import type { Session } from './session';
import { proofsInWords } from '../../core/operations/proof';
import { SourceError } from '../SourceError';

const tellEveryMs = 500;

export interface RehearseOptions extends ScratchOptions {
  /** Told as it goes, after each step. */
  readonly onProgress?: (rehearsal: Rehearsal) => Promise<void> | void;
  /** Told when the copy could not be removed; without it, that is thrown. */
  readonly onLeftBehind?: () => Promise<void>;
}

/** Throws SourceError when no copy can be made, LeftBehind when it could not be removed; what fails on the copy is in the answer. */
export async function rehearse(
  asPlanned: Plan,
  make: (options: ScratchOptions) => Promise<Scratch>,
  options: RehearseOptions,
): Promise<Rehearsal> {
  let plan = asPlanned;
  const parts: RehearsalPart[] = [];
  const goesOn = new Set<RehearsalPartName>();
  let failed: readonly FailedRemedy[] = [];
  /** All that went through: what is proven, tried again and taken back. */
  let held = asPlanned;
  const part = async (name: RehearsalPartName, work: (lines: Lines) => Promise<Said>): Promise<boolean> => {
    // What failed for itself and was left out does not keep the rest from being tried.
    if (parts.some((earlier) => earlier.state === 'failed' && !goesOn.has(earlier.name))) {
      parts.push({ name, state: 'left out', ms: 0, says: 'Something before it failed.', lines: [] });
      return false;
    }
    const at = parts.length;
    const started = Date.now();
    const lines: RehearsalLine[] = [];
    const keep = async (state: RehearsalPart['state'], says: string): Promise<void> => {
      parts[at] = { name, state, ms: Date.now() - started, says, lines: [...lines] };
      await options.onProgress?.(reportOf(parts, failed));
    };
    await keep('running', '');
    let told = 0;
    const add: Lines = async (line) => {
      lines.push(line);
      // A report of thousands of lines is not told anew for each of them.
      if (Date.now() - told < tellEveryMs) return;
      await keep('running', '');
      told = Date.now();
    };
    try {
      const { ok, says, goes = false } = await work(add);
      if (!ok && goes) goesOn.add(name);
      await keep(ok ? 'held' : 'failed', says);
      return ok;
    } catch (error) {
      refuseWhenStopped();
      await keep('failed', error instanceof Error ? error.message : 'unknown error');
      return false;
    }
  };

  const scratch = await makeCopy();
  let session: Session | null = null;
  try {
    plan = held = ownedBy(asPlanned, scratch.owner);
    const before = await scratch.fingerprint();
    session = await scratch.open();
    const open = session;
    await part('forward', (add) => forward(open, add));
    await part('proofs', (add) => proofs(open, add));
    await part('again', (add) => steps(open, 'forward', add, true));
    await part('back', (add) => steps(open, 'back', add));
    await part('compare', async (add) => {
      const found = differences(before, await scratch.fingerprint());
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
      if (!options.onLeftBehind) throw cause;
    });
  }
  return reportOf(parts, failed);

  async function makeCopy() {
    const started = Date.now();
    parts.push({ name: 'copy', state: 'running', ms: 0, says: '', lines: [] });
    await options.onProgress?.(reportOf(parts, failed));
    const made = await make({ ...options, also: referencesOf(plan) });
    parts[0] = {
      name: 'copy',
      state: 'held',
      ms: Date.now() - started,
      says: `${copiedInWords(made)}${made.leftOut.length > 0 ? ', but for what is listed' : ''}.`,
      lines: made.leftOut.map((text) => ({ title: text, outcome: 'left out', ok: false, ms: 0, locks: [], statement: '' })),
    };
    await options.onProgress?.(reportOf(parts, failed));
    return made;
  }

  function refuseWhenStopped(): void {
    if (options.signal?.aborted) throw new SourceError('The rehearsal was stopped.', 'cancelled');
  }

  async function forward(open: Session, add: Lines): Promise<Said> {
    const told = telling(plannedSteps(plan, 'forward'), add);
    ({ failed, plan: held } = await carryOutWhatHolds(open, plan, told.listener));
    if (failed.length === 0) return { ok: true, says: `${told.changed()} of ${plan.steps.length} steps changed something.` };
    const remedies = new Set(plan.steps.map(({ finding }) => finding)).size;
    const tried = failed.filter((one) => one.tried).length;
    const resting = failed.length - tried;
    const others =
      resting === 0
        ? ''
        : `; ${counted(resting, 'other')} that ${resting === 1 ? 'rests' : 'rest'} on them ${resting === 1 ? 'was' : 'were'} left out`;
    return { ok: false, goes: true, says: `${tried} of ${counted(remedies, 'remedy')} failed${others}. The rest went on.` };
  }

  async function steps(open: Session, direction: Direction, add: Lines, nothingToDo = false): Promise<Said> {
    const planned = plannedSteps(held, direction);
    const { listener, changed } = telling(planned, add, nothingToDo);
    await carryOutPlan(open, held, direction, listener);
    if (!nothingToDo) return { ok: true, says: `${changed()} of ${planned.length - 2} steps changed something.` };
    return changed() === 0
      ? { ok: true, says: 'A second run changes nothing.' }
      : { ok: false, says: `A second run changes something in ${changed()} steps.` };
  }

  function telling(planned: readonly PlannedStep[], add: Lines, nothingToDo = false) {
    let started = 0;
    let changed = 0;
    const line = (step: number, outcome: string, ok: boolean, locks: readonly string[]): RehearsalLine => {
      const { title = '', statement = '' } = planned[step - 1] ?? {};
      return { title, statement, outcome, ok, ms: Date.now() - started, locks };
    };
    const listener: StepListener = {
      started: () => {
        refuseWhenStopped();
        started = Date.now();
      },
      ended: (step, outcome) => {
        if (outcome.changed) changed++;
        return add(line(step, outcome.words, !nothingToDo || !outcome.changed, outcome.locks));
      },
      failed: (step, error) => add(line(step, error instanceof Error ? error.message : 'unknown error', false, [])),
    };
    return { listener, changed: () => changed };
  }

  async function proofs(open: Session, add: Lines): Promise<Said> {
    const count = { refused: 0, acted: 0, accepted: 0, 'not provable': 0 };
    for await (const { finding, title, statement, outcome, answer } of provePlan(open, held)) {
      count[outcome]++;
      if (outcome === 'accepted' && !failed.some((one) => one.finding === finding))
        failed = [...failed, { finding, step: title, statement, says: answer, rows: null, tried: true }];
      await add({ title, statement, outcome: `${outcome}: ${answer}`, ok: outcome !== 'accepted', ms: 0, locks: [] });
    }
    const { refused, acted, accepted, 'not provable': untried } = count;
    return { ok: accepted === 0, goes: true, says: proofsInWords({ refused, acted, accepted, untried }) };
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

function copiedInWords({ of: database, bytes, sampled }: Scratch): string {
  if (!sampled) return `${database} was copied in full, ${sizeInWords(bytes)}`;
  const { rows, ofRows } = sampled;
  return `Of ${database}, ${sizeInWords(bytes)}, ${rows.toLocaleString('en-GB')} of about ${ofRows.toLocaleString('en-GB')} rows were copied, with every parent that they refer to`;
}

type Lines = (line: RehearsalLine) => Promise<void>;

interface Said {
  readonly ok: boolean;
  readonly says: string;
  /** True when what comes after can be tried all the same. */
  readonly goes?: boolean;
}

function reportOf(parts: readonly RehearsalPart[], failed: readonly FailedRemedy[]): Rehearsal {
  return {
    failed,
    holds: parts.length === rehearsalParts.length && parts.every((part) => part.state === 'held'),
    parts: [...parts],
  };
}
