// What a wish has to say beside its columns.

import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import Typography from '@mui/material/Typography';
import type { ForeignKey, ReferentialAction } from '~/core/catalogue/model';
import { visible } from '~/core/naming/visible';
import { askedDefaults } from '~/core/operations/default-value';
import { checkedWhen } from '~/core/operations/change-constraint';
import type { AskedClaim } from '~/core/wishes/keeps';

interface Parent {
  readonly table: string;
  readonly columns: readonly string[];
}

interface ParentProps {
  readonly parents: readonly Parent[];
  readonly label?: string;
  onChange?(this: void, parent: Parent | null): void;
}

export function ParentField({ parents, label = 'The parent, by its key', onChange }: ParentProps) {
  const [parent, setParent] = useState<Parent | null>(null);
  return (
    <>
      <input type="hidden" name="parent" value={parent?.table ?? ''} />
      <input type="hidden" name="parentColumns" value={JSON.stringify(parent?.columns ?? [])} />
      <Autocomplete
        options={parents}
        value={parent}
        onChange={(_, chosen) => {
          setParent(chosen);
          onChange?.(chosen);
        }}
        getOptionLabel={({ table, columns }) => `${table} (${columns.join(', ')})`}
        getOptionKey={({ table, columns }) => JSON.stringify([table, columns])}
        isOptionEqualToValue={(a, b) => a.table === b.table && a.columns.join() === b.columns.join()}
        renderInput={(input) => <TextField {...input} label={label} />}
        sx={{ margin: '12px 0' }}
      />
    </>
  );
}

/** The table that lists the values of a text: one that is there, or one that is made. */
export function ListField({ lists, column }: { readonly lists: readonly Parent[]; readonly column: string }) {
  const [made, setMade] = useState(true);
  return (
    <>
      <ParentField
        parents={lists}
        label="The table that lists them, where there is one"
        onChange={(parent) => setMade(!parent)}
      />
      {made && (
        <TextField
          name="to"
          label="Name of the table that is made"
          helperText={`${column || 'As the column'}, when you type none`}
          slotProps={{ htmlInput: { sx: { typography: 'mono' }, spellCheck: false } }}
        />
      )}
    </>
  );
}

type Asked = keyof typeof askedDefaults;

export function DefaultField() {
  const [as, setAs] = useState<Asked>('constant');
  return (
    <>
      <OneField
        name="as"
        label="New rows that say nothing take"
        value={as}
        options={(Object.keys(askedDefaults) as Asked[]).map((one) => [one, askedDefaults[one]])}
        onChange={(chosen) => setAs(chosen as Asked)}
      />
      {as === 'constant' && (
        <TextField
          name="value"
          label="The value"
          helperText="As it is, without quotes. Rows that are there stay as they are."
          slotProps={{ htmlInput: { sx: { typography: 'mono' }, spellCheck: false } }}
        />
      )}
    </>
  );
}

interface GoneProps {
  readonly parts: readonly { readonly object: string; readonly name: string; readonly words: string }[];
  /** What it was asked from. */
  readonly first: string;
}

export function GoneField({ parts, first }: GoneProps) {
  const from = parts.find(({ name }) => name === first) ?? parts[0];
  const [part, setPart] = useState(from ? `${from.object} ${from.name}` : '');
  return (
    <OneField
      name="part"
      label="What goes"
      value={part}
      options={parts.map(({ object, name, words }) => [`${object} ${name}`, `${visible(name)}: ${words}`])}
      onChange={setPart}
    />
  );
}

export interface Switch {
  readonly object: 'trigger' | 'reference';
  readonly name: string;
  readonly enabled: boolean;
}

interface SwitchProps {
  readonly switches: readonly Switch[];
  readonly first: string;
}

export function SwitchField({ switches, first }: SwitchProps) {
  const [at, setAt] = useState(
    Math.max(
      0,
      switches.findIndex(({ name }) => name === first),
    ),
  );
  const { object, name, enabled } = switches[at] ?? { object: 'trigger', name: '', enabled: true };
  return (
    <>
      <input type="hidden" name="turn" value={enabled ? 'off' : 'on'} />
      <input type="hidden" name="switches" value={object} />
      <input type="hidden" name="trigger" value={name} />
      <OneField
        label="What is switched"
        value={String(at)}
        options={switches.map((one, i) => [
          String(i),
          `${one.object} ${visible(one.name)}: switched ${one.enabled ? 'off from now on' : 'on again'}`,
        ])}
        onChange={(chosen) => setAt(Number(chosen))}
      />
    </>
  );
}

export interface Changeable {
  readonly name: string;
  readonly words: string;
  /** What it does now and may do; null of a unique constraint. */
  readonly reference: {
    readonly onDelete: ReferentialAction;
    readonly onUpdate: ReferentialAction;
    readonly deferrable: ForeignKey['deferrable'];
    readonly actions: Readonly<Record<'delete' | 'update', readonly ReferentialAction[]>>;
    readonly defers: boolean;
  } | null;
}

