import { signatureOf } from './signature';
import type { Send } from './index';

const longestMs = 10_000;

/** By POST; leads nowhere else, and takes nothing that comes back but its status. */
export const sendByHttp: Send = async ({ address, body, secret }, now) => {
  const answer = await fetch(address, {
    method: 'POST',
    body,
    headers: {
      'Content-Type': 'application/json',
      'User-Agent': 'Pawl',
      ...(secret !== null && { 'Pawl-Signature': signatureOf(secret, body, now) }),
    },
    redirect: 'manual',
    signal: AbortSignal.timeout(longestMs),
  }).catch((error: unknown) => {
    const cause = error instanceof Error && error.cause instanceof Error && 'code' in error.cause ? String(error.cause.code) : '';
    const slow = error instanceof Error && error.name === 'TimeoutError';
    throw new Error(
      slow ? `It did not answer within ${longestMs / 1000} s.` : `It could not be reached${cause === '' ? '' : ` (${cause})`}.`,
      { cause: error },
    );
  });
  await answer.body?.cancel();
  if (!answer.ok) throw new Error(`It answered ${answer.status}.`);
  return `It answered ${answer.status}.`;
};
