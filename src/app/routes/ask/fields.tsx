// What a wish has to say beside its columns.

import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { visible } from '~/core/naming/visible';
import { askedDefaults } from '~/core/operations/default-value';

interface Parent {
  readonly table: string;
  readonly columns: readonly string[];
}

export function ParentField({ parents }: { readonly parents: readonly Parent[] }) {
  const [parent, setParent] = useState<Parent | null>(null);
  return (
    <>
      <input type="hidden" name="parent" value={parent?.table ?? ''} />
      <input type="hidden" name="parentColumns" value={JSON.stringify(parent?.columns ?? [])} />
      <Autocomplete
        options={parents}
        value={parent}
        onChange={(_, chosen) => setParent(chosen)}
        getOptionLabel={({ table, columns }) => `${table} (${columns.join(', ')})`}
        getOptionKey={({ table, columns }) => JSON.stringify([table, columns])}
        isOptionEqualToValue={(a, b) => a.table === b.table && a.columns.join() === b.columns.join()}
        renderInput={(input) => <TextField {...input} label="The parent, by its key" />}
        sx={{ margin: '12px 0' }}
      />
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
