import type pg from 'pg';
import type { Proof } from '../../core/plan/proofs';
import type { ChangingSession, ConnectionDetails, ProofAnswer } from '../source';
import { openChanging } from './connect';
import { codeOf, statementError } from './errors';
import { readCatalogue } from './readCatalogue';

const lockTries = 3;
const proofMs = 15_000;

/** Opens the session that runs a docket. `lockMs` bounds how long a step waits for others. Throws SourceError. */
export async function openPostgresqlForChange(details: ConnectionDetails, lockMs = 5_000): Promise<ChangingSession> {
  const client = await openChanging(details, { statementMs: 0, lockMs });
  return {
    readCatalogue: () => readCatalogue(client),
    check: async (query) => {
      const { rows } = await client
        .query<unknown[]>({ text: query, rowMode: 'array' })
        .catch((error: unknown) => fail(error, 'Checking'));
      return Number(rows[0]?.[0]);
    },
    change: (statements) => change(client, statements, lockTries),
    prove: (proof, statement) => prove(client, proof, statement),
    close: () => client.end(),
  };
}

// A lock that is not free in time is waited for again: the queue behind us was let through meanwhile.
async function change(client: pg.Client, statements: readonly string[], tries: number): Promise<string> {
  try {
    await client.query('begin');
    let rows = 0;
    for (const statement of statements) rows += (await client.query(statement)).rowCount ?? 0;
    await client.query('commit');
    return rows > 0 ? `done, ${rows.toLocaleString('en-GB')} rows` : 'done';
  } catch (error) {
    await client.query('rollback').catch(() => undefined);
    if (codeOf(error) === '55P03' && tries > 1) return change(client, statements, tries - 1);
    return fail(error, 'The step was rolled back');
  }
}

async function prove(client: pg.Client, proof: Proof, statement: string): Promise<ProofAnswer> {
  try {
    await client.query(`begin; set local statement_timeout = ${proofMs}; set constraints all immediate`);
    const { rowCount } = await client.query(statement);
    return rowCount === 0
      ? { outcome: 'not provable', answer: 'There are not enough rows to build a try from.' }
      : { outcome: 'accepted', answer: 'The database let it happen. The rule is not in force.' };
  } catch (error) {
    const problem = error as pg.DatabaseError;
    const answer = [problem.message, problem.detail].filter(Boolean).join('. ');
    return { outcome: isRefusalOf(proof, problem) ? 'refused' : 'not provable', answer };
  } finally {
    await client.query('rollback').catch(() => undefined);
  }
}

// not_null_violation, unique_violation, foreign_key_violation: PostgreSQL manual, appendix A.
function isRefusalOf(proof: Proof, error: pg.DatabaseError): boolean {
  switch (proof.kind) {
    case 'null':
      return error.code === '23502' && error.column === proof.column;
    case 'repeat':
      return error.code === '23505' && error.constraint === proof.constraint;
    case 'orphan':
      return error.code === '23503' && error.constraint === proof.constraint;
  }
}

function fail(error: unknown, doing: string): never {
  throw statementError(error, doing);
}
