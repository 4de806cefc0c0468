// What is computed on a catalogue apart from the pages: plain data in, plain data out.

import type { Catalogue } from '../../core/catalogue/model';
import { type LearntShort, learnShort, spellingOf } from '../../core/naming/dictionary';
import { conventionsOf, type Exception, type Pattern, explainedBy, renamed, styledObjects } from '../../core/naming/infer';
import type { Adopted } from '../../core/naming/style';
import { onNames, styleChange } from '../../core/naming/styleChange';
import { parseFor, type StyledKind } from '../../core/naming/styled';
import { isTemplateProblem, type TemplateProblem } from '../../core/naming/template';
import { type DecidedFinding, planFor, type PlanOptions } from '../../core/plan/plan';
import type { Plan } from '../../core/plan/shape';
import type { AuditOptions } from '../../core/rules/audit';
import type { Policies } from '../../core/rules/policy';
import type { Finding } from '../../core/rules/finding';

export interface ToPlan extends PlanOptions {
  readonly decided: readonly DecidedFinding[];
}

/** How the names of a kind are, in short. */
export interface KindTold {
  readonly kind: StyledKind;
  /** What was adopted, or else what was learnt; null where neither. */
  readonly template: string | null;
  readonly adopted: boolean;
  readonly names: number;
  readonly follow: number;
  /** What else some of the names follow, the most first. */
  readonly patterns: readonly Pattern[];
}

interface OfKind {
  readonly kind: StyledKind;
  /** The template to try; null for what is adopted or learnt. */
  readonly tried: string | null;
  readonly templates: Adopted;
  readonly policies: Policies;
  /** How many names are told at most, those that do not follow first. */
  readonly most: number;
}

/** The names of a kind under a template. */
export interface NamesTold {
  readonly learnt: string | null;
  readonly text: string;
  readonly problem: TemplateProblem | null;
  /** How many findings would come and go if it was adopted; null where it is already, or cannot be. */
  readonly change: { readonly come: number; readonly go: number } | null;
  readonly named: readonly (Omit<Exception, 'wouldBe'> & { readonly wouldBe: string | null })[];
  readonly names: number;
  readonly follow: number;
}

export const tasks = {
  plan: (catalogue: Catalogue, { decided, ...options }: ToPlan): Plan => planFor(decided, catalogue, options),

  conventions: (catalogue: Catalogue, { templates }: { readonly templates: Adopted }): readonly KindTold[] =>
    conventionsOf(catalogue).map(({ kind, template: learnt, names, follow, patterns = [] }) => {
      const adopted = templates[kind] ?? null;
      const following = adopted === null || adopted === learnt ? follow : explainedBy(adopted, kind, catalogue);
      return { kind, template: adopted ?? learnt, adopted: adopted !== null, names, follow: following, patterns };
    }),

  names: (catalogue: Catalogue, { kind, tried, templates, policies, most }: OfKind): NamesTold => {
    const learnt = conventionsOf(catalogue).find((one) => one.kind === kind)?.template ?? null;
    const adopted = templates[kind] ?? null;
    const text = tried ?? adopted ?? learnt ?? '';
    const parsed = text === '' ? null : parseFor(kind, text);
    const problem = parsed && isTemplateProblem(parsed) ? parsed : null;
    const objects = styledObjects(catalogue, kind);
    const named =
      parsed && !isTemplateProblem(parsed)
        ? renamed(parsed, objects, spellingOf(catalogue))
        : objects.map(({ table, name }) => ({ table, name, wouldBe: null }));
    const change =
      parsed && !problem && text !== adopted ? styleChange(catalogue, policies, templates, { ...templates, [kind]: text }) : null;
    return {
      learnt,
      text,
      problem,
      change: change && { come: change.come.length, go: change.go.length },
      named: named.toSorted((a, b) => Number(a.wouldBe === a.name) - Number(b.wouldBe === b.name)).slice(0, most),
      names: named.length,
      follow: named.filter(({ name, wouldBe }) => name === wouldBe).length,
    };
  },

  words: (catalogue: Catalogue): readonly LearntShort[] => learnShort(catalogue),

  onNames: (
    catalogue: Catalogue,
    {
      policies,
      templates,
      ...options
    }: { readonly policies: Policies; readonly templates: Adopted } & Pick<AuditOptions, 'at' | 'wishes'>,
  ): readonly Finding[] => onNames(catalogue, policies, templates, options),
};

export type Task = (catalogue: Catalogue, asked: unknown) => unknown;
export type TaskName = keyof typeof tasks;
export type AskedOf<T extends TaskName> = Parameters<(typeof tasks)[T]>[1];
export type ResultOf<T extends TaskName> = ReturnType<(typeof tasks)[T]>;
