// Fits the weights of the reference model (src/core/evidence/references/weights.ts) on the tuning
// corpus: L2-regularised logistic regression, every schema counting the same, by gradient descent.
// With --leave-one-out it fits on the others and scores the one left, which is the figure that counts.
//
//   npm run bench:fit              prints new weights
//   npm run bench:fit -- --leave-one-out

import { tableNames } from '../src/core/catalogue/identifiers';
import type { ReferenceCandidate } from '../src/core/evidence/references/candidates';
import { type FeatureName, featureNames, type Features } from '../src/core/evidence/references/features';
import { probabilityOf, weighableCandidates } from '../src/core/evidence/references/weigh';
import { bias as currentBias, weights as currentWeights } from '../src/core/evidence/references/weights';
import { referenceKey, schemas, surveyOf, truthOf } from './corpus';

interface Example {
  readonly schema: string;
  readonly kind: string;
  readonly candidate: ReferenceCandidate;
  readonly features: Features;
  readonly label: number;
}

interface Model {
  readonly bias: number;
  readonly weights: Readonly<Record<FeatureName, number>>;
}

/** Features may only count in the direction that they are known to: with so few schemas chance would turn some. */
const signs: Readonly<Partial<Record<FeatureName, 1 | -1>>> = {
  likeness: 1,
  namesWell: 1,
  namesFully: 1,
  outdone: -1,
  contested: -1,
  orphans: -1,
  manyOrphans: -1,
  surprise: 1,
  unreached: -1,
  primary: 1,
  indexed: 1,
  unindexed: -1,
  ownKey: -1,
  ownId: -1,
  measure: -1,
  sameDomain: 1,
  siblings: 1,
  joined: 1,
  empty: -1,
  unmeasured: -1,
  parentRefers: -1,
  parentTiny: -1,
};
/** Too rare in the corpus to be learned there: they keep the weights they were given. */
const given: readonly FeatureName[] = ['siblings', 'joined', 'unmeasured', 'empty', 'byValueOnly', 'surprise', 'sameDomain'];
/**
 * What is expected before any data: the fit is pulled towards it, not towards zero, since a corpus of a
 * few schemas holds too few wrong candidates of some kinds to learn from.
 */
const expected: Model = {
  bias: -3.4,
  weights: {
    likeness: 4,
    namesWell: 0.8,
    namesFully: 0.8,
    outdone: -6,
    contested: -1.2,
    orphans: -0.5,
    manyOrphans: -3,
    surprise: 1.5,
    unreached: -2,
    coverage: 0.8,
    primary: 0.8,
    indexed: 0.6,
    unindexed: -0.5,
    ownKey: -0.8,
    ownId: -2.5,
    identifier: 0.8,
    measure: -1,
    sameDomain: 1.5,
    sameType: 0.3,
    siblings: 2,
    joined: 2.5,
    composite: 0.5,
    self: -0.2,
    empty: -0.8,
    unmeasured: -0.8,
    parentRefers: -1.5,
    parentTiny: -0.3,
    byValueOnly: 1.2,
  },
};
const ridge = 0.005;
const steps = 4000;
const rate = 0.5;

const families = [...schemas, 'legacy_200'];
const examples: Example[] = [];
for (const schema of families) {
  for (const kind of schema.startsWith('legacy') ? [''] : ['nofk_', 'bare_']) {
    const { catalogue, evidence } = await surveyOf(`${kind}${schema}`);
    const truth = truthOf(schema);
    const undeclared = truth.missing?.fk ?? truth.fks;
    const wanted = new Set(undeclared.map((fk) => `${fk.childTable.replace('public.', '')} ${fk.childColumns.join()}`));
    const open = truth.fks.filter((fk) => wanted.has(`${fk.childTable.replace('public.', '')} ${fk.childColumns.join()}`));
    const right = new Set(open.map(referenceKey));
    for (const { candidate, features } of weighableCandidates(catalogue, evidence)) {
      const child = tableNames(candidate.child);
      const parent = tableNames(candidate.parent);
      const key = referenceKey({
        childTable: `${child.schema}.${child.table}`,
        childColumns: candidate.columns,
        parentTable: `${parent.schema}.${parent.table}`,
        parentColumns: candidate.parentColumns,
      });
      examples.push({ schema, kind, candidate, features, label: right.has(key) ? 1 : 0 });
    }
    const found = new Set(
      examples
        .filter((e) => e.schema === schema && e.kind === kind && e.label === 1)
        .map((e) => `${e.candidate.child}${e.candidate.columns.join()}`),
    );
    console.log(
      `${kind}${schema}: ${examples.filter((e) => e.schema === schema && e.kind === kind).length} candidates, ${found.size} of ${right.size} references among them`,
    );
    if (process.argv.includes('--missed')) {
      const keys = new Set(
        examples
          .filter((e) => e.schema === schema && e.kind === kind)
          .map((e) => `${e.candidate.child}(${e.candidate.columns.join()})->${e.candidate.parent}`),
      );
      for (const fk of open)
        if (!keys.has(`${fk.childTable}(${fk.childColumns.join()})->${fk.parentTable}`))
          console.log('   not a candidate:', referenceKey(fk));
    }
  }
}

