import { createHmac } from 'node:crypto';

/** `t=1795780000,v1=…`: HMAC-SHA256 over the time, a dot and the body, in hex (RFC 2104, FIPS 180-4). */
export function signatureOf(secret: string, body: string, now: Date): string {
  const time = Math.floor(now.getTime() / 1000);
  return `t=${time},v1=${createHmac('sha256', secret).update(`${time}.${body}`).digest('hex')}`;
}
