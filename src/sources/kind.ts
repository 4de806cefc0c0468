// What a kind of source is: one folder and one line in `index.ts`. Its settings are what a person types and the store
// keeps, but for the secret, which is sealed.

import type { ClassConstructor } from '../input/fill';
import type { EngineName } from '../core/engines/name';
import type { Session } from './run/session';
import type { Scratch, ScratchOptions } from './run/scratch';
import type { Source } from './source';

export interface SourceKind<Settings extends object = object, Server extends object = object> {
  /** As people choose it. */
  readonly title: string;
  readonly engineOf: (settings: Settings) => EngineName;
  /** Checks what is typed, and what is read back. */
  readonly Settings: ClassConstructor<Settings>;
  readonly fields: readonly Field[];
  /** What its secret is called; null when it has none. */
  readonly secret: string | null;
  /** Where it is, in words: `auditor@db1:5432/harbour`. */
  readonly placeOf: (settings: Settings) => string;
  /** All that says where a secret goes, and how: with another, it has to be typed again. */
  readonly destinationOf: (settings: Settings) => string;
  /** Opens it for reading. Throws SourceError. Null where answers come later, as files that somebody brings. */
  readonly open: ((settings: Settings, secret: string, limits: OpenLimits) => Promise<Source>) | null;
  /** What is asked by scripts that somebody runs there, and answered by files; null where Pawl asks by itself. */
  readonly byFiles: ((settings: Settings) => AskedByFiles) | null;
  /** How a docket is run; null where scripts are only to be had. */
  readonly change: Changing<Settings> | null;
  /** How a docket is rehearsed on a copy; null where there is none. */
  readonly scratch: Copying<Settings, Server> | null;
  /** How it is named on a command line; null where it cannot be. */
  readonly commandLine: CommandLine<Settings> | null;
}

export interface AskedByFiles {
  readonly engine: EngineName;
  /** As whoever runs the scripts calls it. */
  readonly database: string;
  /** Whether values of the rows may be written into the answers, beside counts. */
  readonly rows: boolean;
}

export interface CommandLine<Settings extends object> {
  /** How it is typed there. */
  readonly usage: string;
  reads(given: string): boolean;
  /** Finds the secret where the engine's own programs do, else asks. Throws SourceError `misspelt`. */
  connection(given: string, asking: Asking): Promise<{ readonly settings: Settings; readonly secret: string }>;
}

export interface Asking {
  /** Standard input, when the connection is to be read from there. */
  input(): Promise<string>;
  warn(words: string): void;
  /** Typed without being shown; empty where nobody can be asked. */
  secret(prompt: string): Promise<string>;
}

export interface Changing<Settings extends object> {
  /** What a person reads before a login is typed: where it goes, and how it travels. */
  wayOf(settings: Settings): { readonly to: string; readonly how: string };
  open(settings: Settings, secret: string, login: Login): Promise<Session>;
}

export interface Login {
  readonly user: string;
  readonly password: string;
}

export interface Copying<Settings extends object, Server extends object> {
  /** What a server looks like as people type it. */
  readonly example: string;
  /** Why a source of that version cannot be copied with what is at hand; null when it can. */
  whyNot(version: string): Promise<string | null>;
  /** Where Pawl copies to when nobody names a server; null where it has none. `store`: the address of its own record. */
  usual(env: Readonly<Record<string, string | undefined>>, store: string): string | null;
  /** The server that a person names. Throws SourceError. */
  serverFrom(text: string): Server;
  /** The same of one that was named as a source is. */
  serverAt(settings: Settings, secret: string): Server;
  wordsFor(server: Server): string;
  /** The server as rows of production may be copied there, or why they may not. */
  forProduction(server: Server, settings: Settings): Server | string;
  /** Throws SourceError, with nothing left there; LeftBehind when something is. */
  make(settings: Settings, secret: string, server: Server, options: ScratchOptions): Promise<Scratch>;
  /** Drops the copies under a label: whoever made them died over it. */
  removeAll(server: Server, label: string): Promise<void>;
}

export interface Field {
  readonly name: string;
  readonly label: string;
  readonly input: 'text' | 'number' | 'tick' | readonly Choice[];
  readonly usual: string | number | boolean;
}

export interface Choice {
  readonly value: string;
  readonly words: string;
}

export interface OpenLimits {
  readonly statementMs: number;
  readonly lockMs: number;
  /** What the session is for, as the server lists it. Others for the same are ended first. */
  readonly purpose?: string | undefined;
  /** The same for a session that joins those there are. */
  readonly alongside?: string;
}

export const usualLimits: OpenLimits = { statementMs: 600_000, lockMs: 2_000 };
