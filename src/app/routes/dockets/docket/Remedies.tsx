import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Form, Link } from 'react-router';
import { FindingEntry } from '~/app/ui/FindingEntry';
import { pathTo } from '~/app/ui/pathTo';
import { VirtualList } from '~/app/ui/VirtualList';
import { counted } from '~/core/naming/words';
import { changeableStates } from '~/core/ratchet/states';
import type { DocketPage } from './docketPage.server';

/** How much is in the docket and what it takes; where there is nothing, how something comes in. */
export function Contents({ page: { source, findings, steps, time } }: { readonly page: DocketPage }) {
  if (findings.length > 0)
    return (
      <Typography variant="note" component="p" style={{ margin: 0 }}>
        {findings.length === 1 ? '1 remedy' : `${findings.length} remedies`}, {counted(steps.length, 'step')}
        {time && `, ${time} by the speed of the last survey`}
      </Typography>
    );
  return (
    <Alert severity="info" role="note">
      This docket is empty. <Link to={pathTo('/s/:source/findings', { source: source.id })}>Choose findings</Link> and put them in
      with <kbd>d</kbd>.
    </Alert>
  );
}

/** The findings that are mended together, each to be taken out as long as it may be changed. */
export function Remedies({ page: { source, docket, findings, instead } }: { readonly page: DocketPage }) {
  if (findings.length === 0) return null;
  const changeable = changeableStates.includes(docket.state) && instead.plan === null;
  return (
    <>
      <h2>Remedies</h2>
      <VirtualList count={findings.length} label="Remedies" height={58}>
        {(i) => {
          const finding = findings[i];
          return (
            finding && (
              <div style={{ display: 'grid', gridTemplateColumns: '1fr auto', alignItems: 'center' }}>
                <FindingEntry source={source.id} finding={finding} />
                {changeable && (
                  <Form method="post" preventScrollReset>
                    <input type="hidden" name="intent" value="take" />
                    <input type="hidden" name="finding" value={finding.id} />
                    <Button type="submit" variant="text" aria-label={`Take out: ${finding.title}`}>
                      Take out
                    </Button>
                  </Form>
                )}
              </div>
            )
          );
        }}
      </VirtualList>
    </>
  );
}
