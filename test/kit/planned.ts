import type { Mode } from '../../src/core/plan/cost';
import type { Plan } from '../../src/core/plan/shape';
import { planFor } from '../../src/core/plan/plan';
import type { Decision } from '../../src/core/remedies/question';
import type { Finding } from '../../src/core/rules/finding';
import type { Source } from '../../src/sources/source';
import { survey } from '../../src/sources/survey';

interface Planned {
  readonly mode: Mode;
  readonly decision?: Decision;
  readonly schemas?: readonly string[];
  /** The one kind of proposal that is wanted; every kind that has a script when left out. */
  readonly kind?: Finding['proposal']['kind'];
}

/** Everything that an exact survey finds a script for, in one plan; every finding is answered alike. Closes the source. */
export async function planOfAll(source: Source, { mode, decision = {}, schemas, kind }: Planned): Promise<Plan> {
  try {
    const { catalogue, findings } = await survey(source, { depth: 'exact', ...(schemas && { schemas }) });
    const mendable = findings.filter(({ proposal }) => (kind ? proposal.kind === kind : proposal.kind !== 'byHand'));
    return planFor(
      mendable.map((finding) => ({ finding, decision })),
      catalogue,
      { label: 'd1', mode },
    );
  } finally {
    await source.close();
  }
}
