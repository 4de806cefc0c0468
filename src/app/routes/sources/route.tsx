import { pathTo } from '~/app/ui/pathTo';
import { CardGrid, Empty, Environment, Frame, Headline } from '~/app/ui/parts';
import { styled } from '@mui/material/styles';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Form, Link } from 'react-router';
import { Confirmed } from '~/app/ui/Confirmed';
import { Moment } from '~/app/ui/Moment';
import { ago } from '~/app/ui/format';
import { Strip } from '~/app/ui/Strip';
import { countFindings } from '~/store/findings/findings';
import { findLastWhole } from '~/store/surveys/surveys';
import { actorIn, formIn, orPage } from '~/app/server/door.server';
import { idIn } from '~/app/server/ids.server';
import { office } from '~/app/server/office.server';
import { may } from '~/core/rights/rights';
import { archivedFor, placeOf, purge, sourcesFor } from '~/work/sources';
import type { Route } from './+types/route';

export async function loader({ context }: Route.LoaderArgs) {
  const actor = actorIn({ context });
  const { store } = office();
  const sources = await sourcesFor(office(), actor);
  return {
    mayAdd: may(actor.bounds, 'keepSources', null),
    archived: await archivedFor(office(), actor),
    sources: await Promise.all(
      sources.map(async (source) => {
        const [counts, last] = await Promise.all([countFindings(store, source.id), findLastWhole(store, source.id)]);
        return {
          ...source,
          ...counts,
          place: placeOf(source),
          mayKeep: may(actor.bounds, 'keepSources', source.id),
          surveyed: last?.finishedAt ? `${last.depth}, ${ago(last.finishedAt)}` : null,
        };
      }),
    ),
  };
}

/** Purges the records of a source that was taken out of use. */
export async function action({ request, context }: Route.ActionArgs) {
  const actor = actorIn({ context });
  const form = await formIn(request);
  const id = form.get('purge');
  const { problem } = await orPage(purge(office(), actor, await idIn(typeof id === 'string' ? id : undefined, 'source')));
  return { problem };
}

export function meta() {
  return [{ title: 'Sources · Pawl' }];
}

export default function Sources({ loaderData: { sources, archived, mayAdd }, actionData }: Route.ComponentProps) {
  return (
    <Frame>
      <Strip />
      <main className="page" id="content">
        {sources.length === 0 ? (
          <Empty>
            <h1>No source yet</h1>
            <p>
              A source is one database under audit. Pawl reads it, never writes to it, and tells what its schema leaves to chance.
            </p>
            {mayAdd ? (
              <Button variant="contained" component={Link} to="/sources/new">
                Add a source
              </Button>
            ) : (
              <Typography variant="mute" component="p">
                Who keeps sources adds one, or gives you a role for one that is there.
              </Typography>
            )}
          </Empty>
        ) : (
          <>
            <div className="actions" style={{ marginBottom: 14 }}>
              <h1>Sources</h1>
              {mayAdd && (
                <Button variant="contained" component={Link} to="/sources/new" sx={{ marginLeft: 'auto' }}>
                  Add a source
                </Button>
              )}
            </div>
            <CardGrid>
              {sources.map((source) => (
                <Card key={source.id} aria-label={source.name}>
                  <Headline>
                    <Link to={pathTo('/s/:source/coverage', { source: source.id })} className="strong">
                      {source.name}
                    </Link>
                    <Environment className={source.environment}>{source.environment}</Environment>
                    {source.mayKeep && (
                      <Link to={pathTo('/sources/:source/edit', { source: source.id })} className="end">
                        Connection
                      </Link>
                    )}
                  </Headline>
                  <Address>{source.place}</Address>
                  <Typography variant="small" component="p" style={{ margin: 0 }}>
                    {source.surveyed ? (
                      <>
                        <b>{source.open}</b> open, <b>{source.held}</b> held{' '}
                        <Typography variant="mute">({source.surveyed})</Typography>
                      </>
                    ) : (
                      <Typography variant="mute">not surveyed yet</Typography>
                    )}
                  </Typography>
                </Card>
              ))}
            </CardGrid>
          </>
        )}
        {archived.length > 0 && (
          <section aria-label="Out of use" className="narrow" style={{ margin: '28px 0 0' }}>
            <h2>Out of use</h2>
            <Typography variant="note" component="p">
              Their logins are forgotten; surveys, dockets and runs are kept until somebody purges them. The journal keeps what
              was done either way.
            </Typography>
            {actionData?.problem && (
              <Alert severity="error" role="alert">
                {actionData.problem}
              </Alert>
            )}
            {archived.map((source) => (
              <Form key={source.id} method="post" className="actions" style={{ margin: '4px 0' }}>
                <span>
                  {source.name}{' '}
                  <Typography variant="note">
                    since <Moment at={source.archivedAt} />
                  </Typography>
                </span>
                <input type="hidden" name="purge" value={source.id} />
                <Confirmed
                  label="Purge"
                  title={`Purge all records of ${source.name}?`}
                  words="Its surveys, findings, dockets, runs and proofs are removed for good. What the journal says of it stays."
                />
              </Form>
            ))}
          </section>
        )}
      </main>
    </Frame>
  );
}

const Card = styled('section')({
  border: '1px solid var(--mui-palette-divider)',
  background: 'var(--mui-palette-background-paper)',
  borderRadius: '4px',
  padding: '12px 14px',
  '& .strong': {
    overflowWrap: 'anywhere',
  },
});

const Address = styled('p')(({ theme }) => ({
  ...theme.typography.mono,
  color: 'var(--mui-palette-text-secondary)',
  margin: '4px 0',
  overflowWrap: 'anywhere',
}));
