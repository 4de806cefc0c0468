import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { type Right, rights } from '~/core/rights/rights';
import { useAllowed } from './useAllowed';

interface AllowedProps {
  readonly right: Right;
  /** Said in place of what is not offered; left out where that would be said again and again. */
  readonly otherwise?: 'said' | 'nothing';
  readonly children: ReactNode;
}

/** What only those are offered who may do it on the source that the page is about. */
export function Allowed({ right, otherwise = 'nothing', children }: AllowedProps) {
  const allowed = useAllowed();
  if (allowed(right)) return children;
  return otherwise === 'said' ? (
    <Typography variant="note" component="p">
      Not yours to change: that takes the right to {rights[right]}.
    </Typography>
  ) : null;
}
