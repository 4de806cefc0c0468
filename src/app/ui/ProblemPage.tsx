import { Empty, Frame } from '~/app/ui/parts';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { isRouteErrorResponse, Link, useRouteError } from 'react-router';
import { Strip } from './Strip';

interface Told {
  readonly title: string;
  readonly advice: string;
}

/** A page of its own for what went wrong. */
export function ProblemPage() {
  return (
    <Frame>
      <Strip />
      <ProblemStation>
        {' '}
        <Button component={Link} to="/sources">
          To the sources
        </Button>
      </ProblemStation>
    </Frame>
  );
}

/** What went wrong in one part of a page; the rest of it stays. */
export function ProblemPart() {
  return (
    <aside className="dossier" aria-label="Dossier">
      <Problem />
    </aside>
  );
}

/** The same of a page within a source, whose strip stays. */
export function ProblemStation({ children }: { readonly children?: ReactNode }) {
  return (
    <main className="page" id="content">
      <Empty>
        <Problem>{children}</Problem>
      </Empty>
    </main>
  );
}

/** What went wrong and what to do next; never a stack. */
function Problem({ children }: { readonly children?: ReactNode }) {
  const { title, advice } = told(useRouteError());
  return (
    <div role="alert">
      <h1>{title}</h1>
      <p>{advice}</p>
      <Button component={Link} to="." reloadDocument>
        Try again
      </Button>
      {children}
    </div>
  );
}

function told(error: unknown): Told {
  if (isRouteErrorResponse(error)) {
    if (isTold(error.data)) return error.data;
    if (error.status === 404)
      return { title: 'There is nothing at this address', advice: 'It may be mistyped, or what was here has been removed.' };
    if (error.status === 400)
      return { title: 'That could not be understood', advice: 'Go back, check what was entered, and send it again.' };
  }
  return {
    title: 'Pawl could not do that',
    advice:
      'Nothing was half done. Try again; if it happens again, the log of the web server says why. Check too that Pawl’s own database runs.',
  };
}

function isTold(data: unknown): data is Told {
  return typeof data === 'object' && data !== null && 'title' in data && 'advice' in data;
}
