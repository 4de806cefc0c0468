// A scratch copy of a database, on which a docket is rehearsed.

import { createHash, randomBytes } from 'node:crypto';
import { hostname, userInfo } from 'node:os';
import type { TableId } from '../../core/catalogue/identifiers';
import type { Reference } from '../../core/catalogue/model';
import { SourceError } from '../SourceError';
import type { Session } from './session';

export interface ScratchOptions {
  /** Of databases that are larger a sample is copied, in bytes. */
  readonly mostBytes: number;
  /** References that are not declared, but that a sample has to keep to as well. */
  readonly also?: readonly (Reference & { readonly child: TableId })[];
  readonly signal?: AbortSignal;
  /** Whose copy it is and what for, `k3f9qx_r12`: it ends the copy's name, to find it again after a crash. */
  readonly label?: string;
}

const staleMs = 24 * 3_600_000;

/** Of a copy that nobody has a label for: whose it is says the machine. */
export function labelHere(): string {
  const machine = createHash('sha256').update(`${hostname()} ${userInfo().username}`).digest('hex');
  return `${machine.slice(0, 6)}_${randomBytes(4).toString('hex')}`;
}

export function copyName(prefix: string, label: string): string {
  return `${prefix}${Date.now().toString(36)}_${label}`;
}

/** Whether a copy was left behind a day ago or earlier, by the Pawl of that label: several may make theirs on one server. */
export function isStale(name: string, prefix: string, label: string): boolean {
  const [made = '', owner, what] = name.slice(prefix.length).split('_');
  // Earlier versions did not say whose they are.
  const own = what === undefined || owner === label.split('_')[0];
  return own && Date.now() - Number.parseInt(made, 36) > staleMs;
}

export interface Scratch {
  /** The name of what was copied, for reports. */
  readonly of: string;
  /** Whom everything on it belongs to. */
  readonly owner: string;
  readonly bytes: number;
  /** How much of it was copied; null for all. */
  readonly sampled: Sampled | null;
  /** What could not be copied, in the words of the server. */
  readonly leftOut: readonly string[];
  open(): Promise<Session>;
  fingerprint(): Promise<Fingerprint>;
  /** Drops the copy and its role. Throws LeftBehind where it could not: then it is still there. */
  remove(): Promise<void>;
}

/** Rows that were copied, of about how many. */
export interface Sampled {
  readonly rows: number;
  readonly ofRows: number;
}

/** What a copy looks like: its structure in the server's own words, and a checksum of the rows of each table. */
export interface Fingerprint {
  readonly structure: readonly string[];
  readonly rows: ReadonlyMap<string, string>;
}

/** Where two fingerprints differ, in words; empty when they are equal. */
export function differences(before: Fingerprint, after: Fingerprint): readonly string[] {
  const gone = new Set(before.structure);
  const come = new Set(after.structure);
  return [
    ...before.structure.filter((line) => !come.has(line)).map((line) => `was: ${line.trim()}`),
    ...after.structure.filter((line) => !gone.has(line)).map((line) => `is: ${line.trim()}`),
    ...[...new Set([...before.rows.keys(), ...after.rows.keys()])]
      .filter((table) => before.rows.get(table) !== after.rows.get(table))
      .map((table) => `rows of ${table} are not the same`),
  ];
}

/** A copy is still there that should be gone. */
export class LeftBehind extends SourceError {}

/** `where`: the server that it is on. */
export function leftBehind(where: string, cause: unknown): LeftBehind {
  const why = cause instanceof Error ? cause.message : 'unknown error';
  return new LeftBehind(
    `The scratch copy at ${where} could not be removed: ${why}. It is tried again until it is gone.`,
    'lost',
    {
      cause,
    },
  );
}
