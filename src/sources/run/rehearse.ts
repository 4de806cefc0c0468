// A rehearsal: a plan carried out on a scratch copy, forward, proven, forward again, and back; then the copy
// is compared with what it was.

import { counted, sizeInWords } from '../../core/naming/words';
import { ownedBy } from '../../core/plan/plan';
import type { Plan } from '../../core/plan/shape';
import {
  type FailedRemedy,
  type Rehearsal,
  type RehearsalLine,
  type RehearsalPart,
  type RehearsalPartName,
  rehearsalParts,
} from '../../core/plan/rehearsal';
import type { Direction } from '../../core/plan/direction';
import { carryOutPlan, carryOutWhatHolds, type PlannedStep, plannedSteps, type StepListener } from './carryOut';
import { differences, type Fingerprint, type Scratch, type ScratchOptions } from './scratch';
import { provePlan } from './prove';
import type { Session } from './session';
import { kindOf } from '../../core/operations/index';
import { proofsInWords } from '../../core/operations/proof';
import { SourceError } from '../SourceError';

const tellEveryMs = 500;

export interface RehearseOptions extends ScratchOptions {
  /** Told as it goes, after each step. */
  readonly onProgress?: (rehearsal: Rehearsal) => Promise<void> | void;
  /** Told when the copy could not be removed; without it, that is thrown. */
  readonly onLeftBehind?: (why: unknown) => Promise<void>;
}

/** Throws SourceError when no copy can be made, LeftBehind when it could not be removed; what fails on the copy is in the answer. */
export async function rehearse(plan: Plan, make: Make, options: RehearseOptions): Promise<Rehearsal> {
  return new Rehearsing(plan, options).carryOut(make);
}

type Make = (options: ScratchOptions) => Promise<Scratch>;

class Rehearsing {
  private readonly parts: RehearsalPart[] = [];
  private readonly goesOn = new Set<RehearsalPartName>();
  private failed: readonly FailedRemedy[] = [];
  /** All that went through: what is proven, tried again and taken back. */
  private held: Plan;

  constructor(
    private plan: Plan,
    private readonly options: RehearseOptions,
  ) {
    this.held = plan;
  }

  async carryOut(make: Make): Promise<Rehearsal> {
    const scratch = await this.makeCopy(make);
    let session: Session | null = null;
    try {
      this.plan = this.held = ownedBy(this.plan, scratch.owner);
      const before = await scratch.fingerprint();
      session = await scratch.open();
      const open = session;
      await this.part('forward', (add) => this.forward(open, add));
      await this.part('proofs', (add) => this.proofs(open, add));
      await this.part('again', (add) => this.steps(open, { direction: 'forward', nothingToDo: true }, add));
      await this.part('back', (add) => this.steps(open, { direction: 'back', nothingToDo: false }, add));
      await this.part('compare', async (add) => compared(before, await scratch.fingerprint(), add));
    } finally {
      await session?.close().catch(() => undefined);
      await scratch.remove().catch(async (cause: unknown) => {
        await this.options.onLeftBehind?.(cause);
        if (!this.options.onLeftBehind) throw cause;
      });
    }
    return reportOf(this.parts, this.failed);
  }

  private async part(name: RehearsalPartName, work: (lines: Lines) => Promise<Said>): Promise<void> {
    // What failed for itself and was left out does not keep the rest from being tried.
    if (this.parts.some((earlier) => earlier.state === 'failed' && !this.goesOn.has(earlier.name))) {
      this.parts.push({ name, state: 'left out', ms: 0, says: 'Something before it failed.', lines: [] });
      return;
    }
    const at = this.parts.length;
    const started = Date.now();
    const lines: RehearsalLine[] = [];
    const keep = async (state: RehearsalPart['state'], says: string): Promise<void> => {
      this.parts[at] = { name, state, ms: Date.now() - started, says, lines: [...lines] };
      await this.tell();
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
      if (!ok && goes) this.goesOn.add(name);
      await keep(ok ? 'held' : 'failed', says);
    } catch (error) {
      this.refuseWhenStopped();
      await keep('failed', error instanceof Error ? error.message : 'unknown error');
    }
  }

  private async tell(): Promise<void> {
    await this.options.onProgress?.(reportOf(this.parts, this.failed));
  }

