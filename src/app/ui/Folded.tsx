import Accordion from '@mui/material/Accordion';
import AccordionDetails from '@mui/material/AccordionDetails';
import AccordionSummary from '@mui/material/AccordionSummary';
import { type ReactNode, useState } from 'react';

interface FoldedProps {
  readonly title: ReactNode;
  /** Whether it is open at first, and whenever this turns true. */
  readonly open?: boolean;
  readonly className?: string;
  readonly children: ReactNode;
}

/** A part of a page that is folded away until somebody wants it. */
export function Folded({ title, open = false, className, children }: FoldedProps) {
  const [shown, setShown] = useState(open);
  const [asked, setAsked] = useState(open);
  if (asked !== open) {
    setAsked(open);
    setShown(open);
  }
  return (
    <Accordion expanded={shown} onChange={(_, next) => setShown(next)} className={className ?? ''}>
      <AccordionSummary>{title}</AccordionSummary>
      <AccordionDetails>{children}</AccordionDetails>
    </Accordion>
  );
}
