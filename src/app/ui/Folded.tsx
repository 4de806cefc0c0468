import Accordion from '@mui/material/Accordion';
import AccordionDetails from '@mui/material/AccordionDetails';
import AccordionSummary from '@mui/material/AccordionSummary';
import { type ReactNode, useState } from 'react';

interface FoldedProps {
  readonly title: ReactNode;
  /** Whether it is open at first, and whenever this turns true. */
  readonly open?: boolean;
  /** Whether it is drawn only once somebody wants it: what is long, and holds nothing that was typed. */
  readonly lazy?: boolean;
  readonly className?: string;
  readonly children: ReactNode;
}

/** A part of a page that is folded away until somebody wants it. */
export function Folded({ title, open = false, lazy = false, className, children }: FoldedProps) {
  const [shown, setShown] = useState(open);
  const [asked, setAsked] = useState(open);
  if (asked !== open) {
    setAsked(open);
    setShown(open);
  }
  return (
    <Accordion
      expanded={shown}
      onChange={(_, next) => setShown(next)}
      className={className ?? ''}
      slotProps={{ transition: { unmountOnExit: lazy } }}
    >
      <AccordionSummary>{title}</AccordionSummary>
      <AccordionDetails>{children}</AccordionDetails>
    </Accordion>
  );
}
