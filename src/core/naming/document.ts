// A house style as a file: `pawl-house-style/1`, described in docs/formats.md. What names follow, and how the rules are set;
// what one source waives of its own objects stays with that source.

import { type Policies, type Policy, policyOf, usualPolicy } from '../rules/policy';
import { type Dictionary, isEmpty } from './dictionary';
import type { Adopted } from './style';

export const houseStyleFormat = 'pawl-house-style/1';

export type RuleSetting = Omit<Policy, 'waivers'>;

export interface HouseStyleDocument {
  readonly format: typeof houseStyleFormat;
  readonly templates: Adopted;
  /** Left out where the house says nothing of its words. */
  readonly dictionary?: Dictionary;
  /** By the rule's id; only what is set otherwise than it comes. */
  readonly rules: Readonly<Record<string, RuleSetting>>;
}

export interface Settled {
  readonly templates: Adopted;
  readonly policies: Policies;
  readonly dictionary: Dictionary;
}

export function houseStyleOf({ templates, policies, dictionary }: Settled): HouseStyleDocument {
  const rules = Object.entries(policies).flatMap(([id, { waivers: _, ...setting }]) =>
    isUsual(setting) ? [] : [[id, setting] as const],
  );
  return {
    format: houseStyleFormat,
    templates,
    ...(!isEmpty(dictionary) && { dictionary }),
    rules: Object.fromEntries(rules),
  };
}

/** The policies of a source once it has taken a house style: its waivers are its own. */
export function policiesUnder({ rules }: HouseStyleDocument, before: Policies): Policies {
  const ids = new Set([...Object.keys(before), ...Object.keys(rules)]);
  return Object.fromEntries(
    [...ids].map((id) => {
      const { waivers } = policyOf(before, id);
      const { waivers: _, ...usual } = usualPolicy;
      return [id, { ...usual, ...(Object.hasOwn(rules, id) ? rules[id] : {}), waivers }];
    }),
  );
}

function isUsual({ on, severity, thresholds }: RuleSetting): boolean {
  return on && severity === null && Object.keys(thresholds).length === 0;
}
