import Typography from '@mui/material/Typography';
// Lines of a list that is grouped: rows, and the headings among them.

import type { ReactNode } from 'react';
import { counted } from '~/core/naming/words';
import { visible } from '~/core/naming/visible';
import { Row } from './Row';
import type { Group, Line } from './whole';

export function rowOn<Row>(lines: readonly Line<Row>[], line: number): Row | null {
  const at = lines[line];
  return at && 'row' in at ? at.row : null;
}

/** On which line a row stands; -1 for none. */
export function lineOf<Row>(lines: readonly Line<Row>[], row: Row | undefined): number {
  return row === undefined ? -1 : lines.findIndex((line) => 'row' in line && line.row === row);
}

/** The heading on a line, with how many of `what` there are below; `more` is what can be done with them. */
export function headingOn<Row>(
  lines: readonly Line<Row>[],
  line: number,
  what: string,
  more?: (group: Group) => ReactNode,
): ReactNode {
  const at = lines[line];
  if (!at || !('group' in at)) return null;
  const { name, count } = at.group;
  return (
    <Row className="group" role="row" style={{ gridTemplateColumns: 'auto 1fr auto' }}>
      <b role="rowheader">{visible(name)}</b>
      <Typography role="cell" variant="mute">
        {counted(count, what)}
      </Typography>
      <span role="cell">{more?.(at.group)}</span>
    </Row>
  );
}
