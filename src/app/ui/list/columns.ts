import {
  type ColumnSizingState,
  columnOrderingFeature,
  columnResizingFeature,
  columnSizingFeature,
  columnVisibilityFeature,
  tableFeatures,
  type Updater,
  useTable,
} from '@tanstack/react-table';
import { useCallback, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { useKept } from '~/app/ui/useKept';
import type { Field } from '~/core/inventory/stock';

const features = tableFeatures({
  columnOrderingFeature,
  columnResizingFeature,
  columnSizingFeature,
  columnVisibilityFeature,
});
const none: never[] = [];
const noSizes: ColumnSizingState = {};

export interface Columns {
  readonly table: ReturnType<typeof useTable<typeof features, never>>;
  /** Names of the fields shown, in order. */
  readonly shown: readonly string[];
  readonly show: (names: readonly string[]) => void;
  /** Those that somebody made wider or narrower. */
  readonly resized: ReadonlySet<string>;
  readonly sort: { readonly field: string; readonly falling: boolean } | null;
  readonly sortBy: (field: string) => void;
}

/**
 * The columns of a list: which are shown, in which order, how wide, and by which it is sorted. What is shown and the sort
 * are in the address, so that they can be sent on; columns and widths are kept for the person, under the list's name.
 */
export function useColumns(list: string, fields: readonly Field[]): Columns {
  const [params, setParams] = useSearchParams();
  const [sizes, setSizes] = useKept<ColumnSizingState>(`widths.${list}`, noSizes);
  const usual = useMemo(() => fields.filter(({ usual: is }) => is).map(({ name }) => name), [fields]);
  const [kept, keep] = useKept<readonly string[]>(`columns.${list}`, none);
  const asked = params.get('columns');
  const shown = useMemo(() => {
    const wanted = asked === null ? kept : asked.split(',');
    const known = wanted.filter((name) => fields.some((field) => field.name === name));
    return known.length > 0 ? known : usual;
  }, [asked, kept, fields, usual]);
  const change = useCallback(
    (name: string, value: string) => {
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          if (value === '') next.delete(name);
          else next.set(name, value);
          return next;
        },
        { replace: true, preventScrollReset: true },
      );
    },
    [setParams],
  );
  const wanted = params.get('sort') ?? '';
  const sort = wanted === '' ? null : { field: wanted.replace(/^-/, ''), falling: wanted.startsWith('-') };
  const table = useTable<typeof features, never>({
    features,
    columns: useMemo(
      () => fields.map(({ name, title, width }) => ({ id: name, header: title ?? name, size: width, minSize: 36 })),
      [fields],
    ),
    data: none,
    columnResizeMode: 'onChange',
    state: {
      columnOrder: [...shown],
      columnVisibility: Object.fromEntries(fields.map(({ name }) => [name, shown.includes(name)])),
      columnSizing: sizes,
    },
    onColumnSizingChange: (updater: Updater<ColumnSizingState>) =>
      setSizes((before) => (typeof updater === 'function' ? updater(before) : updater)),
  });
  return {
    table,
    shown,
    resized: new Set(Object.keys(sizes)),
    show: (names) => {
      const isUsual = names.join(',') === usual.join(',');
      keep(() => (isUsual ? none : names));
      change('columns', isUsual ? '' : names.join(','));
    },
    sort,
    // Rising, falling, and as it was.
    sortBy: (field) => change('sort', sort?.field !== field ? field : sort.falling ? '' : `-${field}`),
  };
}
