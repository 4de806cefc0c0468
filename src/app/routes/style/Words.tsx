import { pathTo } from '~/app/ui/pathTo';
import Accordion from '@mui/material/Accordion';
import AccordionDetails from '@mui/material/AccordionDetails';
import AccordionSummary from '@mui/material/AccordionSummary';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useFetcher } from 'react-router';
import { Allowed } from '~/app/ui/Allowed';
import { visible } from '~/core/naming/visible';
import { counted } from '~/core/naming/words';
import type { Dictionary, DictionaryList, LearntShort } from '~/core/naming/dictionary';

interface WordsProps {
  readonly source: number;
  /** The version of the house style that is shown; 0 before the first. */
  readonly shown: number;
  readonly dictionary: Dictionary;
  readonly learnt: readonly LearntShort[];
}

const labels: Readonly<Record<DictionaryList, readonly [from: string, to: string]>> = {
  short: ['Short', 'Stands for'],
  plurals: ['One', 'Many'],
};

/** What the house says of its words, and what its names let one think. */
export function Words({ source, shown, dictionary, learnt }: WordsProps) {
  const said = Object.keys(dictionary.short).length + Object.keys(dictionary.plurals).length;
  return (
    <Accordion disableGutters elevation={0} defaultExpanded={said > 0}>
      <AccordionSummary sx={{ paddingX: 2 }}>
        Words of the house, {said}
        {learnt.length > 0 ? `; ${learnt.length} to look at` : ''}
      </AccordionSummary>
      <AccordionDetails sx={{ padding: '0 16px 16px' }}>
        <Typography variant="body2" color="textSecondary">
          What is short for what, and what many of a thing are called. Names are read by it, and templates can say{' '}
          {'{table:whole}'} or {'{table:short}'}.
        </Typography>
        <Entries list="short" entries={dictionary.short} source={source} shown={shown} />
        <Learnt learnt={learnt} source={source} shown={shown} />
        <Entries list="plurals" entries={dictionary.plurals} source={source} shown={shown} />
      </AccordionDetails>
    </Accordion>
  );
}

interface EntriesProps {
  readonly list: DictionaryList;
  readonly entries: Readonly<Record<string, string>>;
  readonly source: number;
  readonly shown: number;
}

function Entries({ list, entries, source, shown }: EntriesProps) {
  const { Form } = useFetcher({ key: 'house style' });
  const [from, to] = labels[list];
  const action = pathTo('/s/:source/style', { source });
  return (
    <>
      <Table size="small" aria-label={list === 'short' ? 'Short words' : 'Plurals'} sx={{ marginTop: 2 }}>
        <TableBody>
          {Object.entries(entries).map(([word, other]) => (
            <TableRow key={word}>
              <TableCell>{word}</TableCell>
              <TableCell>{other}</TableCell>
              <TableCell align="right">
                <Allowed right="keepRules">
                  <Act source={source} shown={shown} list={list} from={word} act="forget" label={`Forget ${word}`}>
                    Forget
                  </Act>
                </Allowed>
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Allowed right="keepRules">
        <Form method="post" action={action} key={Object.keys(entries).length} aria-label={`${from}, ${to.toLowerCase()}`}>
          <Hidden shown={shown} list={list} />
          <Stack direction="row" sx={{ gap: 1, marginTop: 1, alignItems: 'flex-end' }}>
            <TextField
              name="from"
              label={from}

              size="small"
              slotProps={{ htmlInput: { maxLength: 63, spellCheck: false } }}
            />
            <TextField
              name="to"
              label={to}

              size="small"
              slotProps={{ htmlInput: { maxLength: 200, spellCheck: false } }}
            />
            {/* Never switched off: Enter in a field does nothing while the button that it presses is. */}
            <Button type="submit" name="intent" value="word">
              Add
            </Button>
          </Stack>
        </Form>
      </Allowed>
    </>
  );
}

function Learnt({ learnt, source, shown }: Omit<WordsProps, 'dictionary'>) {
  if (learnt.length === 0) return null;
  return (
    <Table size="small" aria-label="What seems to be short" sx={{ marginTop: 2 }}>
      <TableBody>
        {learnt.map(({ short, whole, references, names }) => (
          <TableRow key={short}>
            <TableCell>{visible(short)}</TableCell>
            <TableCell>{visible(whole)}?</TableCell>
            <TableCell>
              {counted(names, 'name')}
              {references > 0 && `, ${counted(references, 'reference')} to ${visible(whole)}`}
            </TableCell>
            <TableCell align="right">
              <Allowed right="keepRules">
                <Act
                  {...{ source, shown, from: short, to: whole }}
                  list="short"
                  act="word"
                  label={`${short} stands for ${whole}`}
                >
                  It does
                </Act>
              </Allowed>
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}

interface ActProps extends Omit<EntriesProps, 'entries'> {
  readonly act: 'word' | 'forget';
  readonly from: string;
  readonly to?: string;
  readonly label: string;
  readonly children: string;
}

/** A button that says something of one word. */
function Act({ source, shown, list, act, from, to, label, children }: ActProps) {
  const { Form, state } = useFetcher({ key: 'house style' });
  return (
    <Form method="post" action={pathTo('/s/:source/style', { source })}>
      <Hidden shown={shown} list={list} from={from} />
      {to !== undefined && <input type="hidden" name="to" value={to} />}
      <Button type="submit" variant="text" name="intent" value={act} disabled={state === 'submitting'} aria-label={label}>
        {children}
      </Button>
    </Form>
  );
}

interface HiddenProps {
  readonly shown: number;
  readonly list: DictionaryList;
  readonly from?: string;
}

function Hidden({ shown, list, from }: HiddenProps) {
  return (
    <>
      <input type="hidden" name="shown" value={shown} />
      <input type="hidden" name="list" value={list} />
      {from !== undefined && <input type="hidden" name="from" value={from} />}
    </>
  );
}
