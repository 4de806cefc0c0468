import { useCallback, useMemo, useRef, useState } from 'react';
import { useKeys } from '~/app/ui/keys';

export interface Picked<Row> {
  readonly rows: readonly Row[];
  readonly count: number;
  readonly isWhole: boolean;
  has(row: Row): boolean;
  /** `through`: with all between the one picked before and this one. */
  readonly toggle: (row: Row, through: boolean) => void;
  readonly all: () => void;
  readonly none: () => void;
}

const nobody: ReadonlySet<unknown> = new Set();

/** Several rows for one action, by their boxes or with Space and Shift. What the list does not show is not among them. */
export function usePicked<Row extends { readonly id: unknown }>(
  rows: readonly Row[],
  chosen: () => Row | null,
  on: boolean,
): Picked<Row> {
  const [ids, setIds] = useState(nobody);
  const before = useRef<unknown>(null);
  const toggle = useCallback(
    (row: Row, through: boolean) => {
      const [from, to] = [before.current, row.id].map((id) => rows.findIndex((other) => other.id === id));
      before.current = row.id;
      setIds((former) => {
        const next = new Set(former);
        if (through && from !== undefined && to !== undefined && from >= 0)
          for (const { id } of rows.slice(Math.min(from, to), Math.max(from, to) + 1)) next.add(id);
        else if (!next.delete(row.id)) next.add(row.id);
        return next;
      });
    },
    [rows],
  );
  const all = useCallback(() => setIds(new Set(rows.map(({ id }) => id))), [rows]);
  const none = useCallback(() => setIds(nobody), []);
  const shown = useMemo(() => (ids.size === 0 ? [] : rows.filter(({ id }) => ids.has(id))), [rows, ids]);
  const isAny = shown.length > 0;
  useKeys(
    useMemo(() => {
      if (!on) return [];
      const pick = (through: boolean) => (): void => {
        const row = chosen();
        if (row) toggle(row, through);
      };
      return [
        { key: ' ', does: 'choose the row, for several at once', run: pick(false) },
        { key: 'shift+ ', does: 'choose all rows down to this one', run: pick(true) },
        { key: 'ctrl+a', does: 'choose all rows', run: all },
        ...(isAny ? [{ key: 'Escape', does: 'choose none', run: none }] : []),
      ];
    }, [on, chosen, toggle, all, none, isAny]),
  );
  return {
    rows: shown,
    count: shown.length,
    isWhole: isAny && shown.length === rows.length,
    has: (row) => ids.has(row.id),
    toggle,
    all,
    none,
  };
}
