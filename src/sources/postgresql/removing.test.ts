// Whatever may be dropped comes back as it was, to the letter of the server's own spelling; what could not is refused.

import { expect, test } from 'vitest';
import { tableId } from '../../core/catalogue/identifiers';
import type { Catalogue, Table } from '../../core/catalogue/model';
import { inverseOf, type Operation } from '../../core/operations/index';
import { Refusal } from '../../core/operations/refusal';
import { modes } from '../../core/plan/cost';
import { operationsFor } from '../../core/remedies/index';
import type { DropProposal } from '../../core/remedies/drop';
import { perform } from '../run/perform';
import type { Session } from '../run/session';
import { liveEngine } from '../../../test/kit/live';

const live = liveEngine('postgresql').use(`
  create schema yard;
  create table yard."Odd ""slip""" (
    id int primary key, code text, "Berth no" text, place int, other int, tags int[], noted timestamptz,
    constraint "uq it's" unique ("Berth no", code) deferrable initially deferred,
    constraint uq_carrying unique (place) include (other),
    constraint uq_rested unique (code),
    constraint ck_quoted check (code <> E'it''s; -- \\\\ no comment' and "Berth no" <> 'a"b'),
    constraint ck_own check (place > 0) no inherit,
    constraint ex_place exclude (other with =)
  );
  comment on constraint ck_own on yard."Odd ""slip""" is 'it''s ours';
  comment on constraint uq_carrying on yard."Odd ""slip""" is 'by place';
  alter table yard."Odd ""slip""" add constraint ck_later check (other is not null or code like '%;%') not valid;
  create index "ix Berth" on yard."Odd ""slip""" ("Berth no", code);
  create unique index ux_some on yard."Odd ""slip""" (place, code) include (other) where code <> 'x;y' and place > 3;
  create index ix_hash on yard."Odd ""slip""" using hash (code);
  create index ix_brin on yard."Odd ""slip""" using brin (noted);
  create index ix_tags on yard."Odd ""slip""" using gin (tags);
  create index ix_desc on yard."Odd ""slip""" (place desc);
  create index ix_lower on yard."Odd ""slip""" (lower(code));
  create index ix_filled on yard."Odd ""slip""" (other) with (fillfactor = 70);
  create index ix_told on yard."Odd ""slip""" (noted);
  comment on index yard.ix_told is 'of the yard';
  create index ix_pattern on yard."Odd ""slip""" (code text_pattern_ops);
  create table yard.user (code text references yard."Odd ""slip""" (code));
`);
const id = tableId('yard', 'Odd "slip"');
const comesBack = [
  ...['ck_later', 'ck_own', 'ck_quoted', "uq it's", 'uq_carrying'],
  ...['ix Berth', 'ix_brin', 'ix_hash', 'ix_tags', 'ux_some'].map((name) => `index ${name}`),
];

function proposals({ constraints, indexes }: Table): readonly DropProposal[] {
  return [
    ...constraints.map(({ name }) => ({ kind: 'drop', columns: [], name }) as const),
    ...indexes
      .filter(({ constraint }) => constraint === null)
      .map(({ name }) => ({ kind: 'drop', columns: [], name, object: 'index' }) as const),
  ];
}

function tableIn({ tables }: Catalogue): Table {
  return tables.find((table) => table.id === id) as Table;
}

function operationsOf(proposal: DropProposal, catalogue: Catalogue): readonly Operation[] | Refusal {
  const object = { schema: 'yard', table: 'Odd "slip"' };
  return operationsFor({ object, proposal }, {}, { catalogue, templates: {} } as never);
}

/** All that the server says of the table. */
function spelt(session: Session): Promise<unknown> {
  return session.read(`
    select pg_get_constraintdef(oid), conname, coninhcount, obj_description(oid, 'pg_constraint') from pg_constraint
      where conrelid = '${id.replace('Odd "slip"', '"Odd ""slip"""')}'::regclass
    union all select pg_get_indexdef(indexrelid), indexrelid::regclass::text, 0, obj_description(indexrelid, 'pg_class') from pg_index
      where indrelid = 'yard."Odd ""slip"""'::regclass order by 2, 1`);
}

test.each(modes)('what is dropped comes back, %s', async (mode) => {
  const session = await live.session();
  try {
    const catalogue = await session.readCatalogue();
    const all = proposals(tableIn(catalogue)).map((proposal) => ({ proposal, made: operationsOf(proposal, catalogue) }));
    const named = ({ name, object }: DropProposal): string => (object ? `index ${name}` : name);
    const able = all.flatMap(({ proposal, made }) => (made instanceof Refusal ? [] : [{ name: named(proposal), made }]));
    expect(able.map(({ name }) => name).sort()).toEqual([...comesBack].sort());
    const before = await spelt(session);
    for (const { made } of able) for (const operation of made) await perform(session, operation, { engine: 'postgresql', mode });
    expect(tableIn(await session.readCatalogue()).constraints.map(({ name }) => name)).toEqual([
      'Odd "slip"_pkey',
      'ex_place',
      'uq_rested',
    ]);
    for (const { made } of able.toReversed())
      for (const operation of made.flatMap(inverseOf)) await perform(session, operation, { engine: 'postgresql', mode });
    expect(await spelt(session)).toEqual(before);
    expect(tableIn(await session.readCatalogue())).toEqual(tableIn(catalogue));
  } finally {
    await session.close();
  }
});
