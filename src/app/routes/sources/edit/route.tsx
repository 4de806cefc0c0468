import { pathTo } from '~/app/ui/pathTo';
import { Frame } from '~/app/ui/parts';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { data, Form, Link, redirect, useNavigation } from 'react-router';
import { asked } from '~/app/server/asked.server';
import { actorIn, enter, enterAll, formIn, orPage } from '~/app/server/door.server';
import { office } from '~/app/server/office.server';
import { Confirmed } from '~/app/ui/Confirmed';
import { Script } from '~/app/ui/Script';
import { Strip } from '~/app/ui/Strip';
import type { FieldErrors } from '~/input/parse';
import { sourceKind, type SourceKindId, sourceKindIds } from '~/sources/index';
import { addSource, changeSource, secretAgain, removeSource, type Tried, trySource, versionOf } from '~/work/sources';
import { survey } from '~/work/surveys';
import type { Route } from './+types/route';
import { Connection, Holding } from './Connection';
import { NewSource, readSourceForm } from './sourceForm.server';

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const kinds = sourceKindIds.map((id) => ({ id, title: sourceKind(id).title }));
  if (params.source === undefined) {
    await enterAll({ context }, 'keepSources');
    const { kind } = await asked(NewSource, request);
    return { source: null, version: '', kinds, ...shapeOf(kind) };
  }
  const { source } = await enter({ params, context }, 'keepSources');
  return { source, version: versionOf(source), kinds, ...shapeOf(source.kind) };
}

function shapeOf(kind: SourceKindId) {
  const { fields, secret, open } = sourceKind(kind);
  return { kind, fields, secret, live: open !== null };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const actor = actorIn({ context });
  const present = params.source === undefined ? null : (await enter({ params, context }, 'keepSources')).source;
  const form = await formIn(request);
  if (present && form.get('intent') === 'remove') {
    const { problem } = await orPage(removeSource(office(), actor, present));
    return problem === null ? redirect('/sources') : data(answer(null, { '': [problem] }), { status: 409 });
  }
  const parsed = await readSourceForm(form);
  if (!parsed.ok) return data(answer(null, parsed.errors), { status: 422 });
  const { intent, version, ...source } = parsed.value;
  if (intent === 'try') return answer(await orPage(trySource(office(), actor, present, source)), {});
  if (present) {
    const { problem } = await orPage(changeSource(office(), actor, present, { ...source, version }));
    return problem === null ? redirect('/sources') : data(answer(null, fieldOf(problem)), { status: 422 });
  }
  const added = await orPage(addSource(office(), actor, source));
  if (added.problem !== null) return data(answer(null, fieldOf(added.problem)), { status: 422 });
  const room = await enter({ params: { source: String(added.result) }, context }, 'survey').catch(() => null);
  const asked = room && (await survey(room, { depth: 'exact' }));
  return redirect(
    asked && asked.problem === null
      ? pathTo('/s/:source/surveys/:survey', { source: added.result, survey: asked.result })
      : '/sources',
  );
}

/** At which field a problem of the whole is said. */
function fieldOf(problem: string): FieldErrors {
  if (problem === secretAgain) return { secret: [problem] };
  return { [problem.startsWith('Another source') ? 'name' : '']: [problem] };
}

function answer(tried: Tried | null, errors: FieldErrors) {
  return { tried, errors };
}

export function meta() {
  return [{ title: 'Source · Pawl' }];
}

export default function EditSource({ loaderData, actionData }: Route.ComponentProps) {
  const { source, version, kind, live } = loaderData;
  const errors: FieldErrors = actionData?.errors ?? {};
  return (
    <Frame>
      <Strip />
      <main className="page" id="content">
        <div className="narrow">
          <h1>{source ? `The connection of ${source.name}` : 'Add a source'}</h1>
          <Typography variant="mute" component="p">
            {live
              ? 'Pawl reads with this login, in transactions that the server itself keeps read-only. It needs no right to change anything.'
              : 'Pawl writes its questions as scripts that only read. You run them where the database is, and bring what they write; three times at most.'}
          </Typography>
          <Form method="post" noValidate aria-label="Connection">
            <input type="hidden" name="version" value={version} />
            <input type="hidden" name="kind" value={kind} />
            <Connection page={loaderData} errors={errors} />
            <Holding page={loaderData} />
            {actionData?.tried && <WhatCame tried={actionData.tried} />}
            {Object.keys(errors).length > 0 && (
              <Alert severity="error" role="alert">
                {Object.values(errors).flat()[0]}.
              </Alert>
            )}
            <Acts page={loaderData} />
          </Form>
        </div>
      </main>
    </Frame>
  );
}

/** What trying the connection came to. */
function WhatCame({ tried }: { readonly tried: Tried }) {
  return (
    <>
      <Alert severity={tried.ok ? 'info' : 'error'} role="status">
        {tried.message}
      </Alert>
      {tried.warning && (
        <Alert severity="warning" role="alert">
          {tried.warning}
        </Alert>
      )}
      {tried.fitting && (
        <>
          <Typography variant="note" component="p">
            This makes one for exactly this database. Read it, and run it as its owner:
          </Typography>
          <Script text={tried.fitting} label="A fitting login" />
        </>
      )}
    </>
  );
}

function Acts({ page: { source, live } }: { readonly page: Route.ComponentProps['loaderData'] }) {
  const navigation = useNavigation();
  const trying = navigation.state !== 'idle' && navigation.formData?.get('intent') === 'try';
  return (
    <div className="actions">
      <Button variant="contained" type="submit" name="intent" value="save">
        {source ? 'Save' : 'Save and survey'}
      </Button>
      {live && (
        <Button type="submit" name="intent" value="try" disabled={trying}>
          {trying ? 'Trying…' : 'Try it'}
        </Button>
      )}
      <Button component={Link} to="/sources" variant="text">
        Cancel
      </Button>
      {source && (
        <Confirmed
          label="Take out of use"
          title={`Take ${source.name} out of use?`}
          words="Its logins are forgotten. Its surveys, findings and dockets are kept until somebody purges them. The database itself is not touched."
          intent="remove"
        />
      )}
    </div>
  );
}
