import { pathTo } from '~/app/ui/pathTo';
import Alert from '@mui/material/Alert';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import FormControl from '@mui/material/FormControl';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormLabel from '@mui/material/FormLabel';
import LinearProgress from '@mui/material/LinearProgress';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { data, Form, Link, redirect, useNavigation } from 'react-router';
import { asked } from '~/app/server/asked.server';
import { enter, formIn, orPage } from '~/app/server/door.server';
import { notFound } from '~/app/server/ids.server';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import type { TableId } from '~/core/catalogue/identifiers';
import {
  baseTables,
  canRefer,
  declaredUniques,
  findTable,
  foreignKeysOf,
  getColumn,
  primaryKeyOf,
  referableKeys,
  sameColumns,
} from '~/core/catalogue/lookups';
import { constraintInWords } from '~/core/catalogue/inWords';
import type { Catalogue, Table } from '~/core/catalogue/model';
import { traitsOf } from '~/core/engines/facts';
import { visible } from '~/core/naming/visible';
import { inSeries } from '~/core/naming/words';
import { cannotComeBack } from '~/core/operations/again';
import { type WishKind, wishes } from '~/core/wishes/index';
import type { NamedPart } from '~/core/wishes/named';
import { whyNotSwitched } from '~/core/wishes/switched';
import { errorsInWords, parseForm } from '~/input/parse';
import { latestCatalogue } from '~/work/catalogues';
import { ask } from '~/work/wishes';
import {
  ChangeField,
  type Changeable,
  ClaimField,
  DefaultField,
  GoneField,
  ListField,
  ParentField,
  type Switch,
  SwitchField,
} from './fields';
import { AskedOf, AskForm, wishIn } from './askForms.server';
import type { Route } from './+types/route';

/** More parents than anybody scrolls through; the likeliest first. */
const mostParents = 2_000;

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'plan');
  const { what, constraint, ...of } = await asked(AskedOf, request);
  const catalogue = await latestCatalogue(store, source.id);
  const table = catalogue && findTable(catalogue, of.table as TableId);
  if (!catalogue || !table)
    throw notFound(`There is no table ${of.table}`, 'Choose a table in the inventory, and ask from there.');
  const columns = of.column.filter((name) => table.columns.some((column) => column.name === name));
  return {
    source: source.id,
    table: table.id,
    columns: table.columns.map(({ name, declaredType }) => ({ name, type: declaredType })),
    keyed: primaryKeyOf(table) !== null,
    parents: parentsFor(catalogue, table),
    lists: listsFor(catalogue, table),
    parts: partsOf(table, catalogue),
    switches: switchesOf(table, catalogue),
    changes: changeableOf(table, catalogue),
    first: { columns, what, constraint },
  };
}

interface Part {
  readonly object: NamedPart;
  readonly name: string;
  readonly words: string;
  /** False of what could not come back. */
  readonly drops: boolean;
}

/** Its triggers, and its references where the server lets one switch them. */
function switchesOf(table: Table, catalogue: Catalogue): readonly Switch[] {
  return [
    ...table.triggers.map(({ name, enabled }) => ({ object: 'trigger' as const, name, enabled })),
    ...foreignKeysOf(table)
      .filter(({ name }) => whyNotSwitched(table, name, catalogue) === null)
      .map(({ name, enforced }) => ({ object: 'reference' as const, name, enabled: enforced })),
  ];
}

/** Its references and unique constraints, and what the server lets a reference do. */
function changeableOf(table: Table, catalogue: Catalogue): readonly Changeable[] {
  const { actions, defersReferences } = traitsOf(catalogue);
  return table.constraints.flatMap((one): readonly Changeable[] => {
    if (cannotComeBack(one, table, catalogue) !== null) return [];
    if (one.kind === 'unique') return [{ name: one.name, words: constraintInWords(one), reference: null }];
    if (one.kind !== 'foreign key') return [];
    const { onDelete, onUpdate, deferrable } = one;
    return [
      {
        name: one.name,
        words: constraintInWords(one),
        reference: { onDelete, onUpdate, deferrable, actions, defers: defersReferences },
      },
    ];
  });
}

