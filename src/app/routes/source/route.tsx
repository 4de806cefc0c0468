import { pathTo } from '~/app/ui/pathTo';
import { Environment, Frame } from '~/app/ui/parts';
import { styled } from '@mui/material/styles';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import LinearProgress from '@mui/material/LinearProgress';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useMemo, useRef, useState } from 'react';
import { Link, Outlet, useNavigate, useNavigation, useSubmit } from 'react-router';
import { inFull, percent } from '~/app/ui/format';
import { enter } from '~/app/server/door.server';

import { JumpBox } from './JumpBox';
import { useKeys } from '~/app/ui/keys';
import { Moment } from '~/app/ui/Moment';
import { ProblemPage } from '~/app/ui/ProblemPage';
import { Saying } from '~/app/ui/Saying';
import { Track } from './Track';
import { Strip } from '~/app/ui/Strip';
import { useChanges } from '~/app/ui/useChanges';
import { listDockets } from '~/store/dockets/dockets';
import { countFindings } from '~/store/findings/findings';
import { countStock } from '~/store/inventory/inventory';
import { findNextDue } from '~/store/sources/schedules';
import { findSoundness } from '~/store/ratchet/standings';
import { countTables } from '~/store/surveys/surveyedTables';
import { engineNamed } from '~/core/engines/index';
import { sourceKind } from '~/sources/index';
import { findLastWhole, findUnfinished } from '~/store/surveys/surveys';
import { throughStates } from '~/core/ratchet/states';
import { allRights, may } from '~/core/rights/rights';
import { seesRows } from '~/work/enter';
import { sourcesFor } from '~/work/sources';
import { titled } from '~/app/ui/title';
import { type OnTrack, stations, track } from '~/app/stations';
import type { Route } from './+types/route';

export async function loader({ params, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const { source, store, office, actor } = room;
  const [sources, tables, stock, counts, dockets, last, unfinished, sound, nextDue] = await Promise.all([
    sourcesFor(office, actor),
    countTables(store, source.id),
    countStock(store, source.id),
    countFindings(store, source.id),
    listDockets(store, source.id),
    findLastWhole(store, source.id),
    findUnfinished(store, source.id),
    findSoundness(store, source.id),
    findNextDue(store, source.id),
  ]);
  const openDockets = dockets.filter((docket) => !throughStates.includes(docket.state)).length;
  const allowed = allRights.filter((right) => (right === 'seeRows' ? seesRows(room) : may(actor.bounds, right, source.id)));
  const { engineOf, open } = sourceKind(source.kind);
  const engine = engineNamed(engineOf(source.settings)).title;
  return {
    source,
    engine,
    live: open !== null,
    sources,
    allowed,
    tables,
    columns: stock.columns,
    counts,
    dockets: dockets.length,
    openDockets,
    last,
    unfinished,
    sound: sound?.share ?? null,
    nextDue,
  };
}

export function meta({ loaderData }: Route.MetaArgs) {
  return titled(null, [{ loaderData }]);
}

export default function SourceFrame({ loaderData }: Route.ComponentProps) {
  const { source, tables, columns, counts, dockets, unfinished, sound } = loaderData;
  useChanges(unfinished !== null);
  const navigate = useNavigate();
  useKeys(
    useMemo(
      () =>
        stations.flatMap(({ name, path, key }) =>
          key === undefined ? [] : [{ key, does: name, run: () => void navigate(path(source.id)) }],
        ),
      [navigate, source.id],
    ),
  );
  const counted: Readonly<Record<OnTrack, number | string>> = {
    Inventory: columns,
    Coverage: tables,
    Findings: counts.open,
    Dockets: dockets,
    Ratchet: sound == null ? '–' : percent(sound),
  };
  return (
    <Saying>
      <Frame>
        <Strip>
          <Switcher {...loaderData} />
          <Track stations={track.map(({ name, path }) => ({ name, at: path(source.id), count: counted[name] }))} />
          <SurveyChip {...loaderData} />
        </Strip>
        <Underway />
        <Outlet />
        <JumpBox source={source.id} />
      </Frame>
    </Saying>
  );
}

/** A page that takes a while is on its way. */
function Underway() {
  const { state } = useNavigation();
  return state === 'idle' ? null : <UnderwayBar aria-label="On its way" />;
}

type Loaded = Route.ComponentProps['loaderData'];

function Switcher({ source, engine, sources, allowed }: Loaded) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = (): void => setAnchor(null);
  return (
    <>
      <SwitcherButton aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)} title="Switch source">
        <span className="name">{source.name}</span>
        <Environment className={source.environment}>
          {source.environment}{' '}
          <Typography variant="mute" style={{ textTransform: 'none', fontWeight: 400 }}>
            {engine}
          </Typography>
        </Environment>
      </SwitcherButton>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
        {sources.map((other) => (
          <MenuItem
            key={other.id}
            component={Link}
            to={pathTo('/s/:source/coverage', { source: other.id })}
            selected={other.id === source.id}
            onClick={close}
          >
            {other.name}&nbsp;<Environment className={other.environment}>{other.environment}</Environment>
          </MenuItem>
        ))}
        {stations.map(
          ({ name, path, right, menu }) =>
            menu &&
            allowed.includes(right) && (
              <MenuItem key={name} component={Link} to={path(source.id)} onClick={close}>
                {menu(source.name)}
              </MenuItem>
            ),
        )}
        <MenuItem component={Link} to="/sources" onClick={close}>
          All sources
        </MenuItem>
      </Menu>
    </>
  );
}

