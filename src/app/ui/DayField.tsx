import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import dayjs from 'dayjs';

interface DayFieldProps {
  readonly name: string;
  readonly label: string;
  /** As in ISO 8601; empty for none. */
  readonly day?: string;
  readonly problem?: string | undefined;
  readonly disablePast?: boolean;
}

/** A day, typed or chosen from a calendar; the form gets it as ISO 8601 has it, empty for none. */
export function DayField({ name, label, day = '', problem, disablePast = false }: DayFieldProps) {
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs}>
      <DatePicker
        name={name}
        label={label}
        format="YYYY-MM-DD"
        defaultValue={day === '' ? null : dayjs(day)}
        disablePast={disablePast}
        slotProps={{
          field: { clearable: true },
          textField: { size: 'small', fullWidth: true, error: problem !== undefined, helperText: problem },
        }}
      />
    </LocalizationProvider>
  );
}
