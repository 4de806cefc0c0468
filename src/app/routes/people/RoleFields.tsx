import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { SourceChoice } from '~/app/ui/SourceChoice';
import { roleNames } from '~/core/rights/rights';

/** A role, and on which sources it holds. */
export function RoleFields({ sources }: { readonly sources: readonly { readonly id: number; readonly name: string }[] }) {
  return (
    <>
      <TextField name="role" label="Role" select defaultValue="Reader">
        {roleNames.map((role) => (
          <MenuItem key={role} value={role}>
            {role}
          </MenuItem>
        ))}
      </TextField>
      <SourceChoice label="On" all="all sources" sources={sources} />
    </>
  );
}
