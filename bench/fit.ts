// Fits the model for references (src/core/evidence/references/weights.ts) on the corpus and the made-up kinds: a conditional logit, each
// schema counting the same, by gradient ascent on the likelihood, pulled towards weights that are expected beforehand. What references
// teach each other depends on the model, so learning and fitting alternate.
//
//   tsx bench/fit.ts                 writes new weights into that file; `npm run bench:fit` fits all models
//   tsx bench/fit.ts --models FILE   writes a model for each family of schemas, fitted without it: what bench:accuracy judges by

import { tableNames } from '../src/core/catalogue/identifiers';
import type { Catalogue } from '../src/core/catalogue/model';
import { type FeatureName, featureNames } from '../src/core/evidence/references/features';
import { judge, weighableCandidates, type Weighable } from '../src/core/evidence/references/weigh';
import { expected, type ReferenceModel } from '../src/core/evidence/references/weights';
import { referenceKey } from './corpus';
import { type Case, childKey, faultyCase, familyOf, hardlyDeclared, madeSchemas, realSchemas, surveyWith } from './examples';
import { groupBy } from '../src/core/grouping';
import { fitLogit, type Group, install, leaveOut, weightOf } from './logit';
import { losses } from './stripped';

/** A schema with something not declared: its candidates, and which are right. */
interface Example {
  readonly schema: string;
  readonly catalogue: Catalogue;
  readonly weighable: readonly Weighable[];
  readonly right: readonly boolean[];
  /** Candidates of the same columns. */
  readonly group: readonly number[];
  /** False where it is not known whether the columns refer at all. */
  readonly known: readonly boolean[];
}

/** Features may only count in the direction that they are known to: with so few schemas chance would turn some. */
const signs: Readonly<Partial<Record<FeatureName, 1 | -1>>> = {
  likeness: 1,
  namesFully: 1,
  measure: -1,
  ownId: -1,
  within: 1,
  orphans: -1,
  manyOrphans: -1,
  surprise: 1,
  beyondChance: 1,
  narrower: -1,
  unreached: -1,
  uneven: -1,
  fewValues: -1,
  empty: -1,
  unmeasured: -1,
  primary: 1,
  selfFilling: 1,
  parentRefers: -1,
  indexed: 1,
  unindexed: -1,
  ownKey: -1,
  fillsItself: -1,
  inherited: -1,
  sameDomain: 1,
  sameType: 1,
  joined: 1,
  partsRefer: -1,
  siblings: 1,
  siblingsDiffer: -1,
  sameRole: 1,
  customary: 1,
  popular: 1,
};
/** Too rare in the corpus to be learned there, or too tidy, as its rows are made up: they keep the weights that are expected. */
const given = ['joined', 'sameDomain', 'inherited', 'orphans', 'manyOrphans', 'surprise', 'beyondChance', 'measure'] as const;
const alternations = 3;

const examples = [...exampleOf(await faultyCase())];
for (const schema of [...realSchemas, ...madeSchemas])
  for (const loss of losses) examples.push(...exampleOf(await surveyWith(schema, loss, schema.length)));

function exampleOf({ schema, catalogue, evidence, open }: Case): readonly Example[] {
  if (open.length === 0) return [];
  const right = new Set(open.map(referenceKey));
  const children = new Set(open.map((fk) => childKey(fk.childTable, fk.childColumns)));
  const weighable = weighableCandidates(catalogue, evidence);
  const groups = new Map<string, number>();
  const named = weighable.map(({ candidate }) => {
    const child = tableNames(candidate.child);
    const parent = tableNames(candidate.parent);
    return {
      childTable: `${child.schema}.${child.table}`,
      childColumns: candidate.columns,
      parentTable: `${parent.schema}.${parent.table}`,
      parentColumns: candidate.parentColumns,
    };
  });
  return [
    {
      schema,
      catalogue,
      weighable,
      right: named.map((reference) => right.has(referenceKey(reference))),
      group: named.map(({ childTable, childColumns }) => {
        const key = childKey(childTable, childColumns);
        if (!groups.has(key)) groups.set(key, groups.size);
        return groups.get(key) as number;
      }),
      known: named.map(
        ({ childTable, childColumns }) => !hardlyDeclared.includes(schema) || children.has(childKey(childTable, childColumns)),
      ),
    },
  ];
}
console.log(`${examples.length} examples, ${examples.reduce((sum, e) => sum + e.weighable.length, 0)} candidates`);

function fit(all: readonly Example[]): ReferenceModel {
  let model = expected;
  for (let i = 0; i < alternations; i++)
    model = { ...model, ...fitLogit(groupsOf(all, model), { names: featureNames, expected, from: model, signs, given }) };
  return model;
}

const leastCalibrated = 0.05;

/** How often each model is right on the schemas that it was fitted without, for what it says. */
function calibrate(model: ReferenceModel, without: ReadonlyMap<string, ReferenceModel>): ReferenceModel {
  const groups = [...without].flatMap(([family, other]) => {
    const own = examples.filter(({ schema }) => familyOf(schema) === family);
    return own.flatMap((example) => {
      const said = likeliest(example, other);
      const weight = weightOf(said.length, own.length, family);
      return said.map(({ probability, right }) => ({
        weight,
        choices: [{ features: { said: Math.log(probability / (1 - probability)) }, right }],
      }));
    });
  });
  const { bias, weights } = fitLogit(groups, {
    names: ['said'],
    expected: { bias: 0, weights: { said: 1 } },
    signs: { said: 1 },
  });
  return { ...model, calibration: { slope: weights.said, shift: bias } };
}

// An example is asked about by one model only: the one that was fitted without its family.
const kept = new WeakMap<Example, readonly Said[]>();

interface Said {
  readonly probability: number;
  readonly right: boolean;
}

/** Of each child's candidates the likeliest, unless even that is most unlikely. */
function likeliest(example: Example, model: ReferenceModel): readonly Said[] {
  const before = kept.get(example);
  if (before) return before;
  const judged = judge(example.catalogue, example.weighable, model);
  const byColumns = groupBy(
    judged.map((_, i) => i).filter((i) => example.known[i]),
    (i) => example.group[i],
  );
  const said = [...byColumns.values()].flatMap((own) => {
    const best = own.reduce((a, b) => ((judged[a]?.probability ?? 0) >= (judged[b]?.probability ?? 0) ? a : b));
    const probability = Math.min(1 - 1e-6, judged[best]?.probability ?? 0);
    return probability < leastCalibrated ? [] : [{ probability, right: example.right[best] ?? false }];
  });
  kept.set(example, said);
  return said;
}

function groupsOf(all: readonly Example[], model: ReferenceModel): readonly Group[] {
  const perFamily = groupBy(all, ({ schema }) => familyOf(schema));
  return all.flatMap((example) => {
    const judged = judge(example.catalogue, example.weighable, model);
    const known = judged.map((_, i) => i).filter((i) => example.known[i]);
    const byColumns = [...groupBy(known, (i) => String(example.group[i])).values()];
    const family = familyOf(example.schema);
    const weight = weightOf(byColumns.length, perFamily.get(family)?.length ?? 1, family);
    return byColumns.map((own) => ({
      weight,
      choices: own.map((i) => ({ features: judged[i]?.features ?? {}, right: example.right[i] ?? false })),
    }));
  });
}

const model = leaveOut(examples, ({ schema }) => familyOf(schema), fit, calibrate);
if (model) install('src/core/evidence/references/weights.ts', 'corpus', model);
