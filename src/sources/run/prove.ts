// Trying the new rules of a plan that was carried out. Every try is rolled back, whatever happens.

import { type Dialect, type ActionTry } from '../../core/engines/dialect';
import { getTable } from '../../core/catalogue/lookups';
import type { Catalogue } from '../../core/catalogue/model';
import { engineNamed } from '../../core/engines/index';
import { type ActionProof, type BreakingProof, describeProof, isRefusing, triggersFired } from '../../core/operations/proof';
import type { Plan } from '../../core/plan/shape';
import type { FindingId } from '../../core/catalogue/identifiers';
import { countIn } from './perform';
import type { Bounds, Refused, Session } from './session';

export interface ProofAnswer {
  /** `acted`: the reference did to the children what it declares. `not provable`: there was no row to build the try from, or something else refused first. */
  readonly outcome: 'refused' | 'acted' | 'accepted' | 'not provable';
  /** The database's own words, without values of rows. */
  readonly answer: string;
  /** With them; null, or left out, where they say no more. */
  readonly told?: string | null;
}

export interface Proven extends ProofAnswer {
  readonly finding: FindingId;
  readonly title: string;
  readonly statement: string;
}

/** Tries to break every new rule of a plan that was carried out; nothing of it stays. */
export async function* provePlan(session: Session, plan: Plan): AsyncGenerator<Proven> {
  const { dialect } = engineNamed(plan.engine);
  const catalogue = await session.readCatalogue();
  for (const { finding, proofs } of plan.steps) {
    for (const proof of proofs) {
      const fired = triggersFired(proof, catalogue);
      const title = `${describeProof(proof)}${fired.length > 0 ? `, firing ${fired.join(', ')}` : ''}`;
      const why = dialect.whyNotTried?.(proof, catalogue) ?? null;
      if (why !== null) {
        yield { finding, title, statement: '', outcome: 'not provable', answer: why };
      } else if (proof.kind === 'action') {
        yield { finding, title, ...(await tryAction(session, dialect, proof, dialect.actionProof(proof, catalogue))) };
      } else {
        const statement = dialect.proof(proof, catalogue);
        yield { finding, title, statement, ...(await tryBreaking(session, dialect, proof, { statement, catalogue })) };
      }
    }
  }
}

// A try waits for nobody, and deferred constraints speak at once.
const tryBounds: Bounds = { statementMs: 15_000, lockMs: 2_000 };
const notHeld: ProofAnswer = { outcome: 'accepted', answer: 'The database let it happen. The rule is not in force.' };

async function start(session: Session, { allAtOnce }: Dialect): Promise<void> {
  await session.transaction.begin();
  if (allAtOnce !== null) await session.run(allAtOnce, tryBounds);
}

/** Tries to break a rule. */
export async function tryBreaking(
  session: Session,
  dialect: Dialect,
  proof: BreakingProof,
  { statement, catalogue }: { readonly statement: string; readonly catalogue: Catalogue },
): Promise<ProofAnswer> {
  try {
    await start(session, dialect);
    const { changed } = await session.run(statement, tryBounds);
    return changed === 0 ? { outcome: 'not provable', answer: 'There are not enough rows to build a try from.' } : notHeld;
  } catch (error) {
    const refused = session.refusalOf(error);
    const narrower = isRefusedBySome(proof, refused, catalogue);
    return {
      outcome: narrower || isRefusedBy(proof, refused) ? 'refused' : 'not provable',
      answer: narrower ? `${refused.says} Its columns are among these: nothing that repeats gets past it.` : refused.says,
      told: refused.told,
    };
  } finally {
    await session.transaction.rollback();
  }
}

/** Has a reference act on a parent that is there, and looks at its children. */
export async function tryAction(
  session: Session,
  dialect: Dialect,
  { action, constraint }: ActionProof,
  { pick, statement, left }: ActionTry,
): Promise<ProofAnswer & { readonly statement: string }> {
  let tried = '';
  try {
    await start(session, dialect);
    const [key] = await session.readWithin(pick);
    if (!key)
      return {
        outcome: 'not provable',
        answer: 'There is no parent with children here, and only here, to try it on.',
        statement: tried,
      };
    const texts = key.map((value) => value ?? '');
    // Told without the key that it was tried on.
    tried = statement(texts.map(() => '…'));
    const before = await counted(session, left(texts));
    await session.run(statement(texts), tryBounds);
    const after = await counted(session, left(texts));
    return { ...(isRefusing(action) ? notHeld : seen(action, before, after)), statement: tried };
  } catch (error) {
    const refused = session.refusalOf(error);
    const held = isRefusing(action) && refused.kind === 'orphan' && refused.constraint === constraint;
    return { outcome: held ? 'refused' : 'not provable', answer: refused.says, told: refused.told, statement: tried };
  } finally {
    await session.transaction.rollback();
  }
}

async function counted(session: Session, query: string): Promise<number> {
  const [row] = await session.readWithin(query);
  return countIn(row);
}

function seen(action: ActionProof['action'], before: number, after: number): ProofAnswer {
  const children = `${before.toLocaleString('en-GB')} ${before === 1 ? 'row' : 'rows'} referred to it`;
  return after === 0
    ? { outcome: 'acted', answer: `${children}, none does so afterwards: ${action.toUpperCase()} did its work.` }
    : { outcome: 'accepted', answer: `${children}, ${after.toLocaleString('en-GB')} still do afterwards.` };
}

function isRefusedBy(proof: BreakingProof, { kind, constraint, column }: Refused): boolean {
  return kind === proof.kind && (proof.kind === 'null' ? column === proof.column : constraint === proof.constraint);
}

/**
 * Whether another key of the table refused a repeat, one that allows even less: its columns are among those that repeat. The
 * one that is proven has to be there, for that it is cannot be seen by such a try.
 */
function isRefusedBySome(proof: BreakingProof, { kind, constraint }: Refused, catalogue: Catalogue): boolean {
  if (proof.kind !== 'repeat' || kind !== 'repeat' || constraint === proof.constraint) return false;
  const { constraints } = getTable(catalogue, proof.table);
  if (!constraints.some(({ name, enforced }) => name === proof.constraint && enforced)) return false;
  const by = constraints.find(({ name }) => name === constraint);
  return (by?.kind === 'primary key' || by?.kind === 'unique') && by.columns.every((column) => proof.columns.includes(column));
}
