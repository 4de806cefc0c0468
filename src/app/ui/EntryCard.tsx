import { styled } from '@mui/material/styles';
import { GateCard } from '~/app/ui/parts';
import type { ReactNode } from 'react';
import { Wordmark } from './Wordmark';

/** The pages that lead in: a card in the middle, and what stands beside it. */
export function EntryCard({
  title,
  children,
  beside,
}: {
  readonly title: string;
  readonly children: ReactNode;
  readonly beside?: ReactNode;
}) {
  return (
    <Gate id="content">
      <GateCard as="div">
        <div className="wordmark">
          <Wordmark />
          Pawl
        </div>
        <h1>{title}</h1>
        {children}
      </GateCard>
      {beside}
    </Gate>
  );
}

const Gate = styled('main')({
  minHeight: '100vh',
  display: 'flex',
  flexWrap: 'wrap',
  gap: '20px',
  alignItems: 'flex-start',
  justifyContent: 'center',
  padding: '9vh 20px 40px',
});
