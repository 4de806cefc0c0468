// Minimal unique column combinations of a set of rows: level by level from single columns upwards, as
// in Heise et al., "Scalable Discovery of Unique Column Combinations", PVLDB 7(4), 2013, and Abedjan &
// Naumann, "Advancing the Discovery of Unique Column Combinations", CIKM 2011. A combination is not
// looked at when a part of it is unique already, or when the product of its parts' distinct values
// is smaller than the rows: then it must repeat.

export interface Codes {
  readonly name: string;
  /** A number from 0 for each row, the same for the same value; -1 for null. */
  readonly codes: Int32Array;
  readonly distinct: number;
  readonly nulls: number;
}

export const widestCombination = 4;

/** Columns that take part in sets wider than one, and sets tried at each width: bounds for very wide tables. */
const mostColumns = 28;
const mostTried = 4_000;
const mostNulls = 0.5;

/** Rows with a null among the columns are left out, as UNIQUE leaves them out. Sets are in the order of the columns. */
export function uniqueCombinations(columns: readonly Codes[], rows: number): readonly (readonly string[])[] {
  if (rows === 0) return [];
  const singles = columns.filter((column) => column.nulls < rows && column.distinct === rows - column.nulls);
  const rest = columns
    .filter((column) => !singles.includes(column) && column.distinct > 1 && column.nulls <= rows * mostNulls)
    .slice(0, mostColumns);
  const found: Codes[][] = singles.map((column) => [column]);
  let level: { readonly set: readonly Codes[]; readonly codes: Int32Array; readonly distinct: number }[] = rest.map((column) => ({
    set: [column],
    codes: column.codes,
    distinct: column.distinct,
  }));
  for (let width = 2; width <= widestCombination && level.length > 0; width++) {
    const next: typeof level = [];
    let tried = 0;
    for (const { set, codes, distinct } of level) {
      const last = set[set.length - 1] as Codes;
      for (const column of rest.slice(rest.indexOf(last) + 1)) {
        const wider = [...set, column];
        if (found.some((unique) => unique.length > 1 && unique.every((part) => wider.includes(part)))) continue;
        const filled = rows - Math.max(...wider.map((part) => part.nulls));
        if (distinct * column.distinct < filled) {
          if (width < widestCombination && tried < mostTried) next.push({ set: wider, ...join(codes, column.codes) });
          continue;
        }
        if (++tried > mostTried) break;
        const joined = join(codes, column.codes);
        if (joined.unique) found.push(wider);
        else if (width < widestCombination) next.push({ set: wider, codes: joined.codes, distinct: joined.distinct });
      }
    }
    level = next.length > mostTried ? next.slice(0, mostTried) : next;
  }
  return found.map((set) => set.map((column) => column.name));
}

/** Codes of pairs of values. Exact: two rows share a code only when both parts are the same. */
function join(a: Int32Array, b: Int32Array): { readonly codes: Int32Array; readonly distinct: number; readonly unique: boolean } {
  const codes = new Int32Array(a.length);
  const seen = new Map<number, number>();
  let unique = true;
  for (let row = 0; row < a.length; row++) {
    const left = a[row] as number;
    const right = b[row] as number;
    if (left < 0 || right < 0) {
      codes[row] = -1;
      continue;
    }
    // Codes are below 2^26 (there are fewer rows), so the pair is below 2^53.
    const pair = left * 67_108_864 + right;
    const code = seen.get(pair);
    if (code === undefined) {
      codes[row] = seen.size;
      seen.set(pair, seen.size);
    } else {
      codes[row] = code;
      unique = false;
    }
  }
  // Where few rows have both values, that none repeats says nothing.
  return { codes, distinct: seen.size, unique: unique && seen.size * 2 >= a.length };
}