if (process.argv.includes('--leave-one-out')) {
  for (const left of families)
    report(
      left,
      fit(examples.filter((e) => e.schema !== left)),
      examples.filter((e) => e.schema === left),
    );
} else if (process.argv.includes('--wrong')) {
  showWrong({ bias: currentBias, weights: currentWeights });
} else {
  const model = fit(examples);
  for (const schema of families)
    report(
      schema,
      model,
      examples.filter((e) => e.schema === schema),
    );
  console.log(
    `\nexport const bias = ${model.bias.toFixed(2)};\n\nexport const weights: Readonly<Record<FeatureName, number>> = {`,
  );
  for (const name of featureNames) console.log(`  ${name}: ${Number(model.weights[name].toFixed(2))},`);
  console.log('};');
}

function fit(all: readonly Example[]): Model {
  const weights = { ...expected.weights };
  let { bias } = expected;
  const sizes = new Map<string, number>();
  for (const { schema } of all) sizes.set(schema, (sizes.get(schema) ?? 0) + 1);
  // Every schema counts the same, and a synthetic one half as much.
  const shares = all.map((e) => (e.schema.startsWith('legacy') ? 0.5 : 1) / (sizes.get(e.schema) ?? 1));
  const total = shares.reduce((a, b) => a + b, 0);
  for (let step = 0; step < steps; step++) {
    const gradient = Object.fromEntries(featureNames.map((name) => [name, 0])) as Record<FeatureName, number>;
    let biasGradient = 0;
    all.forEach((example, i) => {
      const error = (probabilityOf(logOddsOf({ bias, weights }, example.features)) - example.label) * ((shares[i] ?? 0) / total);
      biasGradient += error;
      for (const name of featureNames) gradient[name] += error * example.features[name];
    });
    bias -= rate * (biasGradient + ridge * (bias - expected.bias));
    for (const name of featureNames) {
      if (given.includes(name)) continue;
      weights[name] -= rate * (gradient[name] + ridge * (weights[name] - expected.weights[name]));
      const sign = signs[name];
      if (sign !== undefined && weights[name] * sign < 0) weights[name] = 0;
    }
  }
  return { bias, weights };
}

function logOddsOf({ bias, weights }: Model, features: Features): number {
  return featureNames.reduce((sum, name) => sum + weights[name] * features[name], bias);
}

/** Precision and recall at one half, one parent for each child, and how well the probabilities keep their word. */
function report(schema: string, model: Model, own: readonly Example[]): void {
  const chosen = chosenBy(model, own);
  const count = (from: readonly { readonly p: number; readonly label: number }[]) =>
    `${from.filter((c) => c.label === 1).length}/${from.length}`;
  const at = chosen.filter((c) => c.p >= 0.5);
  const sure = chosen.filter((c) => c.p >= 0.9);
  console.log(
    `${schema}: right at ≥ 0.5 ${count(at)}, at ≥ 0.9 ${count(sure)}, right but below ${chosen.filter((c) => c.p < 0.5 && c.label === 1).length}`,
  );
}

function chosenBy(model: Model, own: readonly Example[]) {
  const best = new Map<string, { readonly p: number; readonly label: number; readonly example: Example }>();
  for (const example of own) {
    const key = `${example.kind}${example.schema} ${example.candidate.child} ${example.candidate.columns.join()}`;
    const p = probabilityOf(logOddsOf(model, example.features));
    const known = best.get(key);
    if (!known || p > known.p) best.set(key, { p, label: example.label, example });
  }
  return [...best.values()];
}

function showWrong(model: Model): void {
  const rows = chosenBy(model, examples).filter(({ p, label }) => p >= 0.5 !== (label === 1));
  const missed = examples
    .filter((e) => e.label === 1 && probabilityOf(logOddsOf(model, e.features)) < 0.5)
    .map((example) => ({ p: probabilityOf(logOddsOf(model, example.features)), label: 1, example }));
  for (const { p, label, example } of [...rows.filter((r) => r.label === 0), ...missed]) {
    const { candidate, features } = example;
    const told = featureNames
      .filter((name) => features[name] !== 0)
      .map((name) => `${name}=${features[name].toFixed(2)}`)
      .join(' ');
    console.log(
      `${label === 1 ? 'MISSED' : 'FALSE '} ${p.toFixed(2)} ${example.kind}${example.schema} ${candidate.child}(${candidate.columns.join()}) -> ${candidate.parent}(${candidate.parentColumns.join()}) ${told}`,
    );
  }
}
