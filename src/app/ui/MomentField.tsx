import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import { DateTimePicker } from '@mui/x-date-pickers/DateTimePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import type { Dayjs } from 'dayjs';
import { useState } from 'react';
import { useWrong } from './useWrong';
import { useZone } from './zone';

interface MomentFieldProps {
  readonly name: string;
  readonly label: string;
}

/** A moment that is over, typed or chosen by the clock of whoever does; the form gets it in ISO 8601, empty for none. */
export function MomentField({ name, label }: MomentFieldProps) {
  const [moment, setMoment] = useState<Dayjs | null>(null);
  const zone = useZone();
  const { error, helperText } = useWrong()(name, zone ? `by your clock, ${zone}` : ' ');
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs}>
      <input type="hidden" name={name} value={moment?.isValid() ? moment.toISOString() : ''} />
      <DateTimePicker
        label={label}
        format="YYYY-MM-DD HH:mm"
        ampm={false}
        disableFuture
        value={moment}
        onChange={setMoment}
        slotProps={{
          field: { clearable: true },
          textField: { size: 'small', fullWidth: true, required: true, helperText, ...(error && { error }) },
        }}
      />
    </LocalizationProvider>
  );
}
