// Small parts that pages are laid out with, as MUI has none of them.

import { styled } from '@mui/material/styles';
import { Form, Link } from 'react-router';

export const Fields = styled('div')({
  marginTop: '12px',
  display: 'grid',
  gridTemplateColumns: '1fr 1fr',
  gap: '14px',
  '& .wide': {
    gridColumn: '1 / -1',
  },
  '@media (max-width: 900px)': {
    gridTemplateColumns: '1fr',
  },
});

export const Facts = styled('dl')({
  display: 'grid',
  gridTemplateColumns: 'auto 1fr',
  gap: '2px 12px',
  fontSize: '13px',
  margin: '0',
  '& dt': {
    color: 'var(--mui-palette-text-secondary)',
  },
  '& dd': {
    margin: '0',
    overflowWrap: 'anywhere',
  },
});

export const Headline = styled('div')({
  display: 'flex',
  flexWrap: 'wrap',
  gap: '2px 8px',
  alignItems: 'center',
  fontSize: '12.5px',
  '& .end': {
    marginLeft: 'auto',
    color: 'var(--mui-palette-text-secondary)',
    fontSize: '12px',
  },
});

export const Environment = styled('span')({
  fontSize: '11px',
  fontWeight: '650',
  textTransform: 'uppercase',
  color: 'var(--mui-palette-text-secondary)',
  '&.production': {
    color: 'var(--mui-palette-error-main)',
  },
});

export const ShareBar = styled('span')({
  display: 'block',
  height: '6px',
  marginTop: '2px',
  background: 'var(--mui-palette-action-hover)',
  '& > i': {
    display: 'block',
    height: '100%',
    minWidth: '1px',
    background: 'var(--mui-palette-primary-main)',
    opacity: '0.45',
  },
});

export const Ticks = styled('div')({
  display: 'grid',
  gridTemplateColumns: 'repeat(auto-fit, minmax(300px, 1fr))',
  margin: '10px 0 4px',
  '& .MuiCheckbox-root': {
    padding: '4px 9px',
  },
});

export const GateCard = styled('section')({
  width: 'min(400px, 100%)',
  background: 'var(--mui-palette-background-paper)',
  border: '1px solid var(--mui-palette-divider)',
  borderRadius: '4px',
  padding: '22px 26px',
  '& h1': {
    margin: '10px 0 14px',
  },
  '& h2': {
    margin: '10px 0 14px',
  },
});

export const CardGrid = styled('div')({
  display: 'grid',
  gap: '10px',
  gridTemplateColumns: 'repeat(auto-fill, minmax(300px, 1fr))',
});

export const RefusedBox = styled('section')({
  borderLeft: '3px solid var(--mui-palette-error-main)',
  padding: '2px 0 4px 12px',
  margin: '8px 0 12px',
  '& .remedy': {
    display: 'grid',
    gridTemplateColumns: '1fr auto',
    gap: '2px 10px',
    padding: '8px 0',
    borderBottom: '1px solid var(--mui-palette-action-hover)',
  },
  '& .remedy .says': {
    gridColumn: '1 / -1',
  },
  '& .remedy.idle': {
    color: 'var(--mui-palette-text-secondary)',
  },
});

export const Grade = styled('span')({
  fontWeight: '650',
  '&.harm': {
    color: 'var(--mui-palette-error-main)',
  },
});

export const StepLine = styled('div')({
  display: 'grid',
  gridTemplateColumns: '34px 1fr',
  gap: '6px',
  padding: '6px 0',
  borderBottom: '1px solid var(--mui-palette-action-hover)',
  '& .number': {
    font: '600 12px var(--mono)',
    color: 'var(--mui-palette-text-secondary)',
    textAlign: 'right',
    paddingTop: '1px',
  },
});

export const Overflowing = styled('div')({
  overflowX: 'auto',
  '& td': {
    whiteSpace: 'nowrap',
  },
  '& th': {
    whiteSpace: 'nowrap',
  },
});

export const Bar = styled('div')({
  flex: 'none',
  display: 'flex',
  gap: '8px',
  alignItems: 'center',
  padding: '9px 16px',
  borderBottom: '1px solid var(--mui-palette-divider)',
  fontSize: '13px',
  flexWrap: 'wrap',
  '& .MuiInputBase-input': {
    padding: '4.5px 10px',
    fontSize: '13px',
  },
  '& > .MuiTextField-root': {
    flex: '1',
    minWidth: '140px',
  },
});

export const Empty = styled('div')({
  '.list > &': { flex: 1 },
  maxWidth: '460px',
  margin: '12vh auto 0',
  textAlign: 'center',
  padding: '0 20px',
  '& h1': {
    marginBottom: '8px',
  },
  '& p': {
    color: 'var(--mui-palette-text-secondary)',
    margin: '4px 0 14px',
  },
});

export const Choices = styled('div')({
  display: 'flex',
  gap: '4px',
  alignItems: 'center',
  margin: '4px 0',
  flexWrap: 'wrap',
});

export const Frame = styled('div')({
  display: 'flex',
  flexDirection: 'column',
  height: '100vh',
});

const entryLook = {
  display: 'grid',
  gridTemplateColumns: '32px 1fr auto',
  alignItems: 'center',
  gap: 6,
  padding: '6px 4px',
  borderBottom: '1px solid var(--mui-palette-divider)',
  color: 'inherit',
  textDecoration: 'none',
  '&:hover': { background: 'var(--mui-palette-action-hover)' },
  '& .title': { fontWeight: 650, display: 'block' },
} as const;

/** One of several things below each other: a link to it, or a form that acts on it. */
export const EntryLink = styled(Link)(entryLook);
export const EntryForm = styled(Form)(entryLook);

const stickyLook = {
  display: 'flex',
  gap: 8,
  alignItems: 'center',
  flexWrap: 'wrap',
  position: 'sticky',
  bottom: -18,
  background: 'var(--mui-palette-background-paper)',
  padding: '10px 0 18px',
  margin: '12px 0 -18px',
  borderTop: '1px solid var(--mui-palette-action-hover)',
  '.page &': {
    background: 'var(--mui-palette-background-default)',
    bottom: -20,
    marginBottom: -20,
    paddingBottom: 20,
  },
  '& .end': { marginLeft: 'auto', fontSize: 12, color: 'var(--mui-palette-text-secondary)' },
} as const;

/** What can be done, kept in sight at the end of what is read. */
export const StickyActions = styled('div')(stickyLook);
export const StickyForm = styled(Form)(stickyLook);
