import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import { Link, useLocation } from 'react-router';
import { shortCount } from '~/app/ui/format';

export interface Station {
  readonly name: string;
  readonly at: string;
  /** How much of it there is. */
  readonly count: number;
}

/** The stations of the job, in its order; where one is has its teeth filled. */
export function Track({ stations }: { readonly stations: readonly Station[] }) {
  const { pathname } = useLocation();
  const here = stations.find(({ at }) => pathname === at || pathname.startsWith(`${at}/`));
  return (
    <Tabs
      component="nav"
      className="track"
      value={here?.name ?? false}
      variant="scrollable"
      scrollButtons={false}
      // These are links: each is reached by Tab, and none is a tab of a panel.
      slotProps={{ root: { 'aria-label': 'Stations' }, list: { role: 'none' }, indicator: { hidden: true } }}
    >
      {stations.map(({ name, at, count }) => (
        <Tab
          key={name}
          value={name}
          component={Link}
          to={at}
          role="link"
          className="station"
          aria-selected={undefined}
          aria-current={name === here?.name ? 'page' : undefined}
          tabIndex={0}
          label={
            <>
              <b>{shortCount(count)}</b>
              {name}
            </>
          }
        />
      ))}
    </Tabs>
  );
}
