import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Fragment } from 'react';
import { Link } from 'react-router';
import { duration } from '~/app/ui/format';
import { Facts } from '~/app/ui/parts';
import { pathTo } from '~/app/ui/pathTo';
import { Script } from '~/app/ui/Script';
import { groupBy } from '~/core/grouping';
import { visible } from '~/core/naming/visible';
import { counted } from '~/core/naming/words';
import { risksInWords } from '~/core/survey/login';
import type { Route } from './+types/route';

type Page = Route.ComponentProps['loaderData'];

/** That a survey is through, and where to look now. */
export function Done({ page: { source, survey }, elapsedMs: elapsed }: { readonly page: Page; readonly elapsedMs: number }) {
  return (
    <>
      <p>
        Done in {duration(elapsed)}.{' '}
        {survey.reusedTables > 0 &&
          `${counted(survey.reusedTables, 'table')} had not changed since the last exact survey and ${survey.reusedTables === 1 ? 'was' : 'were'} not read again.`}
      </p>
      <div className="actions">
        <Button variant="contained" component={Link} to={pathTo('/s/:source/coverage', { source })}>
          To the coverage
        </Button>
        <Button component={Link} to={pathTo('/s/:source/findings', { source })}>
          To the findings
        </Button>
        {survey.docketId !== null && (
          <Button component={Link} to={pathTo('/s/:source/dockets/:docket', { source, docket: survey.docketId })}>
            To its docket
          </Button>
        )}
      </div>
    </>
  );
}

/** What a survey leaves open: rules that could not judge, a login that could do more than read, tables that nobody measured. */
export function LeftOpen({ page: { survey, blind } }: { readonly page: Page }) {
  return (
    <>
      <NotJudged blind={blind} />
      {survey.login && <ItsLogin login={survey.login} />}
      <NotMeasured tables={survey.notMeasured ?? []} />
    </>
  );
}

function NotJudged({ blind }: Pick<Page, 'blind'>) {
  if (blind.length === 0) return null;
  return (
    <>
      <h2>Not judged</h2>
      {blind.map(({ part, lacks, abouts }) => (
        <Fragment key={part}>
          <Typography variant="note" component="p">
            Not known: {lacks}.{part === 'values' && ' Edit the source to let them be written, and survey again.'}
          </Typography>
          <Typography variant="small" component="ul" style={{ margin: 0, paddingLeft: 18 }}>
            {abouts.map((about) => (
              <li key={about}>{about}</li>
            ))}
          </Typography>
        </Fragment>
      ))}
    </>
  );
}

function ItsLogin({ login }: { readonly login: NonNullable<Page['survey']['login']> }) {
  const warning = risksInWords(login);
  if (!warning) return null;
  return (
    <>
      <h2>Its login</h2>
      <Alert severity="warning" role="note">
        {warning}
      </Alert>
      <Typography variant="note" component="p">
        This makes one for exactly this database. Read it, and run it as its owner:
      </Typography>
      <Script text={login.fitting} label="A fitting login" />
    </>
  );
}

function NotMeasured({ tables }: { readonly tables: NonNullable<Page['survey']['notMeasured']> }) {
  if (tables.length === 0) return null;
  return (
    <>
      <h2>Not measured</h2>
      <Facts>
        {[...groupBy(tables, ({ reason }) => reason)].map(([reason, same]) => (
          <div key={reason} style={{ display: 'contents' }}>
            <Typography variant="mono" component="dt">
              {same.map(({ schema, table }) => (
                <div key={`${schema}.${table}`}>{visible(`${schema}.${table}`)}</div>
              ))}
            </Typography>
            <dd>{visible(reason)}</dd>
          </div>
        ))}
      </Facts>
    </>
  );
}
