import { request as byPlainHttp } from 'node:http';
import { request as byHttps } from 'node:https';
import { signatureOf } from './signature';
import type { Send } from './index';
import { hostProblem, lookup, NotSentTo } from './whereTo';

const longestMs = 10_000;

/** By POST; leads nowhere else, and takes nothing that comes back but its status. */
export const sendByHttp: Send = async ({ address, body, secret }, now) => {
  const url = new URL(address);
  // An address in place of a name is looked up by nobody.
  const problem = hostProblem(url.hostname);
  if (problem !== null) throw new NotSentTo(problem);
  const headers = {
    'Content-Type': 'application/json',
    'Content-Length': Buffer.byteLength(body),
    'User-Agent': 'Pawl',
    ...(secret !== null && { 'Pawl-Signature': signatureOf(secret, body, now) }),
  };
  const status = await post(url, headers, body).catch((error: unknown) => {
    if (error instanceof NotSentTo) throw error;
    const { code = '', name = '' } = error as { readonly code?: string; readonly name?: string };
    const slow = name === 'AbortError' || name === 'TimeoutError';
    throw new Error(
      slow ? `It did not answer within ${longestMs / 1000} s.` : `It could not be reached${code === '' ? '' : ` (${code})`}.`,
      {
        cause: error,
      },
    );
  });
  if (status < 200 || status > 299) throw new Error(`It answered ${status}.`);
  return `It answered ${status}.`;
};

function post(url: URL, headers: Readonly<Record<string, string | number>>, body: string): Promise<number> {
  const request = url.protocol === 'http:' ? byPlainHttp : byHttps;
  return new Promise((resolve, reject) => {
    const asked = request(
      url,
      { method: 'POST', headers, lookup, agent: false, signal: AbortSignal.timeout(longestMs) },
      (answer) => {
        resolve(answer.statusCode ?? 0);
        answer.destroy();
      },
    );
    asked.on('error', reject);
    asked.end(body);
  });
}