const depths = [
  { depth: 'exact', forced: '', name: 'exact', words: 'every claim verified; tables that have not changed are not read again' },
  { depth: 'exact', forced: 'yes', name: 'exact, all afresh', words: 'every table read again, changed or not' },
  { depth: 'sampled', forced: '', name: 'sampled', words: 'samples of about 25,000 rows a table' },
  { depth: 'catalogue', forced: '', name: 'catalogue', words: 'declarations and the server’s own statistics, no table read' },
] as const;

function SurveyChip({ source, live, last, unfinished, tables, allowed, nextDue }: Loaded) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const button = useRef<HTMLButtonElement>(null);
  // No fetcher: what one is answered leads nowhere when the page reads itself again in between.
  const submit = useSubmit();
  useKeys(useMemo(() => [{ key: 's', does: 'survey', run: () => setAnchor(button.current) }], []));
  const close = (): void => setAnchor(null);
  if (unfinished) {
    const share = unfinished.totalBytes > 0 ? ` ${Math.floor((100 * unfinished.doneBytes) / unfinished.totalBytes)} %` : '';
    return (
      <Chip aria-live="polite">
        <div>
          {unfinished.state === 'waiting' ? 'waiting for answers' : `surveying${share}`}
          <br />
          {unfinished.depth}
        </div>
        <Button component={Link} to={pathTo('/s/:source/surveys/:survey', { source: source.id, survey: unfinished.id })}>
          Watch
        </Button>
      </Chip>
    );
  }
  const missing = last?.notMeasured?.length ?? 0;
  return (
    <Chip>
      <div>
        {last?.finishedAt ? (
          <>
            <Link to={pathTo('/s/:source/surveys/:survey', { source: source.id, survey: last.id })}>
              {last.depth}, <Moment at={last.finishedAt} />
            </Link>
            <br />
            {last.depth === 'catalogue' ? (
              'data not looked at'
            ) : missing === 0 ? (
              nextDue === null ? (
                `all ${inFull(tables)} tables measured`
              ) : (
                <>
                  next <Moment at={nextDue} />
                </>
              )
            ) : (
              <span className="brass">
                {missing} of {tables} not measured
              </span>
            )}
          </>
        ) : (
          'not surveyed yet'
        )}
      </div>
      {allowed.includes('survey') && (
        <Button ref={button} aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
          Survey
        </Button>
      )}
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
        {depths
          .filter(({ depth }) => live || depth === 'exact')
          .map(({ depth, forced, name, words }) => (
            <MenuItem
              key={name}
              onClick={() => {
                close();
                void submit({ depth, forced }, { method: 'post', action: pathTo('/s/:source/surveys', { source: source.id }) });
              }}
            >
              <span>
                <b>{name}</b>
                <br />
                <Typography variant="note">{words}</Typography>
              </span>
            </MenuItem>
          ))}
        <MenuItem component={Link} to={pathTo('/s/:source/surveys', { source: source.id })} onClick={close}>
          All surveys
        </MenuItem>
        <MenuItem component={Link} to={pathTo('/s/:source/schedules', { source: source.id })} onClick={close}>
          By the clock…
        </MenuItem>
      </Menu>
    </Chip>
  );
}

const UnderwayBar = styled(LinearProgress)({
  position: 'absolute',
  top: '55px',
  left: '0',
  right: '0',
  height: '2px',
  zIndex: '3',
  animation: 'shown 0s linear 350ms both',
});

const SwitcherButton = styled(ButtonBase)({
  display: 'flex',
  flexDirection: 'column',
  justifyContent: 'center',
  alignItems: 'flex-start',
  padding: '0 14px',
  borderLeft: '1px solid var(--mui-palette-divider)',
  borderRight: '1px solid var(--mui-palette-divider)',
  font: 'inherit',
  lineHeight: '1.2',
  textAlign: 'left',
  maxWidth: '240px',
  '& .name': {
    fontWeight: '650',
    maxWidth: '100%',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    whiteSpace: 'nowrap',
  },
});

const Chip = styled('div')({
  alignSelf: 'center',
  display: 'flex',
  gap: '10px',
  alignItems: 'center',
  fontSize: '12px',
  color: 'var(--mui-palette-text-secondary)',
  textAlign: 'right',
  lineHeight: '1.25',
  '& a': {
    color: 'inherit',
  },
  '@media (max-width: 900px)': {
    '& > div': {
      display: 'none',
    },
  },
});

export { ProblemPage as ErrorBoundary };
