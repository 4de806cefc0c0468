// What a survey by files has come to, in a folder: the scripts, the answers that were brought, and `pawl.json` that tells
// of them. Nothing else is kept, so that the folder can be carried to where the database is, and back.

import { copyFile, mkdir, readFile, writeFile } from 'node:fs/promises';
import { basename, dirname, join, resolve } from 'node:path';
import { Part } from '../input/fill';
import { ArrayMaxSize, Equals, IsArray, IsBoolean, IsIn, IsOptional, IsString, Matches, ValidateNested } from 'class-validator';
import { engineNamed } from '../core/engines/index';
import { type EngineName, engineNames } from '../core/engines/name';
import { notJudgedBy } from '../core/rules/index';
import { documentOf } from '../core/survey/document';
import { parse } from '../input/parse';
import { type Answers, decoded, type KeptAnswer, readAnswers } from '../sources/files/answers';
import { notBrought, take, withoutTheRest } from '../sources/files/asking';
import { mostRounds } from '../sources/files/rounds';
import { surveyByFiles } from '../sources/files/survey';
import { UsageError } from './arguments';

const stateFile = 'pawl.json';

class AskedScriptLine {
  @Matches(/^[0-9a-f]{12}$/) id!: string;
  @IsArray() @Matches(/^q[0-9a-f]{16}$/, { each: true }) queries!: string[];
}

class AskedFolder {
  @Equals('pawl-asked/1') format!: 'pawl-asked/1';
  @IsIn(engineNames) engine!: EngineName;
  /** Where a server has databases side by side. */
  @IsOptional() @IsString() database = '';
  @IsBoolean() rows!: boolean;
  /** The scripts so far, the open one last. */
  @IsArray() @ArrayMaxSize(mostRounds) @ValidateNested({ each: true }) @Part(() => AskedScriptLine) scripts!: AskedScriptLine[];
  /** Names of the files of answers that were taken. */
  @IsArray() @ArrayMaxSize(100) @Matches(/^[\w.-]+$/, { each: true }) @IsString({ each: true }) answers!: string[];
  /** Ids of questions that nobody is going to answer. */
  @IsArray() @Matches(/^q[0-9a-f]{16}$/, { each: true }) without: string[] = [];
}

type Asked = Pick<AskedFolder, 'engine' | 'rows'> & { readonly database?: string };

/** Begins one. Throws UsageError where one is already. */
export async function begin(folder: string, { engine, database = '', rows }: Asked): Promise<void> {
  if (engineNamed(engine).databasesAreSchemas && database === '')
    throw new UsageError(`Which database of the ${engineNamed(engine).title} server? Name it with --database.`);
  await mkdir(folder, { recursive: true });
  const known = await readFile(join(folder, stateFile)).catch(() => null);
  if (known)
    throw new UsageError(`${folder} holds a survey already. Bring its answers with \`pawl answer\`, or name another folder.`);
  await step(folder, { format: 'pawl-asked/1', engine, database, rows, scripts: [], answers: [], without: [] });
}

/** Takes a file of answers, which tells by its folder what it answers. Throws AnswersError, UsageError. */
export async function answer(
  file: string,
  { folder = dirname(resolve(file)), withoutRest }: { readonly folder?: string | undefined; readonly withoutRest: boolean },
): Promise<void> {
  const state = await stateIn(folder);
  const brought = await answersIn(file);
  const { before, known } = await takenIn(folder, state);
  const { answers, missing, remark } = take(brought, { engine: state.engine, before, scripts: state.scripts, known });
  if (remark !== null) process.stderr.write(`${remark}\n`);
  if (answers.size === 0 && !withoutRest) return;
  const name = state.answers.includes(basename(file)) ? `${state.answers.length + 1}-${basename(file)}` : basename(file);
  if (resolve(file) !== resolve(folder, name)) await copyFile(file, join(folder, name));
  const now = { ...state, answers: [...state.answers, name] };
  if (missing > 0 && !withoutRest) return keep(folder, now);
  const open = now.scripts.at(-1);
  const given = open && withoutRest ? withoutTheRest(open, (await takenIn(folder, now)).known).keys() : [];
  await step(folder, { ...now, without: [...now.without, ...given] });
}

async function stateIn(folder: string): Promise<AskedFolder> {
  const text = await readFile(join(folder, stateFile), 'utf8').catch((cause: unknown) => {
    throw new UsageError(`${folder} holds no survey by files. Begin one with \`pawl ask\`.`, { cause });
  });
  const parsed = await parse(AskedFolder, jsonIn(text));
  if (!parsed.ok) throw new UsageError(`${join(folder, stateFile)} is not what \`pawl ask\` wrote.`);
  return parsed.value;
}

function jsonIn(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

async function answersIn(file: string): Promise<Answers> {
  return readAnswers(decoded(await readFile(file)));
}

interface TakenSoFar {
  readonly before: Answers | null;
  readonly known: ReadonlyMap<string, KeptAnswer>;
}

async function takenIn(folder: string, { answers, without }: AskedFolder): Promise<TakenSoFar> {
  const all = await Promise.all(answers.map((name) => answersIn(join(folder, name))));
  return { before: all[0] ?? null, known: new Map([...all.flatMap(({ byQuery }) => [...byQuery]), ...nobodys(without)]) };
}

function nobodys(queries: readonly string[]): readonly (readonly [string, KeptAnswer])[] {
  return queries.map((id) => [id, { refused: notBrought }]);
}

// Goes on as far as the answers reach: to another script, or to the end.
async function step(folder: string, state: AskedFolder): Promise<void> {
  const { known } = await takenIn(folder, state);
  const { engine, scripts } = state;
  const next = await surveyByFiles({ asked: state, rounds: scripts.length, answers: known }, {});
  if ('asked' in next) {
    const { id, text, round, queries } = next.asked;
    const name = `pawl-${round}.sql`;
    await writeFile(join(folder, name), text, { mode: 0o600 });
    await keep(folder, { ...state, scripts: [...scripts, { id, queries: [...queries] }] });
    process.stderr.write(
      `Round ${round} of ${mostRounds} at most: ${queries.length} questions in ${join(folder, name)}. Run it (${engineNamed(engine).client.asks(name, `pawl-${id}.txt`)}), and bring what it writes: pawl answer pawl-${id}.txt\n`,
    );
    return;
  }
  await keep(folder, state);
  const document = documentOf({ ...next.result, depth: 'exact' });
  const file = join(folder, 'survey.json');
  await writeFile(file, `${JSON.stringify(document, null, 1)}\n`, { mode: 0o600 });
  process.stderr.write(`${document.tables.length} tables, ${document.findings.length} findings: ${file}\n`);
  for (const { lacks, abouts } of notJudgedBy(next.result.catalogue.unknown))
    process.stderr.write(`Not known: ${lacks}. So not judged:\n  ${abouts.join('\n  ')}\n`);
}

async function keep(folder: string, state: AskedFolder): Promise<void> {
  await writeFile(join(folder, stateFile), `${JSON.stringify(state, null, 1)}\n`, { mode: 0o600 });
}
