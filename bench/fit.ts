// Fits the model for references (src/core/evidence/references/weights.ts) on the corpus and the made-up kinds: a conditional logit, each
// schema counting the same, by gradient ascent on the likelihood, pulled towards weights that are expected beforehand. What references
// teach each other depends on the model, so learning and fitting alternate.
//
//   npm run bench:fit              prints new weights
//   npm run bench:fit -- --models FILE   writes a model for each family of schemas, fitted without it: what bench:accuracy judges by

import { writeFileSync } from 'node:fs';
import { tableNames } from '../src/core/catalogue/identifiers';
import type { Catalogue } from '../src/core/catalogue/model';
import { type FeatureName, featureNames } from '../src/core/evidence/references/features';
import { judge, weighableCandidates, type Weighable } from '../src/core/evidence/references/weigh';
import { expected, type Model } from '../src/core/evidence/references/weights';
import { referenceKey } from './corpus';
import { childKey, familyOf, hardlyDeclared, madeSchemas, realSchemas, surveyWith } from './examples';
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
/** Too rare in the corpus to be learned there: they keep the weights they were given. */
const given: readonly FeatureName[] = ['joined', 'sameDomain', 'inherited'];
const ridge = 0.002;
const steps = 250;
const alternations = 3;

const examples: Example[] = [];
for (const schema of [...realSchemas, ...madeSchemas])
  for (const loss of losses) {
    const { catalogue, evidence, open } = await surveyWith(schema, loss, schema.length);
    if (open.length === 0) continue;
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
    examples.push({
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
    });
  }
console.log(`${examples.length} examples, ${examples.reduce((sum, e) => sum + e.weighable.length, 0)} candidates`);

const families = [...new Set(examples.map(({ schema }) => familyOf(schema)))];
const file = process.argv[process.argv.indexOf('--models') + 1];
if (process.argv.includes('--models') && file) {
  const models = Object.fromEntries(
    families.map((family) => [family, fit(examples.filter(({ schema }) => familyOf(schema) !== family))]),
  );
  writeFileSync(file, JSON.stringify(models, null, 1));
} else {
  const { bias, weights } = fit(examples);
  console.log(`export const fitted: Model = {\n  bias: ${round(bias)},\n  weights: {`);
  for (const name of featureNames) console.log(`    ${name}: ${round(weights[name])},`);
  console.log('  },\n};');
}

function round(value: number): number {
  return Number(value.toFixed(2));
}

/** Rows of features as one array, with what belongs together. */
interface Rows {
  readonly values: Float64Array;
  readonly right: readonly boolean[];
  /** First row of each group, and the end. */
  readonly starts: readonly number[];
  readonly weight: readonly number[];
}

function fit(all: readonly Example[]): Model {
  let model = expected;
  for (let i = 0; i < alternations; i++) model = ascend(model, rowsOf(all, model));
  return model;
}

function rowsOf(all: readonly Example[], model: Model): Rows {
  const perFamily = new Map<string, number>();
  for (const { schema } of all) perFamily.set(familyOf(schema), (perFamily.get(familyOf(schema)) ?? 0) + 1);
  const values: number[] = [];
  const right: boolean[] = [];
  const starts: number[] = [];
  const weight: number[] = [];
  for (const example of all) {
    const judged = judge(example.catalogue, example.weighable, model);
    const order = judged.map((_, i) => i).filter((i) => example.known[i]).sort((a, b) => (example.group[a] ?? 0) - (example.group[b] ?? 0));
    const groups = new Set(order.map((i) => example.group[i])).size;
    // Larger schemas say more, though not as much more as they are larger; made-up ones together as much as a few real ones.
    const share = (familyOf(example.schema) === 'kinds' ? 3 : 1) * Math.sqrt(groups) / (groups * (perFamily.get(familyOf(example.schema)) ?? 1));
    let before: number | undefined;
    for (const i of order) {
      if (example.group[i] !== before) {
        starts.push(right.length);
        weight.push(share);
        before = example.group[i];
      }
      for (const name of featureNames) values.push(judged[i]?.features[name] ?? 0);
      right.push(example.right[i] ?? false);
    }
  }
  const total = weight.reduce((a, b) => a + b, 0);
  return { values: Float64Array.from(values), right, starts: [...starts, right.length], weight: weight.map((w) => w / total) };
}

/** Gradient ascent with moments (Kingma & Ba, "Adam", 2015). */
function ascend(from: Model, { values, right, starts, weight }: Rows): Model {
  const width = featureNames.length;
  const prior = Float64Array.from([...featureNames.map((name) => expected.weights[name]), expected.bias]);
  const at = Float64Array.from([...featureNames.map((name) => from.weights[name]), from.bias]);
  const first = new Float64Array(width + 1);
  const second = new Float64Array(width + 1);
  const gradient = new Float64Array(width + 1);
  for (let step = 1; step <= steps; step++) {
    gradient.forEach((_, j) => (gradient[j] = -ridge * ((at[j] ?? 0) - (prior[j] ?? 0))));
    for (let g = 0; g + 1 < starts.length; g++) {
      const start = starts[g] ?? 0;
      const end = starts[g + 1] ?? 0;
      const odds: number[] = [];
      let total = 1;
      for (let row = start; row < end; row++) {
        let logOdds = at[width] ?? 0;
        for (let j = 0; j < width; j++) logOdds += (at[j] ?? 0) * (values[row * width + j] ?? 0);
        const e = Math.exp(Math.min(30, logOdds));
        odds.push(e);
        total += e;
      }
      for (let row = start; row < end; row++) {
        const error = ((right[row] ? 1 : 0) - (odds[row - start] ?? 0) / total) * (weight[g] ?? 0);
        for (let j = 0; j < width; j++) gradient[j] = (gradient[j] ?? 0) + error * (values[row * width + j] ?? 0);
        gradient[width] = (gradient[width] ?? 0) + error;
      }
    }
    for (let j = 0; j <= width; j++) {
      const name = featureNames[j];
      if (name && given.includes(name)) continue;
      const g = gradient[j] ?? 0;
      first[j] = 0.9 * (first[j] ?? 0) + 0.1 * g;
      second[j] = 0.999 * (second[j] ?? 0) + 0.001 * g * g;
      const moved = (at[j] ?? 0) + (0.08 * ((first[j] ?? 0) / (1 - 0.9 ** step))) / (Math.sqrt((second[j] ?? 0) / (1 - 0.999 ** step)) + 1e-10);
      const sign = name ? signs[name] : undefined;
      at[j] = sign !== undefined && moved * sign < 0 ? 0 : moved;
    }
  }
  return {
    bias: at[width] ?? 0,
    weights: Object.fromEntries(featureNames.map((name, j) => [name, at[j] ?? 0])) as Record<FeatureName, number>,
  };
}
