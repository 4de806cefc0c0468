// What every engine has to keep of every proof: a rule in force refuses what breaks it or acts as it declares, one that is
// not in force is seen through, and nothing of a try stays.

import { describe, expect, test } from 'vitest';
import { tableId } from '../../src/core/catalogue/identifiers';
import type { ReferentialAction } from '../../src/core/catalogue/model';
import type { EngineName } from '../../src/core/engines/name';
import { engineNamed } from '../../src/core/engines/index';
import type { Claim } from '../../src/core/evidence/claims';
import { inverseOf, kindOf, type Operation } from '../../src/core/operations/index';
import { isRefusing, type Proof } from '../../src/core/operations/proof';
import { perform } from '../../src/sources/run/perform';
import { type ProofAnswer, tryAction, tryBreaking } from '../../src/sources/run/prove';
import type { Session } from '../../src/sources/run/session';
import { Refusal } from '../../src/core/operations/refusal';
import { fit, fitting } from '../kit/fit';
import { enginesAtHand, type Live, liveEngine } from '../kit/live';

const [quay, stay] = [tableId('proof', 'quay'), tableId('proof', 'stay')];

// Of the quay that a default names nobody speaks.
const setup = `
  create schema proof;
  create table proof.quay (area_code varchar(9) not null, quay_no int not null, primary key (area_code, quay_no));
  insert into proof.quay values ('A1', 1), ('A1', 2), ('A2', 1), ('A2', 2), ('A3', 3);
  create table proof.stay (id int primary key, area_code varchar(9) default 'A3', quay_no int default 3, ticket varchar(9) not null,
    weight int, starts date, ends date, state varchar(9));
  create index ix_stay_quay on proof.stay (area_code, quay_no);
  insert into proof.stay values
    (1, 'A1', 2, 'T1', 1, '2026-01-01', '2026-01-02', 'open'),
    (2, 'A2', 1, 'T2', 2, '2026-01-03', '2026-01-03', 'open'),
    (3, 'A2', 2, 'T3', 3, '2026-01-05', '2026-01-09', 'shut');`;

const check = (claim: Claim): Operation => ({ kind: 'addCheck', table: stay, name: 'ck_it', claim, rows: 'checked' });
const claims: Readonly<Record<Claim['kind'], Claim>> = {
  notNegative: { kind: 'notNegative', column: 'weight' },
  ordered: { kind: 'ordered', first: 'starts', second: 'ends' },
  oneOf: { kind: 'oneOf', column: 'state', values: ['open', 'shut'] },
  noneOf: { kind: 'noneOf', column: 'state', values: ['N/A'] },
  notBlank: { kind: 'notBlank', column: 'state' },
  between: { kind: 'between', column: 'weight', least: '0', most: '40' },
  like: { kind: 'like', column: 'state', pattern: '^(open|shut)$' },
  noLonger: { kind: 'noLonger', column: 'state', characters: 6 },
  ofForm: { kind: 'ofForm', column: 'state', form: 'integer' },
  asWritten: { kind: 'asWritten', column: 'state', form: 'integer' },
  decimals: { kind: 'decimals', column: 'weight', most: 2 },
  inZone: { kind: 'inZone', column: 'starts', zone: 'Europe/Berlin' },
  condition: { kind: 'condition', parts: [{ column: 'weight' }, { sign: '>' }, { sign: '1' }] },
};
// No docket keeps these by a check: a column of the type that it has is what is advised.
const byType: readonly Claim['kind'][] = ['ofForm', 'asWritten', 'decimals', 'inZone'];
// Nor can anybody tell what breaks a condition of somebody's own.
const kept = Object.values(claims).filter(({ kind }) => kind !== 'condition' && !byType.includes(kind));

const breaking: readonly (readonly [what: string, operation: Operation, kinds: readonly Proof['kind'][]])[] = [
  ['NOT NULL', { kind: 'setNotNull', table: stay, column: 'state' }, ['null']],
  [
    'a unique constraint',
    { kind: 'addUnique', table: stay, name: 'uq_stay_ticket', columns: ['ticket'], index: null },
    ['repeat'],
  ],
  [
    'a unique constraint of several columns',
    { kind: 'addUnique', table: stay, name: 'uq_stay_quay', columns: ['area_code', 'quay_no'], index: null },
    ['repeat'],
  ],
  ['a reference', reference('no action', 'no action'), ['orphan', 'action', 'action']],
  ...kept.map((claim) => [`a check that keeps ${claim.kind}`, check(claim), ['check']] as const),
];

function reference(onDelete: ReferentialAction, onUpdate: ReferentialAction): Operation {
  return {
    kind: 'addForeignKey',
    table: stay,
    name: 'fk_stay_quay',
    columns: ['area_code', 'quay_no'],
    parent: quay,
    parentColumns: ['area_code', 'quay_no'],
    ...{ onDelete, onUpdate },
    match: 'simple',
    deferrable: 'no',
    rows: 'checked',
  };
}

