import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useNavigate } from 'react-router';
import { Fields, Ticks } from '~/app/ui/parts';
import type { FieldErrors } from '~/input/parse';
import type { Route } from './+types/route';
import { SettingField } from './SettingField';

type Page = Route.ComponentProps['loaderData'];

/** What the source is called, how it is reached, with which login. */
export function Connection({ page, errors }: { readonly page: Page; readonly errors: FieldErrors }) {
  const { source, kinds, kind, fields, secret } = page;
  const settings = settingsOf(page);
  const navigate = useNavigate();
  const field = (name: string) => ({ name, id: name, error: name in errors, helperText: errors[name]?.[0] });
  return (
    <Fields>
      <TextField {...field('name')} label="Name" defaultValue={source?.name ?? ''} autoFocus />
      <TextField {...field('environment')} label="Environment" select defaultValue={source?.environment ?? 'test'}>
        <MenuItem value="production">production</MenuItem>
        <MenuItem value="staging">staging</MenuItem>
        <MenuItem value="test">test</MenuItem>
      </TextField>
      {!source && (
        <TextField
          label="How it is reached"
          select
          value={kind}
          onChange={(event) => void navigate(`?kind=${event.target.value}`, { replace: true })}
        >
          {kinds.map(({ id, title }) => (
            <MenuItem key={id} value={id}>
              {title}
            </MenuItem>
          ))}
        </TextField>
      )}
      {fields.map((own) =>
        own.input === 'tick' ? null : (
          <SettingField key={`${kind} ${own.name}`} field={own} value={settings[own.name]} {...field(own.name)} />
        ),
      )}
      {secret !== null && (
        <TextField
          {...field('secret')}
          label={source ? `${secret} (empty keeps the stored one)` : secret}
          type="password"
          autoComplete="new-password"
        />
      )}
    </Fields>
  );
}

/** What holds for the source, to be ticked. */
export function Holding({ page }: { readonly page: Page }) {
  const { source, fields, live } = page;
  const settings = settingsOf(page);
  const tick = (name: string, label: string, on: boolean) => (
    <FormControlLabel
      control={<Checkbox name={name} defaultChecked={on} size="small" />}
      label={label}
      slotProps={{ typography: { variant: 'small' } }}
    />
  );
  return (
    <Ticks>
      {tick(
        'secondPerson',
        'On production, another than its authors signs a docket, and another than its signer runs it',
        source?.secondPerson ?? true,
      )}
      {tick('sensitive', 'It is sensitive: rows of its data are shown to nobody', source?.sensitive ?? false)}
      {live && tick('fittingLogin', 'Surveys insist on a login that can only read', source?.fittingLogin ?? false)}
      {fields.map(({ name, label, input, usual }) =>
        input === 'tick' ? tick(name, label, settings[name] === true || (source === null && usual === true)) : null,
      )}
    </Ticks>
  );
}

function settingsOf({ source }: Page): Readonly<Record<string, string | number | boolean>> {
  return (source?.settings ?? {}) as Readonly<Record<string, string | number | boolean>>;
}
