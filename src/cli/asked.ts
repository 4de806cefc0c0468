// What a survey by files has come to, in a folder: the scripts, the answers that were brought, and `pawl.json` that tells
// of them. Nothing else is kept, so that the folder can be carried to where the database is, and back.

import { copyFile, mkdir, readFile, writeFile } from 'node:fs/promises';
import { basename, dirname, join, resolve } from 'node:path';
import { ArrayMaxSize, Equals, IsArray, IsBoolean, IsIn, IsString, Matches } from 'class-validator';
import { type EngineName, engineNames } from '../core/engines/index';
import { documentOf } from '../core/survey/document';
import { parse } from '../input/parse';
import { type Answers, decoded, type KeptAnswer, readAnswers } from '../sources/files/answers';
import { take } from '../sources/files/asking';
import { mostRounds } from '../sources/files/rounds';
import { surveyByFiles } from '../sources/files/survey';
import { UsageError } from './arguments';

const stateFile = 'pawl.json';

class AskedFolder {
  @Equals('pawl-asked/1') format!: 'pawl-asked/1';
  @IsIn(engineNames) engine!: EngineName;
  @IsBoolean() rows!: boolean;
  /** Ids of the scripts so far, the open one last. */
  @IsArray() @ArrayMaxSize(mostRounds) @Matches(/^[0-9a-f]{12}$/, { each: true }) scripts!: string[];
  /** Names of the files of answers that were taken. */
  @IsArray() @ArrayMaxSize(100) @Matches(/^[\w.-]+$/, { each: true }) @IsString({ each: true }) answers!: string[];
}

/** Begins one. Throws UsageError where one is already. */
export async function begin(folder: string, engine: EngineName, rows: boolean): Promise<void> {
  await mkdir(folder, { recursive: true });
  const known = await readFile(join(folder, stateFile)).catch(() => null);
  if (known)
    throw new UsageError(`${folder} holds a survey already. Bring its answers with \`pawl answer\`, or name another folder.`);
  await step(folder, { format: 'pawl-asked/1', engine, rows, scripts: [], answers: [] });
}

/** Takes a file of answers, which tells by its folder what it answers. Throws AnswersError, UsageError. */
export async function answer(file: string, folder: string = dirname(resolve(file))): Promise<void> {
  const state = await stateIn(folder);
  const brought = await answersIn(file);
  const { before, known } = await takenIn(folder, state);
  const { answers, remark } = take(brought, { engine: state.engine, before, scripts: state.scripts, known });
  if (remark !== null) process.stderr.write(`${remark}\n`);
  if (answers.size === 0) return;
  const name = state.answers.includes(basename(file)) ? `${state.answers.length + 1}-${basename(file)}` : basename(file);
  if (resolve(file) !== resolve(folder, name)) await copyFile(file, join(folder, name));
  await step(folder, { ...state, answers: [...state.answers, name] });
}

async function stateIn(folder: string): Promise<AskedFolder> {
  const text = await readFile(join(folder, stateFile), 'utf8').catch((cause: unknown) => {
    throw new UsageError(`${folder} holds no survey by files. Begin one with \`pawl ask\`.`, { cause });
  });
  const parsed = await parse(AskedFolder, JSON.parse(text));
  if (!parsed.ok) throw new UsageError(`${join(folder, stateFile)} is not what \`pawl ask\` wrote.`);
  return parsed.value;
}

async function answersIn(file: string): Promise<Answers> {
  return readAnswers(decoded(await readFile(file)));
}

interface TakenSoFar {
  readonly before: Answers | null;
  readonly known: ReadonlyMap<string, KeptAnswer>;
}

async function takenIn(folder: string, { answers }: AskedFolder): Promise<TakenSoFar> {
  const all = await Promise.all(answers.map((name) => answersIn(join(folder, name))));
  return { before: all[0] ?? null, known: new Map(all.flatMap(({ byQuery }) => [...byQuery])) };
}

// Goes on as far as the answers reach: to another script, or to the end.
async function step(folder: string, state: AskedFolder): Promise<void> {
  const { known } = await takenIn(folder, state);
  const { engine, rows, scripts } = state;
  const next = await surveyByFiles({ engine, rows, rounds: scripts.length, answers: known }, {});
  if ('asked' in next) {
    const { id, text, round, queries } = next.asked;
    const name = `pawl-${round}.sql`;
    await writeFile(join(folder, name), text, { mode: 0o600 });
    await keep(folder, { ...state, scripts: [...scripts, id] });
    process.stderr.write(
      `Round ${round} of ${mostRounds} at most: ${queries.length} questions in ${join(folder, name)}. Run it, and bring what it writes: pawl answer pawl-${id}.txt\n`,
    );
    return;
  }
  await keep(folder, state);
  const document = documentOf({ ...next.result, depth: 'exact' });
  const file = join(folder, 'survey.json');
  await writeFile(file, `${JSON.stringify(document, null, 1)}\n`, { mode: 0o600 });
  process.stderr.write(`${document.tables.length} tables, ${document.findings.length} findings: ${file}\n`);
}

async function keep(folder: string, state: AskedFolder): Promise<void> {
  await writeFile(join(folder, stateFile), `${JSON.stringify(state, null, 1)}\n`, { mode: 0o600 });
}
