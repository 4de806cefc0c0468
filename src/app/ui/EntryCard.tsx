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
    <main className="gate" id="content">
      <div className="gate-card">
        <div className="wordmark">
          <Wordmark />
          Pawl
        </div>
        <h1>{title}</h1>
        {children}
      </div>
      {beside}
    </main>
  );
}
