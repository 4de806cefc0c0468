import { styled } from '@mui/material/styles';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import { Link, useLocation } from 'react-router';
import { shortCount } from '~/app/ui/format';

export interface Station {
  readonly name: string;
  readonly at: string;
  /** How much of it there is; a share as words. */
  readonly count: number | string;
}

/** The stations of the job, in its order; where one is has its teeth filled. */
export function Track({ stations }: { readonly stations: readonly Station[] }) {
  const { pathname } = useLocation();
  const here = stations.find(({ at }) => pathname === at || pathname.startsWith(`${at}/`));
  return (
    <TrackTabs
      component="nav"
      value={here?.name ?? false}
      variant="scrollable"
      scrollButtons={false}
      // These are links: each is reached by Tab, and none is a tab of a panel.
      slotProps={{ root: { 'aria-label': 'Stations' }, list: { role: 'none' }, indicator: { hidden: true } }}
    >
      {stations.map(({ name, at, count }) => (
        <StationTab
          key={name}
          value={name}
          component={Link}
          to={at}
          role="link"
          aria-selected={undefined}
          aria-current={name === here?.name ? 'page' : undefined}
          tabIndex={0}
          label={
            <>
              <b>{typeof count === 'string' ? count : shortCount(count)}</b>
              {name}
            </>
          }
        />
      ))}
    </TrackTabs>
  );
}

const TrackTabs = styled(Tabs)({
  flex: '1',
  border: '0',
  '& .MuiTabs-list': {
    height: '100%',
  },
}) as typeof Tabs;

const StationTab = styled(Tab)({
  position: 'relative',
  padding: '0 13px 9px',
  alignItems: 'flex-start',
  justifyContent: 'flex-end',
  fontSize: '13px',
  fontWeight: '400',
  lineHeight: '1.15',
  '& b': {
    font: '600 15px var(--text)',
    color: 'var(--mui-palette-text-primary)',
  },
  '&::after': {
    content: "''",
    position: 'absolute',
    left: '0',
    right: '0',
    bottom: '0',
    height: '6px',
    background: 'var(--mui-palette-divider)',
    WebkitMask: "url('/tooth.svg') repeat-x",
    mask: "url('/tooth.svg') repeat-x",
  },
  '&.Mui-selected': {
    color: 'var(--mui-palette-text-primary)',
    fontWeight: '650',
  },
  '&.Mui-selected::after': {
    background: 'var(--mui-palette-primary-main)',
  },
}) as typeof Tab;
