// A conditional logit with "none of them" as a choice of its own, fitted by gradient ascent with moments (Kingma & Ba, "Adam", 2015) on the
// likelihood, pulled towards weights that are expected beforehand. A group of one is a plain logistic regression.

import { readFileSync, writeFileSync } from 'node:fs';
import type { Model } from '../src/core/evidence/logit';
import type { Calibration } from '../src/core/evidence/references/weights';

export interface Group {
  readonly weight: number;
  readonly choices: readonly { readonly features: Readonly<Record<string, number>>; readonly right: boolean }[];
}

export interface Fitting<Name extends string> {
  readonly names: readonly Name[];
  readonly expected: Model<Name>;
  readonly from?: Model<Name>;
  /** Features may only count in the direction that they are known to: with few schemas chance would turn some. */
  readonly signs: Readonly<Partial<Record<Name, 1 | -1>>>;
  /** Too rare to be learned: they keep the weights that are expected. */
  readonly given?: readonly Name[];
  readonly ridge?: number;
}

const steps = 250;
const rate = 0.08;

export function fitLogit<Name extends string>(groups: readonly Group[], fitting: Fitting<Name>): Model<Name> {
  const { names, expected, from = expected, signs, given = [], ridge = 0.002 } = fitting;
  const width = names.length;
  const values: number[] = [];
  const right: number[] = [];
  const starts: number[] = [];
  for (const { choices } of groups) {
    starts.push(right.length);
    for (const choice of choices) {
      for (const name of names) values.push(choice.features[name] ?? 0);
      right.push(choice.right ? 1 : 0);
    }
  }
  starts.push(right.length);
  const rows = Float64Array.from(values);
  const total = groups.reduce((sum, { weight }) => sum + weight, 0);
  const prior = Float64Array.from([...names.map((name) => expected.weights[name]), expected.bias]);
  const at = Float64Array.from([...names.map((name) => from.weights[name]), from.bias]);
  const [first, second, gradient] = [new Float64Array(width + 1), new Float64Array(width + 1), new Float64Array(width + 1)];
  for (let step = 1; step <= steps; step++) {
    for (let j = 0; j <= width; j++) gradient[j] = -ridge * ((at[j] ?? 0) - (prior[j] ?? 0));
    groups.forEach(({ weight }, g) => addGradient(starts[g] ?? 0, starts[g + 1] ?? 0, weight / total));
    for (let j = 0; j <= width; j++) {
      const name = names[j];
      if (name !== undefined && given.includes(name)) continue;
      const slope = gradient[j] ?? 0;
      first[j] = 0.9 * (first[j] ?? 0) + 0.1 * slope;
      second[j] = 0.999 * (second[j] ?? 0) + 0.001 * slope * slope;
      const by = (first[j] ?? 0) / (1 - 0.9 ** step) / (Math.sqrt((second[j] ?? 0) / (1 - 0.999 ** step)) + 1e-10);
      const moved = (at[j] ?? 0) + rate * by;
      const sign = name === undefined ? undefined : signs[name];
      at[j] = sign !== undefined && moved * sign < 0 ? 0 : moved;
    }
  }
  return {
    bias: at[width] ?? 0,
    weights: Object.fromEntries(names.map((name, j) => [name, at[j] ?? 0])) as Record<Name, number>,
  };

  function addGradient(start: number, end: number, weight: number): void {
    const odds: number[] = [];
    let all = 1;
    for (let row = start; row < end; row++) {
      let logOdds = at[width] ?? 0;
      for (let j = 0; j < width; j++) logOdds += (at[j] ?? 0) * (rows[row * width + j] ?? 0);
      const e = Math.exp(Math.min(30, logOdds));
      odds.push(e);
      all += e;
    }
    for (let row = start; row < end; row++) {
      const error = ((right[row] ?? 0) - (odds[row - start] ?? 0) / all) * weight;
      for (let j = 0; j < width; j++) gradient[j] = (gradient[j] ?? 0) + error * (rows[row * width + j] ?? 0);
      gradient[width] = (gradient[width] ?? 0) + error;
    }
  }
}

/** Larger schemas say more, though not as much more as they are larger; a family counts as much as its share says. */
export function weightOf(groups: number, casesOfFamily: number, family: string): number {
  return ((family === 'kinds' ? 3 : 1) * Math.sqrt(groups)) / (groups * casesOfFamily);
}

/** Where `--models FILE` says that models are to be written, for each family of schemas the one that was fitted without it; else null. */
function modelsFile(): string | null {
  const at = process.argv.indexOf('--models');
  return at < 0 ? null : (process.argv[at + 1] ?? null);
}

/**
 * With `--models FILE` writes a model for each family of schemas, fitted without it, and under '' one of all: what bench:accuracy judges by.
 * Else gives the model of all to be installed. `finish` is told what the models without each family are, all but one's own.
 */
export function leaveOut<One, Fitted>(
  all: readonly One[],
  familyOf: (one: One) => string,
  fit: (some: readonly One[]) => Fitted,
  finish?: (model: Fitted, without: ReadonlyMap<string, Fitted>) => Fitted,
): Fitted | null {
  const file = modelsFile();
  const fitWithout = (family: string): Fitted => fit(all.filter((one) => familyOf(one) !== family));
  const needed = file || finish ? [...new Set(all.map(familyOf))] : [];
  const without = new Map(needed.map((family) => [family, fitWithout(family)]));
  const finished = (model: Fitted, others: ReadonlyMap<string, Fitted>): Fitted => (finish ? finish(model, others) : model);
  const whole = finished(fit(all), without);
  if (!file) return whole;
  const others = (family: string) => new Map([...without].filter(([other]) => other !== family));
  const models = [...without].map(([family, model]) => [family, finished(model, others(family))] as const);
  writeFileSync(file, JSON.stringify(Object.fromEntries([['', whole], ...models]), null, 1));
  return null;
}

/** Puts a fitted model in the place of the one that a source file keeps between `// fitted NAME` and `// end`. */
export function install(
  file: string,
  name: string,
  { bias, weights, calibration }: Model<string> & { readonly calibration?: Calibration },
): void {
  const round = (value: number): number => Number(value.toFixed(2));
  const lines = Object.entries(weights).map(([feature, weight]) => `    ${feature}: ${round(weight)},`);
  const text = readFileSync(file, 'utf8');
  const begin = `// fitted ${name}\n`;
  const from = text.indexOf(begin) + begin.length;
  const to = text.indexOf('// end', from);
  if (from < begin.length || to < 0) throw new Error(`${file} keeps no model ${name} between "// fitted ${name}" and "// end".`);
  const said = Object.entries<number>({ ...calibration }).map(([part, value]) => `${part}: ${round(value)}`);
  const first = said.length > 0 ? `  calibration: { ${said.join(', ')} },\n` : '';
  const model = `const ${name} = {\n${first}  bias: ${round(bias)},\n  weights: {\n${lines.join('\n')}\n  },\n};\n`;
  writeFileSync(file, text.slice(0, from) + model + text.slice(to));
}
