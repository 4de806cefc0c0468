import { useWrong } from '~/app/ui/useWrong';
import { EntryForm, Fields, Frame, Ticks } from '~/app/ui/parts';
import { styled } from '@mui/material/styles';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { data, Form, useNavigation } from 'react-router';
import { passedContext } from '~/app/server/context.server';
import { actorIn } from '~/app/server/door.server';
import { office } from '~/app/server/office.server';
import { Moment } from '~/app/ui/Moment';
import { SourceChoice } from '~/app/ui/SourceChoice';
import { Strip } from '~/app/ui/Strip';
import { allRights, mayAnywhere, type Right, rights } from '~/core/rights/rights';
import { listGrants, listTokens } from '~/store/people/people';
import { isToken, onlyInPerson } from '~/work/actor';
import { ownAccount, shortestPassword } from '~/work/people';
import { sourcesFor } from '~/work/sources';
import type { Route } from './+types/route';
import { actOn, type Came } from '~/app/server/intents.server';
import { meIntents } from './meForms.server';
import type { PersonId } from '~/store/ids';

export async function loader({ context }: Route.LoaderArgs) {
  const actor = actorIn({ context });
  const { store } = office();
  if (isToken(actor)) throw data({ title: 'This page is for people', advice: onlyInPerson }, { status: 403 });
  const id = actor.person?.id ?? (0 as PersonId);
  const [account, grants, tokens, sources] = await Promise.all([
    ownAccount(office(), actor),
    listGrants(store, id),
    listTokens(store, id),
    sourcesFor(office(), actor),
  ]);
  const nameOf = (source: number | null): string =>
    source === null ? 'all sources' : (sources.find((row) => row.id === source)?.name ?? 'a source you do not see');
  return {
    person: actor.person,
    ...account,
    shortest: shortestPassword,
    roles: grants.map(({ id: key, role, source, byGroup }) => ({ key, role, on: nameOf(source), byGroup })),
    tokens: tokens.map((token) => ({ ...token, on: nameOf(token.source) })),
    sources: sources.map(({ id: source, name }) => ({ id: source, name })),
    rights: allRights.filter((right) => mayAnywhere(actor.bounds, right)),
  };
}

export async function action({ request, context }: Route.ActionArgs) {
  return actOn(meIntents, { actor: actorIn({ context }), session: context.get(passedContext).session }, request);
}

export function meta() {
  return [{ title: 'Your account · Pawl' }];
}

export default function Me({ loaderData, actionData }: Route.ComponentProps) {
  const { person, roles, elsewhere, hasPassword, shortest, tokens } = loaderData;
  const busy = useNavigation().state !== 'idle';
  const said = (...intents: readonly (keyof typeof meIntents)[]) =>
    actionData && intents.some((one) => one === actionData.intent) ? actionData : null;
  return (
    <Frame>
      <Strip />
      <main className="page" id="content">
        <div className="narrow">
          <div className="actions">
            <h1>{person?.fullName}</h1>
            <Form method="post" style={{ marginLeft: 'auto', display: 'flex', gap: 8 }}>
              <Button type="submit" name="intent" value="signOut">
                Sign out
              </Button>
              <Button type="submit" name="intent" value="signOutEverywhere" variant="text">
                Everywhere
              </Button>
            </Form>
          </div>
          <Typography variant="mute" component="p">
            Signed in as <Typography variant="mono">{person?.name}</Typography>.
          </Typography>
          <h2>What you may do</h2>
          {roles.length === 0 && <p>Nothing yet: who keeps people gives you a role.</p>}
          <PlainList>
            {roles.map(({ key, role, on, byGroup }) => (
              <li key={key}>
                <b>{role}</b> on {on}
                {byGroup && <Typography variant="mute"> (by your group {byGroup})</Typography>}
              </li>
            ))}
          </PlainList>
          {!elsewhere && !hasPassword && (
            <>
              <h2>Password</h2>
              <Typography variant="mute" component="p">
                You have none yet. Who keeps people sends you an invitation, by which you choose one.
              </Typography>
            </>
          )}
          {hasPassword && (
            <Form method="post" aria-label="Password" key={said('password')?.problem === null ? 'changed' : 'asked'}>
              <h2>Password</h2>
              <Fields>
                <TextField name="current" label="Present password" type="password" autoComplete="current-password" />
                <span />
                <TextField
                  name="next"
                  label="New password"
                  type="password"
                  autoComplete="new-password"
                  required
                  helperText={`at least ${shortest} characters`}
                />
                <TextField name="again" label="The same again" type="password" autoComplete="new-password" required />
              </Fields>
              {tokens.some(({ revokedAt }) => revokedAt === null) && (
                <FormControlLabel
                  control={<Checkbox name="tokens" size="small" />}
                  label="End my tokens too"
                  slotProps={{ typography: { variant: 'small' } }}
                />
              )}
              <Said problem={said('password')?.problem} done="Changed. Your other sessions have ended." />
              <div className="actions">
                <Button type="submit" name="intent" value="password" disabled={busy}>
                  Change it
                </Button>
              </div>
            </Form>
          )}
          <Tokens {...loaderData} said={said('makeToken', 'endToken')} busy={busy} />
        </div>
      </main>
    </Frame>
  );
}

