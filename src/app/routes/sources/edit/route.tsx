import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { data, Form, Link, redirect, useNavigation } from 'react-router';
import { idIn, notFound } from '~/app/server/ids.server';
import { enqueue } from '~/app/server/work.server';
import { Strip } from '~/app/ui/Strip';
import { type FieldErrors, parseForm } from '~/input/parse';
import { type TlsMode } from '~/sources/source';
import { db } from '~/store/db';
import { addSource, changeSource, findSource, findSourceNamed, getConnection, removeSource } from '~/store/sources/sources';
import { askForSurvey } from '~/store/surveys/surveys';
import type { Route } from './+types/route';
import { SourceForm } from './sourceForm.server';
import { type Tried, trySource } from './trySource.server';

export async function loader({ params }: Route.LoaderArgs) {
  const { source: text } = params;
  if (text === undefined) return { source: null };
  const source = await findSource(db(), await idIn(text, 'source'));
  if (!source) throw notFound('There is no such source', 'It may have been removed.');
  return { source };
}

export async function action({ params, request }: Route.ActionArgs) {
  const { source: text } = params;
  const id = text === undefined ? null : await idIn(text, 'source');
  const form = await request.formData();
  if (id !== null && form.get('intent') === 'remove') {
    await removeSource(db(), id);
    return redirect('/sources');
  }
  const parsed = await parseForm(SourceForm, form);
  if (!parsed.ok) return data(answer(null, parsed.errors), { status: 422 });
  const { intent, ...source } = parsed.value;
  const stored = id !== null && source.password === '' ? (await getConnection(db(), id)).password : source.password;
  if (intent === 'try') return answer(await trySource({ ...source, password: stored }), {});

  const twin = await findSourceNamed(db(), source.name);
  if (twin && twin.id !== id) return data(answer(null, { name: ['Another source has this name'] }), { status: 422 });
  if (id !== null) {
    await changeSource(db(), id, source);
    return redirect('/sources');
  }
  const added = await addSource(db(), source);
  const survey = await askForSurvey(db(), { source: added, depth: 'exact' });
  await enqueue('survey', survey);
  return redirect(`/s/${added}/surveys/${survey}`);
}

function answer(tried: Tried | null, errors: FieldErrors) {
  return { tried, errors };
}

export function meta() {
  return [{ title: 'Source · Pawl' }];
}

const tlsWords: Readonly<Record<TlsMode, string>> = {
  prefer: 'encrypt when the server offers it',
  require: 'encrypt, whatever its certificate',
  verify: 'encrypt, and check its certificate',
  off: 'do not encrypt',
};

export default function EditSource({ loaderData: { source }, actionData }: Route.ComponentProps) {
  const navigation = useNavigation();
  const trying = navigation.state !== 'idle' && navigation.formData?.get('intent') === 'try';
  const errors: FieldErrors = actionData?.errors ?? {};
  const field = (name: string) => ({ name, id: name, error: name in errors, helperText: errors[name]?.[0] });
  return (
    <div className="frame">
      <Strip />
      <main className="page" id="content">
        <div className="narrow">
          <h1>{source ? `The connection of ${source.name}` : 'Add a PostgreSQL source'}</h1>
          <p className="mute">
            Pawl reads with this login, in sessions that the server itself keeps read-only. It needs no right to change anything.
          </p>
          <Form method="post" noValidate>
            <div className="fields">
              <TextField {...field('name')} label="Name" defaultValue={source?.name ?? ''} autoFocus />
              <TextField {...field('environment')} label="Environment" select defaultValue={source?.environment ?? 'test'}>
                <MenuItem value="production">production</MenuItem>
                <MenuItem value="staging">staging</MenuItem>
                <MenuItem value="test">test</MenuItem>
              </TextField>
              <TextField {...field('host')} label="Host" defaultValue={source?.host ?? ''} />
              <TextField
                {...field('port')}
                label="Port"
                defaultValue={source?.port ?? 5432}
                slotProps={{ htmlInput: { inputMode: 'numeric' } }}
              />
              <TextField {...field('database')} label="Database" defaultValue={source?.database ?? ''} />
              <TextField {...field('tls')} label="TLS" select defaultValue={source?.tls ?? 'prefer'}>
                {Object.entries(tlsWords).map(([mode, words]) => (
                  <MenuItem key={mode} value={mode}>
                    {words}
                  </MenuItem>
                ))}
              </TextField>
              <TextField {...field('user')} label="User" defaultValue={source?.user ?? ''} autoComplete="off" />
              <TextField
                {...field('password')}
                label={source ? 'Password (empty keeps the stored one)' : 'Password'}
                type="password"
                autoComplete="new-password"
              />
            </div>
            {actionData?.tried && (
              <p className={`notice${actionData.tried.ok ? '' : ' harm'}`} role="status">
                {actionData.tried.message}
              </p>
            )}
            {Object.keys(errors).length > 0 && (
              <p className="notice harm" role="alert">
                {Object.values(errors).flat()[0]}.
              </p>
            )}
            <div className="actions">
              <Button variant="contained" type="submit" name="intent" value="save">
                {source ? 'Save' : 'Save and survey'}
              </Button>
              <Button type="submit" name="intent" value="try" disabled={trying}>
                {trying ? 'Trying…' : 'Try it'}
              </Button>
              <Button component={Link} to="/sources" variant="text">
                Cancel
              </Button>
              {source && <RemoveButton name={source.name} />}
            </div>
          </Form>
        </div>
      </main>
    </div>
  );
}

function RemoveButton({ name }: { readonly name: string }) {
  return (
    <Button
      type="submit"
      name="intent"
      value="remove"
      color="error"
      sx={{ marginLeft: 'auto' }}
      onClick={(event) => {
        if (!window.confirm(`Remove ${name} with all its surveys, findings and dockets? The database itself is not touched.`))
          event.preventDefault();
      }}
    >
      Remove
    </Button>
  );
}