/** What of a table has a name of its own. */
function partsOf(table: Table, catalogue: Catalogue): readonly Part[] {
  const drops = (part: Table['constraints'][number] | Table['indexes'][number]): boolean =>
    cannotComeBack(part, table, catalogue) === null;
  return [
    { object: 'table', name: table.name, words: '', drops: false },
    ...table.columns.map(({ name }) => ({ object: 'column' as const, name, words: '', drops: false })),
    ...table.constraints.map((one) => ({
      object: 'constraint' as const,
      ...{ name: one.name, words: constraintInWords(one), drops: drops(one) },
    })),
    ...table.indexes
      .filter(({ constraint }) => constraint === null)
      .map((one) => {
        const words = `index on ${one.columns.map((column) => column ?? 'an expression').join(', ')}`;
        return { object: 'index' as const, name: one.name, words, drops: drops(one) };
      }),
    ...table.triggers.map(({ name }) => ({ object: 'trigger' as const, name, words: '', drops: false })),
  ];
}

/** The keys of other tables that some column of a table could refer to. */
function parentsFor(catalogue: Catalogue, table: Table) {
  const fits = (parent: Table, key: readonly string[]): boolean =>
    key.every((name) => table.columns.some((column) => canRefer(catalogue, column, getColumn(catalogue, parent.id, name))));
  return baseTables(catalogue)
    .flatMap((parent) => referableKeys(parent).map((key) => ({ parent, key })))
    .filter(({ parent, key }) => fits(parent, key))
    .slice(0, mostParents)
    .map(({ parent, key }) => ({ table: parent.id, columns: key }));
}

/** Texts of other tables that do not repeat there, beside a key of one column. */
function listsFor(catalogue: Catalogue, table: Table) {
  return baseTables(catalogue)
    .filter((list) => list.id !== table.id && primaryKeyOf(list)?.columns.length === 1)
    .flatMap((list) =>
      declaredUniques(list)
        .filter((unique) => unique.length === 1 && !sameColumns(unique, primaryKeyOf(list)?.columns ?? []))
        .filter(([name]) => list.columns.some((column) => column.name === name && column.family === 'text'))
        .map((columns) => ({ table: list.id, columns })),
    )
    .slice(0, mostParents);
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const room = await enter({ params, context }, 'plan');
  const parsed = await parseForm(AskForm, await formIn(request));
  if (!parsed.ok) return data({ problem: errorsInWords(parsed.errors) }, { status: 422 });
  const catalogue = await latestCatalogue(room.store, room.source.id);
  const table = catalogue && findTable(catalogue, parsed.value.table as TableId);
  const wish = wishIn(parsed.value, table?.columns.map(({ name }) => name) ?? []);
  if (typeof wish === 'string') return data({ problem: wish }, { status: 422 });
  const outcome = await orPage(ask(room, wish, parsed.value.reason.trim(), request.signal));
  return outcome.problem === null
    ? redirect(pathTo('/s/:source/findings/:finding', { source: room.source.id, finding: outcome.result }))
    : data({ problem: outcome.problem }, { status: 422 });
}

export function meta({ loaderData, matches }: Route.MetaArgs) {
  return titled(loaderData ? `Ask for a rule on ${loaderData.table}` : 'Ask for a rule', matches);
}

/** What a wish is about, where it is not columns. */
const aboutParts: Readonly<Partial<Record<WishKind, string>>> = {
  gone: 'A constraint or an index',
  switched: 'A trigger or a reference',
  named: 'The table, or a part of it',
};