function Said({ problem, done }: { readonly problem?: string | null; readonly done: string }) {
  if (problem === undefined) return null;
  return (
    <Alert severity={problem === null ? 'info' : 'error'} role={problem === null ? 'status' : 'alert'}>
      {problem ?? done}
    </Alert>
  );
}

interface TokensProps extends Pick<Route.ComponentProps['loaderData'], 'tokens' | 'sources' | 'rights'> {
  readonly said: Pick<Came, 'problem' | 'shown'> | null;
  readonly busy: boolean;
}

function Tokens({ tokens, sources, rights: mine, said, busy }: TokensProps) {
  const wrong = useWrong();
  return (
    <>
      <h2>Tokens for the terminal and pipelines</h2>
      <Typography variant="note" component="p">
        A token never gives more than you may do yourself, and ends when it says.
      </Typography>
      {tokens.length === 0 && (
        <Typography variant="note" component="p">
          You have made none.
        </Typography>
      )}
      {tokens.map((token) => (
        <EntryForm key={token.id} method="post" style={{ gridTemplateColumns: '1fr auto' }}>
          <span>
            <span className="title">{token.name}</span>
            <Typography variant="note" style={{ display: 'block' }}>
              {token.rights.map((right: Right) => rights[right]).join(', ')} on {token.on};{' '}
              {token.revokedAt ? (
                <>
                  revoked <Moment at={token.revokedAt} />
                </>
              ) : (
                <>
                  ends <Moment at={token.endsAt} />
                </>
              )}
              ;{' '}
              {token.usedAt ? (
                <>
                  last used <Moment at={token.usedAt} />
                </>
              ) : (
                'never used'
              )}
            </Typography>
          </span>
          <input type="hidden" name="token" value={token.id} />
          {!token.revokedAt && (
            <Button type="submit" name="intent" value="endToken" variant="text" aria-label={`Revoke ${token.name}`}>
              Revoke
            </Button>
          )}
        </EntryForm>
      ))}
      {said?.shown && (
        <Alert severity="info" role="status">
          {said.shown.words}
          <Typography variant="mono" component="pre" className="token">
            {said.shown.secret}
          </Typography>
        </Alert>
      )}
      {said?.problem && (
        <Alert severity="error" role="alert">
          {said.problem}
        </Alert>
      )}
      <Form method="post" aria-label="New token">
        <Fields style={{ marginTop: 12 }}>
          <TextField name="name" label="What it is for" required autoComplete="off" {...wrong('name')} />
          <TextField
            name="days"
            label="Days"
            defaultValue={90}
            slotProps={{ htmlInput: { inputMode: 'numeric' } }}
            {...wrong('days')}
          />
          <SourceChoice label="Source" all="all that you may" sources={sources} />
        </Fields>
        <Ticks role="group" aria-label="What it may do">
          {mine.map((right) => (
            <FormControlLabel
              key={right}
              control={<Checkbox name="rights" value={right} size="small" />}
              label={rights[right]}
              slotProps={{ typography: { variant: 'small' } }}
            />
          ))}
        </Ticks>
        <div className="actions">
          <Button type="submit" name="intent" value="makeToken" disabled={busy}>
            Make a token
          </Button>
        </div>
      </Form>
    </>
  );
}

const PlainList = styled('ul')({
  margin: '0',
  padding: '0',
  listStyle: 'none',
});
