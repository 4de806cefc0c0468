import type { Catalogue } from '../catalogue/model';
import type { Adopted } from './style';
import { audit, type AuditOptions } from '../rules/audit';
import type { Policies } from '../rules/policy';
import { rules } from '../rules/index';
import type { Finding } from '../rules/finding';

export interface StyleChange {
  readonly come: readonly Finding[];
  readonly go: readonly Finding[];
}

/** Which findings on names would come and which would go with other templates. Names are judged by the catalogue alone. */
export function styleChange(catalogue: Catalogue, policies: Policies, before: Adopted, after: Adopted): StyleChange {
  const under = (adopted: Adopted) =>
    new Map(audit(catalogue, {}, { policies, adopted, at: '', only: byTemplates }).map((finding) => [finding.id, finding]));
  const [was, is] = [under(before), under(after)];
  return {
    come: [...is.values()].filter(({ id }) => !was.has(id)),
    go: [...was.values()].filter(({ id }) => !is.has(id)),
  };
}

/** The findings of concern Naming; `at` is the moment, in ISO 8601, at which waivers hold or have ended. */
export function onNames(
  catalogue: Catalogue,
  policies: Policies,
  adopted: Adopted,
  { at = '', wishes = [] }: Pick<AuditOptions, 'at' | 'wishes'> = {},
): readonly Finding[] {
  return audit(catalogue, {}, { policies, adopted, at, wishes, only: namingRules });
}

/** The rules that find otherwise under other templates. */
export const byTemplates: ReadonlySet<string> = new Set([
  'naming/style',
  'naming/length',
  'naming/case',
  'naming/generated',
  'naming/misleading',
]);

const namingRules = new Set(rules.filter(({ concern }) => concern === 'Naming').map(({ id }) => id));
