import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Field } from '~/core/inventory/stock';
import type { Columns } from './columns';

/** Which columns a list shows, and in which order. */
export function ColumnChoice({
  fields,
  columns: { shown, show },
}: {
  readonly fields: readonly Field[];
  readonly columns: Columns;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const ordered = [
    ...shown.flatMap((name) => fields.find((field) => field.name === name) ?? []),
    ...fields.filter(({ name }) => !shown.includes(name)),
  ];
  const move = (name: string, by: number): void => {
    const at = shown.indexOf(name);
    const next = shown.filter((other) => other !== name);
    show([...next.slice(0, Math.max(0, at + by)), name, ...next.slice(Math.max(0, at + by))]);
  };
  return (
    <>
      <Button aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        Fields, {shown.length} of {fields.length}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)} slotProps={{ list: { dense: true } }}>
        {ordered.map(({ name, title, about }) => {
          const is = shown.includes(name);
          return (
            <MenuItem
              key={name}
              role="menuitemcheckbox"
              aria-checked={is}
              disabled={is && shown.length === 1}
              onClick={() => show(is ? shown.filter((other) => other !== name) : [...shown, name])}
            >
              <Checkbox size="small" checked={is} tabIndex={-1} sx={{ padding: '2px 8px 2px 0' }} />
              <Typography variant="mono" style={{ minWidth: 90 }}>
                {name}
              </Typography>
              <Typography variant="note" style={{ flex: 1, marginLeft: 12 }}>
                {about ?? (title && title !== name ? title : '')}
              </Typography>
              {is && (
                <span style={{ marginLeft: 12 }}>
                  {([-1, 1] as const).map((by) => (
                    <IconButton
                      key={by}
                      size="small"
                      aria-label={`${name} ${by < 0 ? 'further to the left' : 'further to the right'}`}
                      onClick={(event) => {
                        event.stopPropagation();
                        move(name, by);
                      }}
                      sx={{ fontSize: 13, padding: '0 5px' }}
                    >
                      {by < 0 ? '←' : '→'}
                    </IconButton>
                  ))}
                </span>
              )}
            </MenuItem>
          );
        })}
      </Menu>
    </>
  );
}
