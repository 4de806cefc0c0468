// Files of answers: a line a row, of a query's id and its fields; lines that are no such are banners of some client and
// are passed over. Whatever is in one is checked before anything of it is kept: it comes from people.

import { createHash } from 'node:crypto';
import { decodeField, letters } from '../../core/engines/answerLines';
import { type EngineName, engineNames } from '../../core/engines/name';
import type { Query, Row } from '../../core/engines/questions';

/** A file of answers that cannot be taken; the message says why and what to do. */
export class AnswersError extends Error {
  override readonly name = 'AnswersError';
}

export interface Answers {
  /** The script that was run. */
  readonly script: string;
  readonly engine: EngineName;
  readonly version: string;
  readonly database: string;
  readonly byQuery: ReadonlyMap<string, KeptAnswer>;
  /** Queries whose rows did not all come, and true when the file does not end as it should: what is left is asked again. */
  readonly cut: number;
  readonly ended: boolean;
}

/** Its rows, or the code with which the server refused. */
export type KeptAnswer = { readonly rows: readonly Row[] } | { readonly refused: string };

/** The same query has the same id on every day and machine. */
export function queryId({ text, values = [] }: Pick<Query, 'text' | 'values'>): string {
  return `q${hashOf(JSON.stringify([text, values])).slice(0, 16)}`;
}

export function scriptId(queries: readonly string[]): string {
  return hashOf(queries.join(' ')).slice(0, 12);
}

function hashOf(text: string): string {
  return createHash('sha256').update(text).digest('hex');
}

/** Of what a client was told to write, by a letter that it must have kept. Throws AnswersError. */
export function decoded(bytes: Uint8Array): string {
  const encoding = encodingOf(bytes);
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(bytes);
  } catch {
    const text = new TextDecoder('windows-1252').decode(bytes);
    if (text.includes(`|${letters.join('|')}|`)) return text;
    throw new AnswersError(
      'The file is in an encoding in which letters were lost. Run the script again with a client that writes UTF-8.',
    );
  }
}

function encodingOf(bytes: Uint8Array): string {
  const [first = 0, second = 0] = bytes;
  if ((first === 0xff && second === 0xfe) || (first !== 0 && second === 0)) return 'utf-16le';
  return (first === 0xfe && second === 0xff) || (first === 0 && second !== 0) ? 'utf-16be' : 'utf-8';
}

/** Throws AnswersError where it is no file of answers, or contradicts itself. */
export function readAnswers(text: string): Answers {
  const reading = new Reading();
  for (const line of text.split(/\r?\n/)) reading.take(line);
  return reading.done();
}

interface Says {
  readonly query: string;
  readonly once: string;
  readonly name: string | null;
  /** False where the client escapes what would end a field or a line. */
  readonly plain: boolean;
  readonly lines: string[];
}

const escapes: Readonly<Record<string, string>> = { n: '\n', t: '\t', '0': '\0' };

function unescaped(line: string): string {
  return line.replaceAll(/\\(.)/g, (_, sign: string) => escapes[sign] ?? sign);
}

class Reading {
  private begin: Pick<Answers, 'script' | 'engine' | 'version' | 'database'> | null = null;
  private ended = false;
  private readonly rows = new Map<string, Row[]>();
  private readonly answers = new Map<string, KeptAnswer>();
  private readonly cut = new Set<string>();
  /** What a statement of the server's own says, as its client writes it. */
  private says: Says | null = null;

  take(line: string): void {
    if (this.says) return this.takeSaid(this.says, line);
    const fields = line.split('|');
    const [word = '', version, kind = '', ...rest] = fields;
    if (word === 'pawl' && version === '1') this.takeMark(kind, rest);
    else if (/^q[0-9a-f]{16}$/.test(word)) this.rowsFor(word).push(fields.slice(1).map(decodeField));
  }

  private rowsFor(query: string): Row[] {
    const known = this.rows.get(query) ?? [];
    this.rows.set(query, known);
    return known;
  }

  private takeMark(kind: string, [first = '', second = '', ...rest]: readonly string[]): void {
    if (kind === 'begin') this.takeBegin(first, second, rest);
    else if (kind === 'end') this.ended ||= first === this.begin?.script;
    else if (kind === 'says') {
      const [name = '', tab] = rest;
      this.says = { query: first, once: second, name: decodeField(name), plain: tab !== '\\t', lines: [] };
    } else if (kind === 'error') this.keep(first, { refused: second.slice(0, 200) });
    else if (kind === 'count') {
      const rows = this.rows.get(first) ?? [];
      this.rows.delete(first);
      if (rows.length === Number(second)) this.keep(first, { rows });
      else this.cut.add(first);
    }
  }

  // Nothing in it is a mark, whatever it says: the last line is one that nobody could know before.
  private takeSaid({ query, once, name, plain, lines }: Says, line: string): void {
    if (line !== `pawl|1|said|${once}`) return void lines.push(plain ? line : unescaped(line));
    this.says = null;
    // Of a client that prints headings the first line is that of what was said, and the last that of the mark.
    const headed = lines.at(-1) === 'pawl';
    this.rowsFor(query).push([name, lines.slice(headed ? 1 : 0, headed ? -1 : undefined).join('\n')]);
  }

  private takeBegin(
    script: string,
    engine: string,
    [version = '', letter = '', other = '', database = '']: readonly string[],
  ): void {
    const known = engineNames.find((name) => name === engine);
    if (!known) throw new AnswersError(`The file is of an engine that is not known here: ${engine.slice(0, 40)}.`);
    if (letter !== letters[0] || other !== letters[1])
      throw new AnswersError('Letters of the file were lost on its way. Run the script again with a client that writes UTF-8.');
    if (this.begin && this.begin.script !== script)
      throw new AnswersError('The file holds the answers to two scripts. Bring each in a file of its own.');
    this.begin = { script, engine: known, version: decodeField(version) ?? '', database: decodeField(database) ?? '' };
  }

  private keep(query: string, answer: KeptAnswer): void {
    const before = this.answers.get(query);
    if (before && JSON.stringify(before) !== JSON.stringify(answer))
      throw new AnswersError(
        `The file answers the question ${query} twice, and otherwise the second time. Run the script again, and bring only that.`,
      );
    this.answers.set(query, answer);
    this.cut.delete(query);
  }

  done(): Answers {
    if (!this.begin)
      throw new AnswersError(
        'This is no file of answers: it lacks the line with which one begins. Bring the file that the script wrote.',
      );
    return { ...this.begin, byQuery: this.answers, cut: this.cut.size + this.rows.size, ended: this.ended };
  }
}
