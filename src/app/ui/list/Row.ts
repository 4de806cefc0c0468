import { styled } from '@mui/material/styles';

/** A line of a list: its head, a row, or the name of a group. One style for all of them, as there are many. */
export const Row = styled('div')({
  display: 'grid',
  alignItems: 'center',
  gap: 8,
  padding: '0 16px',
  height: 29,
  borderBottom: '1px solid var(--mui-palette-action-hover)',
  whiteSpace: 'nowrap',
  fontSize: 13.5,
  '& > *': { overflow: 'hidden', textOverflow: 'ellipsis' },
  '&.group': { background: 'var(--mui-palette-action-hover)' },
  '&.head': {
    background: 'var(--mui-palette-background-default)',
    font: '600 12px var(--text)',
    color: 'var(--mui-palette-text-secondary)',
    borderBottom: '1px solid var(--mui-palette-divider)',
    height: 31,
  },
  '&.chosen': {
    background: 'var(--mui-palette-primary-light)',
    boxShadow: 'inset 3px 0 0 var(--mui-palette-primary-main)',
  },
  '&.among:not(.chosen)': { background: 'var(--mui-palette-warning-light)' },
  '&.chosen .brass, &.among .brass': { color: 'inherit' },
  '&:not(.chosen):has(> * > .whole):hover': { background: 'var(--mui-palette-action-hover)' },
  '& > .pick': { zIndex: 1, overflow: 'visible' },
  '& .off': { textDecoration: 'line-through', color: 'var(--mui-palette-text-secondary)' },
  '& .numbercell': { textAlign: 'right', fontFamily: 'var(--mono)', fontSize: 12.5 },
  '& .MuiTableCell-root': {
    display: 'block',
    position: 'relative',
    padding: 0,
    border: 0,
    font: 'inherit',
    color: 'inherit',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
  },
  // The link of a row is drawn out over all of it.
  '& .whole': {
    display: 'block',
    lineHeight: '27px',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    color: 'inherit',
    textDecoration: 'none',
    '&::after': { content: '""', position: 'absolute', inset: 0 },
    '&:focus-visible': { outline: 'none' },
    '&:focus-visible::after': { outline: '2px solid var(--mui-palette-primary-main)', outlineOffset: -2 },
  },
});
