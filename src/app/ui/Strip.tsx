import { styled } from '@mui/material/styles';
import AppBar from '@mui/material/AppBar';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { PersonMenu } from './PersonMenu';
import { SchemeButton } from './SchemeButton';
import { Wordmark } from './Wordmark';

/** The strip on top of every page; what stands in it between the wordmark and the end is the page's. */
export function Strip({ children }: { readonly children?: ReactNode }) {
  return (
    <StripBar>
      <Skip href="#content">To the content</Skip>
      <Link to="/sources" className="wordmark" aria-label="Pawl: all sources">
        <Wordmark />
        Pawl
      </Link>
      {children}
      <StripEnd style={{ marginLeft: children ? 0 : 'auto' }}>
        <PersonMenu />
        <SchemeButton />
      </StripEnd>
    </StripBar>
  );
}

const Skip = styled('a')({
  position: 'absolute',
  left: '-999px',
  '&:focus': {
    left: '8px',
    top: '8px',
    zIndex: '10',
    background: 'var(--mui-palette-background-paper)',
    padding: '6px 10px',
  },
});

const StripEnd = styled('div')({
  alignSelf: 'center',
  display: 'flex',
  alignItems: 'center',
  gap: '4px',
});

const StripBar = styled(AppBar)({
  height: '56px',
  flexDirection: 'row',
  flex: 'none',
  display: 'flex',
  alignItems: 'stretch',
  padding: '0 16px',
  gap: '20px',
  background: 'var(--mui-palette-background-paper)',
  borderBottom: '1px solid var(--mui-palette-divider)',
  '@media (max-width: 900px)': {
    gap: '10px',
    padding: '0 8px',
    overflowX: 'auto',
  },
});
