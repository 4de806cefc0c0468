import type { TableId } from '../catalogue/identifiers';
import type { Line } from './stock';

/** What was measured before of tables that a survey left out, put into what it saw of them. What is of another type now was another column. */
export function withEarlier(lines: readonly Line[], earlier: readonly Line[], scope: ReadonlySet<TableId>): readonly Line[] {
  const before = new Map(earlier.map((line) => [line.id, line]));
  return lines.map((line) => {
    const known = line.table === null || scope.has(line.table as TableId) ? undefined : before.get(line.id);
    if (!known || known.values['type'] !== line.values['type']) return line;
    const kept = measuredFields.flatMap((field) => {
      const value = known.values[field];
      return value === undefined || value === null ? [] : [[field, value] as const];
    });
    return { ...line, values: { ...line.values, ...Object.fromEntries(kept) } };
  });
}

const measuredFields = ['rows', 'empty', 'blank', 'distinct', 'variety', 'smallest', 'largest', 'longest', 'how', 'measured'];
