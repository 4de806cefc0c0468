// What a source's people have settled about the rules: which are off, which count for more or less,
// where their thresholds lie, and what they leave alone, with the reason.

import type { Severity } from './finding';

/** By the rule's id. A rule without a policy is judged as it comes. */
export type Policies = Readonly<Record<string, Policy>>;

export interface Policy {
  readonly on: boolean;
  /** In place of the severity that follows the harm; null to leave it. */
  readonly severity: Severity | null;
  /** In place of the rule's own; by name. */
  readonly thresholds: Readonly<Record<string, number>>;
  readonly waivers: readonly Waiver[];
}

export interface Waiver {
  /** A table, or a table with columns, as findings name it; `*` stands for any text: `port.log_*`. */
  readonly object: string;
  readonly reason: string;
  /** The last day that it holds, in ISO 8601; left out when it holds until somebody takes it back. */
  readonly until?: string;
  /** Who decided it. */
  readonly by?: string;
}

export const noPolicies: Policies = {};

export const usualPolicy: Policy = { on: true, severity: null, thresholds: {}, waivers: [] };

export function policyOf(policies: Policies, rule: string): Policy {
  return (Object.hasOwn(policies, rule) ? policies[rule] : undefined) ?? usualPolicy;
}

/** The waiver that covers an object at a moment (ISO 8601), or null. `names` are all that the object goes by. */
export function waiverOf(policy: Policy, names: readonly string[], at: string): Waiver | null {
  const day = at.slice(0, 'yyyy-mm-dd'.length);
  return policy.waivers.find((waiver) => (waiver.until === undefined || day <= waiver.until) && covers(waiver, names)) ?? null;
}

/** Whether a waiver is of something that goes by these names, whatever the day. */
export function covers({ object }: Pick<Waiver, 'object'>, names: readonly string[]): boolean {
  return names.some((name) => matches(object, name));
}

/** `Spare berths are kept empty, until 2026-12-31, by Harbour office`. */
export function waiverInWords({ reason, until, by }: Omit<Waiver, 'object'>): string {
  return [reason, ...(until === undefined ? [] : [`until ${until}`]), ...(by === undefined ? [] : [`by ${by}`])].join(', ');
}

function matches(pattern: string, name: string): boolean {
  const parts = pattern.split('*');
  const [first = '', ...rest] = parts;
  if (rest.length === 0) return pattern === name;
  if (!name.startsWith(first)) return false;
  const last = rest.at(-1) ?? '';
  let at = first.length;
  for (const part of rest.slice(0, -1)) {
    const found = name.indexOf(part, at);
    if (found < 0) return false;
    at = found + part.length;
  }
  return name.length - last.length >= at && name.endsWith(last);
}
