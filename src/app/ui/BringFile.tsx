import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useRevalidator } from 'react-router';

/** What came of a file that somebody brought. */
export interface Brought {
  /** Why it was not taken; null when it was. */
  readonly problem: string | null;
  /** What a person has to know of what was taken. */
  readonly remark: string | null;
}

interface Bringing {
  readonly busy: boolean;
  readonly said: Brought | null;
  bring(this: void, file: File): Promise<void>;
}

/** Sends a file as it is to an address, and reads the page anew. */
export function useBringing(url: string): Bringing {
  const [said, setSaid] = useState<Brought | null>(null);
  const [busy, setBusy] = useState(false);
  const { revalidate } = useRevalidator();
  const bring = async (file: File): Promise<void> => {
    setBusy(true);
    setSaid(await sent(url, file));
    setBusy(false);
    await revalidate();
  };
  return { busy, said, bring };
}

interface BringFileProps extends Pick<Bringing, 'busy' | 'bring'> {
  readonly label: string;
  /** What the file is, for who does not see the button. */
  readonly what: string;
  /** The types that are offered; plain text when left out. */
  readonly accept?: string;
}

/** A button that asks for a file of text. */
export function BringFile({ busy, bring, label, what, accept = '.txt,text/plain' }: BringFileProps) {
  return (
    <Button component="label" disabled={busy}>
      {busy ? 'Reading it…' : label}
      <input
        type="file"
        hidden
        aria-label={what}
        accept={accept}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          if (file) void bring(file);
        }}
      />
    </Button>
  );
}

/** What came of it, in words. */
export function WhatCame({ said }: Pick<Bringing, 'said'>) {
  return (
    <>
      {said?.problem && (
        <Alert severity="error" role="alert">
          {said.problem}
        </Alert>
      )}
      {said?.remark && (
        <Alert severity="warning" role="status">
          {said.remark}
        </Alert>
      )}
    </>
  );
}

async function sent(url: string, file: File): Promise<Brought> {
  try {
    const response = await fetch(url, { method: 'POST', body: file, headers: { 'Content-Type': 'application/octet-stream' } });
    if (response.status === 413) return { problem: 'The file is larger than Pawl takes at once.', remark: null };
    if (!response.ok) return { problem: 'The file was not taken. Reload the page and try again.', remark: null };
    return (await response.json()) as Brought;
  } catch {
    return { problem: 'The file did not arrive. Look at your connection and bring it again.', remark: null };
  }
}
