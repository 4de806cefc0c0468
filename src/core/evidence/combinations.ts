// Minimal unique column combinations of a set of rows: level by level from single columns upwards, as
// in Heise et al., "Scalable Discovery of Unique Column Combinations", PVLDB 7(4), 2013, and Abedjan &
// Naumann, "Advancing the Discovery of Unique Column Combinations", CIKM 2011. A combination is not
// looked at when a part of it is unique already, or when the product of its parts' distinct values
// is smaller than the rows: then it must repeat.

export interface Codes {
  readonly name: string;
  /** For each row a number from 0 to below `distinct`, the same for the same value; -1 for null. */
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
  let level: readonly (readonly Codes[])[] = rest.map((column) => [column]);
  for (let width = 2; width <= widestCombination && level.length > 0; width++) {
    const next: (readonly Codes[])[] = [];
    let tried = 0;
    for (const set of level) {
      const last = set[set.length - 1] as Codes;
      for (const column of rest.slice(rest.indexOf(last) + 1)) {
        const wider = [...set, column];
        if (found.some((unique) => unique.length > 1 && unique.every((part) => wider.includes(part)))) continue;
        // Nulls may lie in different rows.
        const filled = rows - wider.reduce((sum, part) => sum + part.nulls, 0);
        const mustRepeat = wider.reduce((product, part) => product * part.distinct, 1) < filled;
        if (!mustRepeat && ++tried > mostTried) break;
        if (!mustRepeat && neverRepeats(wider, rows)) found.push(wider);
        else if (next.length < mostTried) next.push(wider);
      }
    }
    level = next;
  }
  return found.map((set) => set.map((column) => column.name));
}

/** Looks no further than the first repeat, which most sets show early. Exact: no two different rows share a key. */
function neverRepeats(columns: readonly Codes[], rows: number): boolean {
  const asNumber = columns.reduce((product, column) => product * (column.distinct + 1), 1) < Number.MAX_SAFE_INTEGER;
  const seen = new Set<number | string>();
  let filled = 0;
  for (let row = 0; row < rows; row++) {
    const key = asNumber ? numberKey(columns, row) : textKey(columns, row);
    if (key === null) continue;
    filled++;
    if (seen.size === seen.add(key).size) return false;
  }
  // Where few rows have all of the values, that none repeats says nothing.
  return filled * 2 >= rows;
}

function numberKey(columns: readonly Codes[], row: number): number | null {
  let key = 0;
  for (const { codes, distinct } of columns) {
    const code = codes[row] as number;
    if (code < 0) return null;
    key = key * (distinct + 1) + code;
  }
  return key;
}

function textKey(columns: readonly Codes[], row: number): string | null {
  let key = '';
  for (const { codes } of columns) {
    const code = codes[row] as number;
    if (code < 0) return null;
    key += `${code},`;
  }
  return key;
}
