import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { type ListForm, listForms } from '~/core/formats/lists';

const words: Readonly<Record<ListForm, string>> = { csv: 'CSV', json: 'JSON', md: 'Markdown' };

/** Saves a list as a file; `address` tells where the file is, `name` how it is called where the server does not say. */
export function SaveMenu({
  name,
  words: called = 'Export',
  address,
}: {
  readonly name?: string;
  readonly words?: string;
  readonly address: (as: ListForm) => string;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = (): void => setAnchor(null);
  return (
    <>
      <Button aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        {called}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
        {anchor !== null &&
          listForms.map((as) => (
            <MenuItem key={as} component="a" href={address(as)} download={name ? `${name}.${as}` : true} onClick={close}>
              As {words[as]}
            </MenuItem>
          ))}
      </Menu>
    </>
  );
}
