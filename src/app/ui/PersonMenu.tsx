import { styled } from '@mui/material/styles';
import ButtonBase from '@mui/material/ButtonBase';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { Form, Link } from 'react-router';
import { usePerson } from './useAllowed';

/** Who is signed in, and where that leads. */
export function PersonMenu() {
  const person = usePerson();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = (): void => setAnchor(null);
  if (!person) return null;
  return (
    <>
      <PersonButton aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        {person.name}
      </PersonButton>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
        <MenuItem component={Link} to="/me" onClick={close}>
          Your account…
        </MenuItem>
        {person.keepsPeople && (
          <MenuItem component={Link} to="/people" onClick={close}>
            People…
          </MenuItem>
        )}
        {person.readsJournal && (
          <MenuItem component={Link} to="/journal" onClick={close}>
            Journal…
          </MenuItem>
        )}
        <Form method="post" action="/me">
          <MenuItem component="button" type="submit" name="intent" value="signOut" sx={{ width: '100%' }}>
            Sign out
          </MenuItem>
        </Form>
      </Menu>
    </>
  );
}

const PersonButton = styled(ButtonBase)({
  font: 'inherit',
  fontSize: '13.5px',
  color: 'inherit',
  background: 'none',
  border: '0',
  borderBottom: '1px dotted var(--mui-palette-text-secondary)',
  padding: '2px 0',
  cursor: 'pointer',
  whiteSpace: 'nowrap',
});
