// Unique among some rows, whatever the case, or with nulls alike, where a server's indexes can be that: what repeats is set aside first, the
// rule is tried, and all of it comes back.

import { describe, expect, test } from 'vitest';
import { engineOf } from '../../src/core/engines/index';
import { traitsOf } from '../../src/core/engines/facts';
import { modes } from '../../src/core/plan/cost';
import { type Tables, thereAndBack, type Wanted } from '../kit/decided';
import { enginesAtHand, liveEngine } from '../kit/live';

const setup = `
  create schema yard;
  create table yard.tug (tug_no int not null primary key, code varchar(20), "Gone ""at""" timestamp, is_deleted boolean);
  create table yard.job (job_no int not null primary key, code varchar(20), leg int, constraint uq_job unique (code, leg));
  create table yard.note (note_no int not null primary key, code varchar(20));
  insert into yard.note values (1, 'A2'), (2, ' a2');
  insert into yard.tug values (1, 'A1', null, false), (2, 'A1', '2026-01-01', true), (3, ' a2', null, null), (4, 'A2', null, true), (5, null, null, false), (6, null, null, false);
  insert into yard.job values (1, 'A2', 1), (2, ' a2', 2), (3, 'A1', null), (4, 'A1', null);`;

const tables: Tables = { schema: 'yard', names: ['tug', 'job', 'note'] };
const gone = 'Gone "at"';
const wanted = {
  'until a moment': {
    table: 'tug',
    proposal: { kind: 'unique', columns: ['code'], among: { live: { column: gone, set: 'moment' } } },
  },
  'until a flag': {
    table: 'tug',
    proposal: { kind: 'unique', columns: ['code'], among: { live: { column: 'is_deleted', set: 'flag' } } },
  },
  'whatever the case': {
    table: 'tug',
    proposal: {
      ...{ kind: 'repeats', columns: ['code'], rows: 4, values: 2, among: { folded: true } },
      children: [{ table: 'yard.note', columns: ['code'], parentColumns: ['code'] }],
    } as never,
    decision: { repeats: 'first', repeatsBy: 'tug_no' },
  },
} as const satisfies Readonly<Record<string, Wanted>>;
const alike: Wanted = {
  table: 'job',
  decision: { nulls: 'alike' },
  proposal: { kind: 'change', columns: ['code', 'leg'], name: 'uq_job', nulls: 'alike' },
};

/** A row that each refuses, and one that it lets in. */
const tried: Readonly<Record<keyof typeof wanted, readonly [string, string]>> = {
  'until a moment': ["(9, 'A1', null, true)", "(9, 'A1', '2026-02-02', null)"],
  'until a flag': ["(9, 'A1', null, null)", "(9, 'A1', null, true)"],
  'whatever the case': ["(9, 'a1 ', null, true)", '(9, null, null, null)'],
};

for (const engine of enginesAtHand)
  describe.each(modes)(`${engine}, %s`, (mode) => {
    const live = liveEngine(engine).use(engine === 'postgresql' ? setup : 'create schema yard;');

    test.each(Object.keys(wanted) as (keyof typeof wanted)[])('unique %s', async (one) => {
      const session = await live.session();
      const catalogue = await session.readCatalogue();
      await session.close();
      if (!traitsOf(catalogue).indexesSome) return expect(engine).not.toBe('postgresql');
      return thereAndBack(live, mode, { tables, wanted: [wanted[one]] }, async (running, plan) => {
        const [refused, taken] = tried[one];
        await expect(live.run(`insert into yard.tug values ${refused}`)).rejects.toThrow(/uq_|ix_|tug/);
        await live.run(`insert into yard.tug values ${taken}`);
        await live.run('delete from yard.tug where tug_no = 9');
        const { dialect } = engineOf(catalogue);
        const proofs = plan.steps.flatMap(({ proofs: own }) => own).filter((proof) => proof.kind === 'repeat');
        expect(proofs).toHaveLength(1);
        for (const proof of proofs) {
          if (proof.kind !== 'repeat') continue;
          const attempt = dialect.proof(proof, await running.readCatalogue());
          await expect(live.run(`begin; ${attempt}; rollback`)).rejects.toThrow(new RegExp(proof.constraint));
          await live.run('rollback').catch(() => undefined);
        }
      });
    });

    test('nulls repeat as values do, once those that do are gone', async () => {
      const session = await live.session();
      const catalogue = await session.readCatalogue();
      await session.close();
      if (!traitsOf(catalogue).nullsAlike) return expect(engine).not.toBe('postgresql 18');
      await expect(thereAndBack(live, mode, { tables, wanted: [alike] }, () => Promise.resolve())).rejects.toThrow(
        /Nothing was changed.*code, leg in yard.job that repeat/s,
      );
      await live.run('update yard.job set leg = 4 where job_no = 4');
      await thereAndBack(live, mode, { tables, wanted: [alike] }, async () => {
        await expect(live.run("insert into yard.job values (9, 'A1', null)")).rejects.toThrow(/uq_job/);
      });
      await live.run('update yard.job set leg = null where job_no = 4');
      return undefined;
    });
  });