export default function AskPage({ loaderData: t, actionData }: Route.ComponentProps) {
  const [what, setWhat] = useState<WishKind>(t.first.what ?? 'unique');
  const [columns, setColumns] = useState<readonly string[]>(t.first.columns);
  const busy = useNavigation().state !== 'idle';
  const droppable = t.parts.filter(({ drops }) => drops);
  const kinds = (Object.keys(wishes) as WishKind[]).filter(
    (kind) =>
      (kind !== 'key' || !t.keyed) &&
      (kind !== 'changed' || t.changes.length > 0) &&
      (kind !== 'gone' || droppable.length > 0) &&
      (kind !== 'switched' || t.switches.length > 0),
  );
  const over = aboutParts[what];
  const first = t.first.constraint || (t.first.columns[0] ?? '');
  return (
    <main className="page" id="content">
      <div className="narrow">
        <h1>
          Ask for a rule on <Typography variant="mono">{t.table}</Typography>
        </h1>
        <Typography variant="mute" component="p">
          For what people know and no audit finds. It is measured at once, kept as a finding of its own, and heard when it slips.
        </Typography>
        {actionData?.problem && (
          <Alert severity="error" role="alert">
            {actionData.problem}
          </Alert>
        )}
        <Form method="post" aria-label="Ask for a rule">
          <input type="hidden" name="table" value={t.table} />
          <input type="hidden" name="columns" value={JSON.stringify(columns)} />
          {over === undefined && (
            <Autocomplete
              multiple
              options={t.columns.map(({ name }) => name)}
              value={[...columns]}
              onChange={(_, chosen) => setColumns(chosen)}
              renderInput={(input) => <TextField {...input} label="Columns" />}
              sx={{ margin: '16px 0' }}
            />
          )}
          <FormControl>
            <FormLabel id="what">{over ?? (columns.length > 0 ? inSeries(columns) : 'What is chosen')}</FormLabel>
            <RadioGroup
              name="what"
              value={what}
              aria-labelledby="what"
              onChange={(event) => setWhat(event.target.value as WishKind)}
            >
              {kinds.map((kind) => (
                <FormControlLabel key={kind} value={kind} control={<Radio size="small" />} label={wishes[kind].title} />
              ))}
            </RadioGroup>
          </FormControl>
          {what === 'reference' && <ParentField parents={t.parents} />}
          {what === 'listed' && <ListField lists={t.lists} column={columns[0] ?? ''} />}
          {what === 'oneOf' && (
            <TextField name="values" label="Values, one a line" multiline minRows={4} sx={{ margin: '12px 0' }} />
          )}
          {what === 'default' && <DefaultField />}
          {what === 'keeps' && <ClaimField columns={t.columns.map(({ name }) => name)} />}
          {what === 'changed' && <ChangeField parts={t.changes} first={first} />}
          {what === 'gone' && <GoneField parts={droppable} first={first} />}
          {what === 'switched' && <SwitchField switches={t.switches} first={first} />}
          {what === 'named' && <Naming parts={t.parts} first={first} />}
          <TextField name="reason" label="Why" helperText="For those who read it later" sx={{ margin: '12px 0' }} />
          {busy && <LinearProgress aria-label="Measuring" />}
          <div className="actions">
            <Button type="submit" variant="contained" disabled={busy}>
              {busy ? 'Measuring…' : 'Measure and keep it'}
            </Button>
            <Button
              variant="text"
              component={Link}
              to={pathTo('/s/:source/inventory/:kind/:line', { source: t.source, kind: 'tables', line: t.table })}
            >
              Leave it
            </Button>
          </div>
        </Form>
      </div>
    </main>
  );
}

interface NamingProps {
  readonly parts: readonly Part[];
  /** What it was asked from. */
  readonly first: string;
}

/** What is to get another name, and which. */
function Naming({ parts, first }: NamingProps) {
  const [at, setAt] = useState(
    Math.max(
      0,
      parts.findIndex(({ name }) => name === first),
    ),
  );
  const part = parts[at];
  return (
    <>
      <input type="hidden" name="object" value={part?.object ?? 'column'} />
      <input type="hidden" name="from" value={part?.name ?? ''} />
      <TextField
        select
        label="What is renamed"
        value={String(at)}
        onChange={(event) => setAt(Number(event.target.value))}
        slotProps={{ select: { native: true } }}
        sx={{ margin: '12px 0' }}
      >
        {parts.map(({ object, name }, i) => (
          <option key={`${object} ${name}`} value={i}>
            {object} {visible(name)}
          </option>
        ))}
      </TextField>
      <TextField name="to" label="Its new name" slotProps={{ htmlInput: { sx: { typography: 'mono' }, spellCheck: false } }} />
    </>
  );
}

export { ProblemStation as ErrorBoundary };
