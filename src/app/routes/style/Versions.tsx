import { pathTo } from '~/app/ui/pathTo';
import Accordion from '@mui/material/Accordion';
import AccordionDetails from '@mui/material/AccordionDetails';
import AccordionSummary from '@mui/material/AccordionSummary';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { useFetcher } from 'react-router';
import { Allowed } from '~/app/ui/Allowed';
import { Moment } from '~/app/ui/Moment';
import type { StyleVersion } from '~/store/sources/houseStyles';

interface VersionsProps {
  readonly source: number;
  readonly versions: readonly Omit<StyleVersion, 'style'>[];
}

/** What the house style has been, newest first; an older one can be taken up again. */
export function Versions({ source, versions }: VersionsProps) {
  const { Form } = useFetcher({ key: 'house style' });
  const [latest] = versions;
  if (!latest) return null;
  return (
    <Accordion disableGutters elevation={0}>
      <AccordionSummary sx={{ paddingX: 2 }}>Versions, {versions.length}</AccordionSummary>
      <AccordionDetails sx={{ padding: '0 16px 16px' }}>
        <Table size="small" aria-label="Versions of the house style">
          <TableBody>
            {versions.map(({ version, remark, keptAt, keptBy }) => (
              <TableRow key={version}>
                <TableCell align="right">{version}</TableCell>
                <TableCell>{remark}</TableCell>
                <TableCell>
                  {keptBy} <Moment at={keptAt} />
                </TableCell>
                <TableCell align="right">
                  {version !== latest.version && (
                    <Allowed right="keepRules">
                      <Form method="post" action={pathTo('/s/:source/style', { source })}>
                        <input type="hidden" name="shown" value={latest.version} />
                        <input type="hidden" name="version" value={version} />
                        <Button type="submit" variant="text" name="intent" value="restore">
                          Take it up again
                        </Button>
                      </Form>
                    </Allowed>
                  )}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </AccordionDetails>
    </Accordion>
  );
}
