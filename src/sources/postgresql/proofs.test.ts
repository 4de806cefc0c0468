// What proofs meet on PostgreSQL alone: constraints that are put off, and triggers that a try fires. The rest is in test/contract.

import { triggersFired } from '../../core/operations/proof';
import { expect, test } from 'vitest';
import { useDatabase } from '../../../test/kit/database';
import { tableId } from '../../core/catalogue/identifiers';
import type { ReferentialAction } from '../../core/catalogue/model';
import { postgresql } from '../../core/engines/postgresql/index';
import { kindOf, type Operation } from '../../core/operations/index';
import { tryAction, tryBreaking } from '../run/prove';
import { openSession } from './session';
import { fingerprintOf } from './scratch';

const database = useDatabase(`
  create schema port;
  create table port.berth (area_code text not null, berth_no int not null, primary key (area_code, berth_no));
  insert into port.berth select 'A' || n % 3, n from generate_series(1, 9) n;
  create table port.booking (
    id int primary key, area_code text default 'A1', berth_no int default 1);
  insert into port.booking select n, 'A' || n % 3, n from generate_series(1, 9) n;
  create table port.berth_log (berth_no int);
  create function port.note_berth() returns trigger language plpgsql as $$ begin insert into port.berth_log values (old.berth_no); return old; end $$;
  create trigger note_berth after delete on port.berth for each row execute function port.note_berth();
`);
const booking = tableId('port', 'booking');

async function proven(change: string, operation: Operation, undo: string): Promise<readonly string[]> {
  await database.run(change);
  const before = await fingerprintOf(database.details);
  const session = await openSession(database.details);
  const outcomes: string[] = [];
  try {
    const catalogue = await session.readCatalogue();
    for (const proof of kindOf(operation).proofs?.(operation) ?? []) {
      const answer =
        proof.kind === 'action'
          ? await tryAction(session, postgresql.dialect, proof, postgresql.dialect.actionProof(proof, catalogue))
          : await tryBreaking(session, postgresql.dialect, proof, {
              statement: postgresql.dialect.proof(proof, catalogue),
              catalogue,
            });
      const fired = triggersFired(proof, catalogue);
      outcomes.push(
        `${proof.kind === 'action' ? proof.event : proof.kind}: ${answer.outcome}${fired.length > 0 ? ` (${fired.join()})` : ''}`,
      );
    }
    expect(await fingerprintOf(database.details)).toEqual(before);
  } finally {
    await session.close();
    await database.run(undo);
  }
  return outcomes;
}

test.each([
  ['restrict', 'no action', 'refused', 'refused', 'deferrable initially deferred'],
  ['set null', 'set null', 'acted', 'acted', 'deferrable'],
  ['set default', 'cascade', 'acted', 'acted', ''],
] as const)(
  'of a composite reference on delete %s on update %s',
  async (onDelete: ReferentialAction, onUpdate: ReferentialAction, deleted, updated, deferrable) => {
    // The default is a berth that is not the first to be picked.
    const outcomes = await proven(
      `alter table port.booking add constraint fk_berth foreign key (area_code, berth_no) references port.berth on delete ${onDelete} on update ${onUpdate} ${deferrable};
       update port.booking set area_code = 'A2', berth_no = 2 where id = 1`,
      {
        kind: 'addForeignKey',
        table: booking,
        name: 'fk_berth',
        columns: ['area_code', 'berth_no'],
        parent: tableId('port', 'berth'),
        parentColumns: ['area_code', 'berth_no'],
        onDelete,
        onUpdate,
        match: 'simple',
        deferrable: 'no',
        rows: 'new only',
      },
      `alter table port.booking drop constraint fk_berth; update port.booking set area_code = 'A1', berth_no = 1 where id = 1`,
    );
    const fires = ' (note_berth of port.berth)';
    expect(outcomes).toEqual(['orphan: refused', `delete: ${deleted}${fires}`, `update: ${updated}${fires}`]);
  },
);
