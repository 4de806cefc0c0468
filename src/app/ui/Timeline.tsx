import { styled } from '@mui/material/styles';

/** What happened, each on a line beside its day: `rust`, `brass` or `verd` where it is of that weight. */
export const Timeline = styled('ol')({
  listStyle: 'none',
  margin: '4px 0 0',
  padding: '0 0 0 6px',
  fontSize: '13px',
  '& > li': {
    position: 'relative',
    display: 'grid',
    gridTemplateColumns: '92px 1fr',
    gap: '0 10px',
    padding: '0 0 9px 16px',
    borderLeft: '2px solid var(--mui-palette-divider)',
    overflowWrap: 'anywhere',
  },
  '& > li:last-child': { borderLeftColor: 'transparent' },
  '& > li::before': {
    content: "''",
    position: 'absolute',
    left: '-6px',
    top: '5px',
    width: '10px',
    height: '10px',
    borderRadius: '50%',
    background: 'var(--mui-palette-text-secondary)',
  },
  '& > .rust::before': { background: 'var(--mui-palette-error-main)' },
  '& > .brass::before': { background: 'var(--mui-palette-warning-main)' },
  '& > .verd::before': { background: 'var(--mui-palette-primary-main)' },
  '& > .rust b': { color: 'var(--mui-palette-error-main)' },
  '& > .brass b': { color: 'var(--mui-palette-warning-main)' },
  '& > .verd b': { color: 'var(--mui-palette-primary-main)' },
});