  private async makeCopy(make: Make): Promise<Scratch> {
    const started = Date.now();
    this.parts.push({ name: 'copy', state: 'running', ms: 0, says: '', lines: [] });
    await this.tell();
    const made = await make({ ...this.options, also: referencesOf(this.plan) });
    this.parts[0] = {
      name: 'copy',
      state: 'held',
      ms: Date.now() - started,
      says: `${copiedInWords(made)}${made.leftOut.length > 0 ? ', but for what is listed' : ''}.`,
      lines: made.leftOut.map((text) => ({ title: text, outcome: 'left out', ok: false, ms: 0, locks: [], statement: '' })),
    };
    await this.tell();
    return made;
  }

  private refuseWhenStopped(): void {
    if (this.options.signal?.aborted) throw new SourceError('The rehearsal was stopped.', 'cancelled');
  }

  private async forward(open: Session, add: Lines): Promise<Said> {
    const { plan } = this;
    const told = this.telling(plannedSteps(plan, 'forward'), add);
    ({ failed: this.failed, plan: this.held } = await carryOutWhatHolds(open, plan, told.listener));
    const { failed } = this;
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

  private async steps(open: Session, { direction, nothingToDo }: Way, add: Lines): Promise<Said> {
    const planned = plannedSteps(this.held, direction);
    const { listener, changed } = this.telling(planned, add, nothingToDo);
    await carryOutPlan(open, this.held, direction, listener);
    if (!nothingToDo) return { ok: true, says: `${changed()} of ${planned.length - 2} steps changed something.` };
    return changed() === 0
      ? { ok: true, says: 'A second run changes nothing.' }
      : { ok: false, says: `A second run changes something in ${changed()} steps.` };
  }

  private telling(planned: readonly PlannedStep[], add: Lines, nothingToDo = false) {
    let started = 0;
    let changed = 0;
    const line = (step: number, outcome: string, ok: boolean, locks: readonly string[]): RehearsalLine => {
      const { title = '', statement = '' } = planned[step - 1] ?? {};
      return { title, statement, outcome, ok, ms: Date.now() - started, locks };
    };
    const listener: StepListener = {
      started: () => {
        this.refuseWhenStopped();
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

  private async proofs(open: Session, add: Lines): Promise<Said> {
    const count = { refused: 0, acted: 0, accepted: 0, 'not provable': 0 };
    for await (const { finding, title, statement, outcome, answer } of provePlan(open, this.held)) {
      count[outcome]++;
      if (outcome === 'accepted' && !this.failed.some((one) => one.finding === finding))
        this.failed = [...this.failed, { finding, step: title, statement, says: answer, rows: null, tried: true }];
      await add({ title, statement, outcome: `${outcome}: ${answer}`, ok: outcome !== 'accepted', ms: 0, locks: [] });
    }
    const { refused, acted, accepted, 'not provable': untried } = count;
    return { ok: accepted === 0, goes: true, says: proofsInWords({ refused, acted, accepted, untried }) };
  }
}

interface Way {
  readonly direction: Direction;
  /** True of what was done already: it must not do anything again. */
  readonly nothingToDo: boolean;
}

async function compared(before: Fingerprint, after: Fingerprint, add: Lines): Promise<Said> {
  const found = differences(before, after);
  for (const difference of found.slice(0, 200))
    await add({ title: difference, outcome: '', ok: false, ms: 0, locks: [], statement: '' });
  return found.length === 0
    ? { ok: true, says: `Structure and rows of ${before.rows.size.toLocaleString('en-GB')} tables are as they were.` }
    : { ok: false, says: `${found.length.toLocaleString('en-GB')} differences are left after going back.` };
}

// What the plan will tie is as good as declared: parents come along for it too.
function referencesOf(plan: Plan): NonNullable<ScratchOptions['also']> {
  const operations = plan.steps.map(({ operation }) => operation);
  const made = new Set(operations.map((operation) => `${operation.table} ${kindOf(operation).column?.(operation) ?? ''}`));
  return operations.flatMap((operation) => {
    const { table: child } = operation;
    // What a text is looked up in is found by the text: its column is not there yet, nor is a list that is to be made.
    if (operation.kind === 'lookUp' && !operation.grows) {
      const { column, lookup } = operation;
      return [{ child, columns: [column], parent: lookup.table, parentColumns: [lookup.label] }];
    }
    if (operation.kind !== 'addForeignKey' || operation.columns.some((name) => made.has(`${child} ${name}`))) return [];
    const { columns, parent, parentColumns } = operation;
    return [{ child, columns, parent, parentColumns }];
  });
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
