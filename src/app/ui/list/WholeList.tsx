import { Bar, Empty } from '~/app/ui/parts';
import { type ReactNode, useCallback, useEffect, useMemo, useRef } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { Choice } from '~/app/ui/Choice';
import { useKeys } from '~/app/ui/keys';
import { useRowKeys } from '~/app/ui/useRowKeys';
import type { Field } from '~/core/inventory/stock';
import { ColumnChoice } from './ColumnChoice';
import { useColumns } from './columns';
import { FilterLine } from './FilterLine';
import { Foot } from './Foot';
import { headingOn, lineOf, rowOn } from './lines';
import { ListTable } from './ListTable';
import { type Picked, usePicked } from './picked';
import { SaveWhole } from './SaveWhole';
import { drawn, type Group, useWhole, type WholeField } from './whole';

interface WholeListProps<Row> {
  /** `Findings`: the name of the list, under which its widths are kept and its files are saved. */
  readonly name: string;
  /** `finding`: what a row is. */
  readonly what: string;
  readonly label: string;
  readonly all: readonly Row[];
  readonly fields: readonly WholeField<Row>[];
  /** The names of the fields that it can be grouped by. */
  readonly groups: readonly string[];
  /** The address of the list; that of a row is below it, under the row's id. */
  readonly here: string;
  /** True of rows that open a page of their own: the keys only mark one, and Enter opens it. */
  readonly apart?: true;
  readonly chosenId?: string | undefined;
  /** What stands over the list, and what under it. */
  readonly above?: ReactNode;
  readonly below?: ReactNode;
  /** Further parts of the bar, beside the filter. */
  readonly children?: ReactNode;
  /** Shown when no row fits. */
  readonly empty: ReactNode;
  readonly keys: Readonly<Record<string, string>>;
  readonly foot: (rows: readonly Row[]) => ReactNode;
  /** What can be done with a group, at its name. */
  readonly ofGroup?: (group: Group) => ReactNode;
  /**
   * What can be done with the rows that are picked; without it none can be. It stands there with none too, since what was done
   * may have taken them out of the list before the answer is there; it shows nothing then.
   */
  readonly several?: ((picked: Picked<Row>) => ReactNode) | undefined;
}

/** A list that the browser has whole, with its filter, groups, columns, files and keys: the left half of a desk. */
export function WholeList<Row extends { readonly id: string | number }>(props: WholeListProps<Row>) {
  const { name, what, label, all, fields, groups, here, apart, above, below, children, empty, keys, foot, ofGroup, several } =
    props;
  const [params] = useSearchParams();
  const chosenId = apart ? (params.get('at') ?? undefined) : props.chosenId;
  const list = name.toLowerCase();
  const columns = useColumns(list, fields);
  const { rows, lines, problem } = useWhole(all, fields, columns);
  const chosen = rows.findIndex((row) => String(row.id) === chosenId);
  // What was answered in one dossier does not follow to the next.
  const kept = new URLSearchParams([...params].filter(([param]) => ofList.has(param))).toString();
  const search = kept === '' ? '' : `?${kept}`;
  const to = useCallback((row: Row) => `${here}/${addressOf(row.id)}${search}`, [here, search]);
  const mark = useCallback(
    (row: Row) => `${here}?${new URLSearchParams([...new URLSearchParams(kept), ['at', String(row.id)]])}`,
    [here, kept],
  );
  const current = useRowKeys(
    rows.length,
    chosen,
    useCallback((index: number) => (rows[index] ? (apart ? mark : to)(rows[index]) : here), [rows, apart, mark, to, here]),
  );
  useOpening(apart ? () => (rows[current()] ? to(rows[current()] as Row) : null) : null);
  const picked = usePicked(
    rows,
    useCallback(() => rows[current()] ?? null, [rows, current]),
    several !== undefined,
  );
  return (
    <main className="list" id="content" aria-label={name}>
      {above}
      <Bar>
        <FilterLine fields={fields} problem={problem} />
        <Choice name="group" label="Group" options={[['', 'No groups'], ...groups.map((by) => [by, `By ${by}`] as const)]} />
        <ColumnChoice fields={fields} columns={columns} />
        <SaveWhole name={list} rows={rows} fields={fields} columns={columns} />
        {children}
      </Bar>
      {rows.length === 0 ? (
        <Empty>{empty}</Empty>
      ) : (
        <ListTable
          label={label}
          fields={fields}
          columns={columns}
          count={lines.length}
          chosen={lineOf(lines, rows[chosen])}
          rowAt={(line) => rowOn(lines, line)}
          heading={(line) => headingOn(lines, line, what, ofGroup)}
          to={to}
          cell={drawn as (row: Row, field: Field) => ReactNode}
          {...(several && { picked })}
        />
      )}
      {below}
      {several?.(picked)}
      {picked.count === 0 && <Foot keys={keys}>{foot(rows)}</Foot>}
    </main>
  );
}

/** Enter opens what is marked. */
function useOpening(marked: (() => string | null) | null): void {
  const navigate = useNavigate();
  const latest = useRef(marked);
  useEffect(() => void (latest.current = marked));
  const on = marked !== null;
  const open = useMemo(() => {
    const run = (): void => {
      const address = latest.current?.() ?? null;
      if (address !== null) void navigate(address);
    };
    return on ? [{ key: 'Enter', does: 'open it', run }] : [];
  }, [on, navigate]);
  useKeys(open);
}

const ofList: ReadonlySet<string> = new Set(['q', 'group', 'sort', 'columns', 'show', 'concern']);

/** An id may be a path, as that of a rule. */
function addressOf(id: string | number): string {
  return String(id).split('/').map(encodeURIComponent).join('/');
}
