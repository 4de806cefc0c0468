import { StepLine } from '~/app/ui/parts';
import { VirtualList } from '~/app/ui/VirtualList';
import type { DocketPage } from './docketPage.server';
import { Way } from './Way';

/** What is done one after the other, what each takes, and how it is carried out. */
export function Steps({ page }: { readonly page: DocketPage }) {
  const { docket, steps } = page;
  return (
    <>
      <h2>Steps</h2>
      <Way page={page} />
      <VirtualList count={steps.length} label="Steps" height={54}>
        {(i) => {
          const step = steps[i];
          return (
            step && (
              <StepLine>
                <span className="number">{i + 1}</span>
                <span>
                  {step.title}
                  <span className="outcome" style={{ display: 'block' }}>
                    {step.lock}, {step.blocks}; {step.work}
                    {step.time && `, ${step.time}`}
                    {docket.mode === 'quiet' && !step.transaction && '; outside of a transaction'}
                  </span>
                </span>
              </StepLine>
            )
          );
        }}
      </VirtualList>
    </>
  );
}
