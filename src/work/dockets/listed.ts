// The dockets of a source as their list tells of them: what is not frozen yet is planned as it is now.

import { changeableStates } from '../../core/ratchet/states';
import { type DocketRow, gistOfDocket, listDockets } from '../../store/dockets/dockets';
import type { Room } from '../enter';
import { planDocket } from './planned';

/** Of more remedies, and of more dockets than these, a list does not plan what it only mentions. */
const mostRemedies = 200;
const mostPlanned = 20;

export async function listedDockets({ store, source }: Pick<Room, 'store' | 'source'>): Promise<readonly DocketRow[]> {
  const dockets = await listDockets(store, source.id);
  const changing = dockets.filter(
    ({ state, remedies, risk }) => risk === null && changeableStates.includes(state) && remedies <= mostRemedies,
  );
  const gists = new Map<number, Pick<DocketRow, 'rowsChanged' | 'risk'>>();
  for (const docket of changing.slice(0, mostPlanned)) {
    const { plan, catalogue } = await planDocket(store, source, docket);
    if (plan && catalogue) gists.set(docket.id, await gistOfDocket(store, docket.id, plan, catalogue));
  }
  return dockets.map((docket) => ({ ...docket, ...gists.get(docket.id) }));
}
