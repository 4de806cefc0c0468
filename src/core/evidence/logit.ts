// A logistic model over named features, as references, keys and NOT NULL are weighed by: each feature has a weight, the sums are log-odds.

export interface Model<Name extends string> {
  readonly bias: number;
  readonly weights: Readonly<Record<Name, number>>;
}

/** What a feature adds to the log-odds. */
export interface Part<Name extends string> {
  readonly feature: Name;
  readonly logOdds: number;
}

export function logOddsOf<Name extends string>(
  names: readonly Name[],
  { bias, weights }: Model<Name>,
  features: Readonly<Record<Name, number>>,
): number {
  return names.reduce((sum, name) => sum + weights[name] * features[name], bias);
}

/** The parts that matter, strongest first: those that add or take at least so much. */
export function partsOf<Name extends string>(
  names: readonly Name[],
  { weights }: Model<Name>,
  features: Readonly<Record<Name, number>>,
  least: number,
): readonly Part<Name>[] {
  return names
    .map((feature) => ({ feature, logOdds: weights[feature] * features[feature] }))
    .filter(({ logOdds }) => Math.abs(logOdds) >= least)
    .sort((a, b) => Math.abs(b.logOdds) - Math.abs(a.logOdds));
}

/** From log-odds to a share, 0 to 1. */
export function probabilityOf(logOdds: number): number {
  return 1 / (1 + Math.exp(-logOdds));
}

/** A feature that holds or does not. */
export function flag(holds: unknown): number {
  return holds ? 1 : 0;
}