for (const engine of enginesAtHand)
  describe(engine, () => {
    const live = liveEngine(engine).use(setup);
    const within = <T>(work: (session: Session) => Promise<T>): Promise<T> => onSession(live, work);

    test.each(breaking)('%s in force refuses what breaks it', (_, wanted, kinds) =>
      within(async (session) => {
        const operation = fitting(wanted, await session.readCatalogue());
        await perform(session, operation, { engine, mode: 'plain' });
        const proofs = kindOf(operation).proofs?.(operation) ?? [];
        expect(proofs.map(({ kind }) => kind)).toEqual(kinds);
        expect(await outcomes(session, engine, proofs)).toEqual(kinds.map(() => 'refused'));
        await undo(session, engine, operation);
      }),
    );

    test.each(breaking)('%s that is not in force is seen through', (_, operation) =>
      within(async (session) => {
        const proofs = (kindOf(operation).proofs?.(operation) ?? []).filter(({ kind }) => kind !== 'action');
        expect(await outcomes(session, engine, proofs)).toEqual(proofs.map(() => 'accepted'));
      }),
    );

    const actions: readonly ReferentialAction[] = ['no action', 'restrict', 'cascade', 'set null', 'set default'];
    test.each(actions.flatMap((onDelete) => actions.map((onUpdate) => [onDelete, onUpdate] as const)))(
      'of a composite reference on delete %s on update %s',
      (onDelete, onUpdate) =>
        within(async (session) => {
          const operation = fit(reference(onDelete, onUpdate), await session.readCatalogue());
          // What a server would take without a word and not do is not asked of it.
          if (operation instanceof Refusal) return expect(operation.message).toContain('does not do them');
          await perform(session, operation, { engine, mode: 'plain' });
          const acts = (action: ReferentialAction) => (isRefusing(action) ? 'refused' : 'acted');
          expect(await outcomes(session, engine, kindOf(operation).proofs?.(operation) ?? [])).toEqual([
            'refused',
            acts(onDelete),
            acts(onUpdate),
          ]);
          await undo(session, engine, operation);
        }),
    );

    test('a key within which there is a narrower one: nothing repeats past that, and only a key that is there is said to refuse', () =>
      within(async (session) => {
        const wanted = { kind: 'addUnique', table: stay, name: 'uq_all', columns: ['id', 'ticket'], index: null } as const;
        const operation = fitting(wanted, await session.readCatalogue());
        const proofs = kindOf(operation).proofs?.(operation) ?? [];
        expect(await outcomes(session, engine, proofs)).toEqual(['not provable']);
        await perform(session, operation, { engine, mode: 'plain' });
        expect(await outcomes(session, engine, proofs)).toEqual(['refused']);
        await undo(session, engine, operation);
      }));

    test('of a table without rows nothing can be tried', () =>
      within(async (session) => {
        await live.run('create table proof.empty (a int, b varchar(9))');
        const proof = { kind: 'repeat', table: tableId('proof', 'empty'), columns: ['a'], constraint: 'uq' } as const;
        expect(await outcomes(session, engine, [proof])).toEqual(['not provable']);
        await live.run('drop table proof.empty');
      }));
  });

/** With the rows and the catalogue the same afterwards. */
async function onSession<T>(live: Live, work: (session: Session) => Promise<T>): Promise<T> {
  const session = await live.session();
  try {
    const before = await stateOf(session);
    const result = await work(session);
    expect(await stateOf(session)).toEqual(before);
    return result;
  } finally {
    await session.close();
  }
}

async function stateOf(session: Session): Promise<unknown> {
  const { tables } = await session.readCatalogue();
  const rows = [quay, stay].map((table) => session.read(`select * from ${table} order by 1, 2`));
  return [tables.map(({ constraints, columns }) => ({ constraints, columns })), await Promise.all(rows)];
}

async function undo(session: Session, engine: EngineName, operation: Operation): Promise<void> {
  for (const back of inverseOf(operation)) await perform(session, back, { engine, mode: 'plain' });
}

async function outcomes(
  session: Session,
  engine: EngineName,
  proofs: readonly Proof[],
): Promise<readonly ProofAnswer['outcome'][]> {
  const { dialect } = engineNamed(engine);
  const catalogue = await session.readCatalogue();
  const all: ProofAnswer['outcome'][] = [];
  for (const proof of proofs) {
    const answer =
      proof.kind === 'action'
        ? await tryAction(session, dialect, proof, dialect.actionProof(proof, catalogue))
        : await tryBreaking(session, dialect, proof, { statement: dialect.proof(proof, catalogue), catalogue });
    all.push(answer.outcome);
  }
  return all;
}
