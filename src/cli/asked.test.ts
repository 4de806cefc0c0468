// The terminal's walk behind a wall: a folder with scripts and answers, carried there and back.

import { mkdtempSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { useDatabase } from '../../test/kit/database';
import { enginesAtHand, liveEngine } from '../../test/kit/live';
import { answersTo } from '../../test/kit/psql';
import { engineNamed } from '../core/engines/index';
import { firstEngine } from '../core/engines/name';
import { readSurveyDocument } from '../input/surveyDocument';
import { AnswersError } from '../sources/files/answers';
import { UsageError } from './arguments';
import { run as answer } from './commands/answer';
import { run as ask } from './commands/ask';

const database = useDatabase(`
  create table vessel (vessel_id int, imo_no text);
  insert into vessel select n, 'I' || n from generate_series(1, 300) n;
  create table call (call_no text not null, vessel_id int);
  insert into call select 'C' || n, n % 300 + 1 from generate_series(1, 900) n;
  analyze;`);

let folder: string;
let said: string[];
beforeEach(() => {
  folder = join(mkdtempSync(join(tmpdir(), 'pawl-asked-')), 'walk');
  said = [];
  vi.spyOn(process.stderr, 'write').mockImplementation((text) => said.push(String(text)) > 0);
});

/** Runs a script of the folder there, and lays what it wrote beside it. */
async function answered(script: string): Promise<string> {
  const text = readFileSync(join(folder, script), 'utf8');
  const file = join(folder, /^\\o (\S+)$/m.exec(text)?.[1] ?? '');
  writeFileSync(file, await answersTo(database.details, text));
  return file;
}

const begin = () => ask(['--engine', firstEngine, '--rows', '--out', folder]);

describe.each(enginesAtHand)('%s', (engine) => {
  const live = liveEngine(engine).use();

  test('ask, run, answer, until the survey is a file as any other', async () => {
    await ask(['--engine', engine, '--database', 'port', '--rows', '--out', folder]);
    for (const script of ['pawl-1.sql', 'pawl-2.sql', 'pawl-3.sql']) {
      expect(statSync(join(folder, script)).mode & 0o077).toBe(0);
      const [, file = ''] = /pawl answer (pawl-\w+\.txt)\n$/.exec(said.at(-1) ?? '') ?? [];
      writeFileSync(join(folder, file), await live.answersTo(readFileSync(join(folder, script), 'utf8'), null));
      await answer([join(folder, file)]);
      if (readdirSync(folder).includes('survey.json')) break;
    }
    const { findings, catalogue } = await readSurveyDocument(readFileSync(join(folder, 'survey.json'), 'utf8'));
    expect(catalogue.engine.name).toBe(engine);
    expect(findings.map(({ id }) => id)).toEqual(expect.arrayContaining(['keys/missing:port.berth', 'keys/missing:port.note']));
    expect(said.join('')).toMatch(/5 tables, \d+ findings/);
  });

  const sideBySide = engineNamed(engine).databasesAreSchemas;
  if (sideBySide)
    test('a server with databases side by side is asked for one of them', async () => {
      await expect(ask(['--engine', engine, '--out', folder])).rejects.toThrow('Name it with --database');
    });
});

test('a folder holds one survey, and only what was asked there', async () => {
  await begin();
  await expect(begin()).rejects.toThrow('holds a survey already');
  const elsewhere = mkdtempSync(join(tmpdir(), 'pawl-asked-'));
  const file = await answered('pawl-1.sql');
  await expect(answer([file, '--in', elsewhere])).rejects.toThrow(UsageError);
  writeFileSync(join(elsewhere, 'pawl.json'), '{"format":"pawl-asked/1","scripts":"x"}');
  await expect(answer([file, '--in', elsewhere])).rejects.toThrow('is not what `pawl ask` wrote');
  writeFileSync(join(elsewhere, 'pawl.json'), 'no JSON');
  await expect(answer([file, '--in', elsewhere])).rejects.toThrow('is not what `pawl ask` wrote');
  const garbage = join(folder, 'garbage.txt');
  writeFileSync(garbage, 'hello');
  await expect(answer([garbage])).rejects.toThrow(AnswersError);
});

describe('answers that are cut off', () => {
  async function cut(): Promise<string> {
    await begin();
    const whole = await answered('pawl-1.sql');
    const part = join(folder, 'part.txt');
    writeFileSync(part, readFileSync(whole, 'utf8').split('\n').slice(0, 4).join('\n'));
    return part;
  }

  test('keep the script open until the whole file comes', async () => {
    await answer([await cut()]);
    expect(said.join('')).toContain('The file is cut off');
    expect(readdirSync(folder)).not.toContain('pawl-2.sql');
    await answer([await answered('pawl-1.sql')]);
    expect(readdirSync(folder)).toContain('pawl-2.sql');
  });

  test('can be gone on without: then what is missing is said', async () => {
    await expect(answer([await cut(), '--without-rest'])).rejects.toThrow('Nobody brought the answer');
  });
});
