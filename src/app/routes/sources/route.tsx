import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { ago } from '~/app/ui/format';
import { Strip } from '~/app/ui/Strip';
import { db } from '~/store/db';
import { countFindings } from '~/store/findings/findings';
import { listSources } from '~/store/sources/sources';
import { findLastWhole } from '~/store/surveys/surveys';
import type { Route } from './+types/route';

export async function loader() {
  const sources = await listSources(db());
  return {
    sources: await Promise.all(
      sources.map(async (source) => {
        const [counts, last] = await Promise.all([countFindings(db(), source.id), findLastWhole(db(), source.id)]);
        return { ...source, ...counts, surveyed: last?.finishedAt ? `${last.depth}, ${ago(last.finishedAt)}` : null };
      }),
    ),
  };
}

export function meta() {
  return [{ title: 'Sources · Pawl' }];
}

export default function Sources({ loaderData: { sources } }: Route.ComponentProps) {
  return (
    <div className="frame">
      <Strip />
      <main className="page" id="content">
        {sources.length === 0 ? (
          <div className="empty">
            <h1>No source yet</h1>
            <p>
              A source is one database under audit. Pawl reads it, never writes to it, and tells what its schema leaves to chance.
            </p>
            <Button variant="contained" component={Link} to="/sources/new">
              Add a source
            </Button>
          </div>
        ) : (
          <>
            <div className="actions" style={{ marginBottom: 14 }}>
              <h1>Sources</h1>
              <Button variant="contained" component={Link} to="/sources/new" sx={{ marginLeft: 'auto' }}>
                Add a source
              </Button>
            </div>
            <div className="cards">
              {sources.map((source) => (
                <section key={source.id} className="card" aria-label={source.name}>
                  <div className="headline">
                    <Link to={`/s/${source.id}/coverage`} className="strong">
                      {source.name}
                    </Link>
                    <span className={`environment ${source.environment}`}>{source.environment}</span>
                    <Link to={`/sources/${source.id}/edit`} className="end">
                      Connection
                    </Link>
                  </div>
                  <p className="mono mute" style={{ margin: '4px 0' }}>
                    {source.user}@{source.host}:{source.port}/{source.database}
                  </p>
                  <p className="small" style={{ margin: 0 }}>
                    {source.surveyed ? (
                      <>
                        <b>{source.open}</b> open, <b>{source.held}</b> held <span className="mute">({source.surveyed})</span>
                      </>
                    ) : (
                      <span className="mute">not surveyed yet</span>
                    )}
                  </p>
                </section>
              ))}
            </div>
          </>
        )}
      </main>
    </div>
  );
}
