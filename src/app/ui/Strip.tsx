import AppBar from '@mui/material/AppBar';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { PersonMenu } from './PersonMenu';
import { SchemeButton } from './SchemeButton';
import { Wordmark } from './Wordmark';

/** The strip on top of every page; what stands in it between the wordmark and the end is the page's. */
export function Strip({ children }: { readonly children?: ReactNode }) {
  return (
    <AppBar className="strip">
      <a href="#content" className="skip">
        To the content
      </a>
      <Link to="/sources" className="wordmark" aria-label="Pawl: all sources">
        <Wordmark />
        Pawl
      </Link>
      {children}
      <div className="strip-end" style={{ marginLeft: children ? 0 : 'auto' }}>
        <PersonMenu />
        <SchemeButton />
      </div>
    </AppBar>
  );
}