interface ChangeProps {
  readonly parts: readonly Changeable[];
  readonly first: string;
}

/** A reference that does something else; of a unique constraint the columns above are what it is to be over. */
export function ChangeField({ parts, first }: ChangeProps) {
  const [name, setName] = useState((parts.find((part) => part.name === first) ?? parts[0])?.name ?? '');
  const part = parts.find((one) => one.name === name);
  return (
    <>
      <OneField
        name="changes"
        label="What becomes otherwise"
        value={name}
        options={parts.map((one) => [one.name, `${visible(one.name)}: ${one.words}`])}
        onChange={setName}
      />
      {part?.reference ? (
        <ReferenceFields key={name} {...part.reference} />
      ) : (
        <>
          <input type="hidden" name="over" value="columns" />
          <Typography variant="note">It is to be over the columns that are chosen above.</Typography>
        </>
      )}
    </>
  );
}

function ReferenceFields({ onDelete, onUpdate, deferrable, actions, defers }: NonNullable<Changeable['reference']>) {
  const [chosen, setChosen] = useState({ onDelete, onUpdate, deferrable });
  const set = (part: Partial<typeof chosen>) => setChosen({ ...chosen, ...part });
  const named = (list: readonly string[]) => list.map((one) => [one, one] as const);
  return (
    <>
      <OneField
        {...(chosen.onDelete !== onDelete && { name: 'onDelete' })}
        label="When a parent goes"
        value={chosen.onDelete}
        options={named([...new Set([onDelete, ...actions.delete])])}
        onChange={(value) => set({ onDelete: value as ReferentialAction })}
      />
      <OneField
        {...(chosen.onUpdate !== onUpdate && { name: 'onUpdate' })}
        label="When the key of a parent changes"
        value={chosen.onUpdate}
        options={named([...new Set([onUpdate, ...actions.update])])}
        onChange={(value) => set({ onUpdate: value as ReferentialAction })}
      />
      {defers && (
        <OneField
          {...(chosen.deferrable !== deferrable && { name: 'deferrable' })}
          label="When it is checked"
          value={chosen.deferrable}
          options={Object.entries(checkedWhen)}
          onChange={(value) => set({ deferrable: value as ForeignKey['deferrable'] })}
        />
      )}
    </>
  );
}

const claimsInWords: Readonly<Record<AskedClaim, string>> = {
  between: 'between two numbers',
  ordered: 'not after another column',
  like: 'of a pattern',
  noLonger: 'no longer than',
  notBlank: 'not blank',
  notNegative: 'not below zero',
  condition: 'as a condition in SQL says, over any columns',
};

/** What every row keeps to, of the first column that is chosen. */
export function ClaimField({ columns }: { readonly columns: readonly string[] }) {
  const [claim, setClaim] = useState<AskedClaim>('between');
  const [second, setSecond] = useState(columns[0] ?? '');
  return (
    <>
      <OneField
        name="claim"
        label="Each value is"
        value={claim}
        options={Object.entries(claimsInWords)}
        onChange={(value) => setClaim(value as AskedClaim)}
      />
      {claim === 'between' && (
        <>
          <TextField name="least" label="The least" helperText="Empty where there is none" sx={{ margin: '12px 12px 12px 0' }} />
          <TextField name="most" label="The most" helperText="Empty where there is none" sx={{ margin: '12px 0' }} />
        </>
      )}
      {claim === 'ordered' && (
        <OneField
          name="second"
          label="The other column"
          value={second}
          options={columns.map((name) => [name, visible(name)])}
          onChange={setSecond}
        />
      )}
      {claim === 'condition' && (
        <TextField
          name="condition"
          label="The condition"
          helperText="True of each row that is as it should be: left_at is null or left_at >= entered_at. Columns, values, and lower, upper, trim, char_length, abs, round, floor, coalesce, nullif, concat, mod."
          multiline
          minRows={2}
          slotProps={{ htmlInput: { sx: { typography: 'mono' }, spellCheck: false } }}
          sx={{ margin: '12px 0' }}
        />
      )}
      {claim === 'noLonger' && <TextField name="characters" label="Characters at most" sx={{ margin: '12px 0' }} />}
      {claim === 'like' && (
        <TextField
          name="pattern"
          label="The pattern"
          helperText="From ^ to $: signs, classes such as [A-Z0-9], groups and |, and how often: ? * + {2} {2,4}"
          slotProps={{ htmlInput: { sx: { typography: 'mono' }, spellCheck: false } }}
          sx={{ margin: '12px 0' }}
        />
      )}
    </>
  );
}

interface OneProps {
  /** Left out where other fields say what was chosen. */
  readonly name?: string;
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [value: string, words: string])[];
  onChange(this: void, value: string): void;
}

function OneField({ name, label, value, options, onChange }: OneProps) {
  return (
    <TextField
      select
      {...(name !== undefined && { name })}
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{ select: { native: true } }}
      sx={{ margin: '12px 0' }}
    >
      {options.map(([key, words]) => (
        <option key={key} value={key}>
          {words}
        </option>
      ))}
    </TextField>
  );
}
