// Stand-ins for those who hear of the harbour: an address that takes signed messages and checks them, and a mail server that
// keeps what it is given. What arrived is read as text at the same address. Both on loopback, and only as long as the demo runs.

import { createHmac, timingSafeEqual } from 'node:crypto';
import { createServer } from 'node:http';
import { SMTPServer } from 'smtp-server';

const { PAWL_HEARD_PORT, PAWL_HEARD_SECRET, PAWL_HEARD_SMTP_PORT } = process.env;
const most = 100;
const longest = 1_000_000;
const arrived: string[] = [];

function keep(what: string, text: string): void {
  arrived.unshift(`── ${new Date().toISOString()}  ${what}\n\n${text}\n`);
  arrived.length = Math.min(arrived.length, most);
}

/** `t=…,v1=…`, as docs/formats.md has it. */
function isSigned(signature: string, body: string): boolean {
  const [, time = '', mac = ''] = /^t=(\d+),v1=([0-9a-f]{64})$/.exec(signature) ?? [];
  const own = createHmac('sha256', PAWL_HEARD_SECRET ?? '')
    .update(`${time}.${body}`)
    .digest();
  return mac !== '' && timingSafeEqual(own, Buffer.from(mac, 'hex'));
}

const web = createServer((request, response) => {
  if (request.method !== 'POST') {
    response.writeHead(200, { 'Content-Type': 'text/plain; charset=utf-8' });
    return void response.end(`What Pawl sent to these stand-ins, newest first.\n\n${arrived.join('\n') || 'Nothing yet.\n'}`);
  }
  let body = '';
  request.setEncoding('utf8').on('data', (text: string) => {
    body += text;
    if (body.length > longest) request.destroy();
  });
  request.on('end', () => {
    const signed = isSigned(String(request.headers['pawl-signature']), body);
    keep(`message, signature ${signed ? 'checked' : 'WRONG'}`, body);
    response.writeHead(signed ? 204 : 401).end();
  });
});
web.listen(Number(PAWL_HEARD_PORT), '127.0.0.1');

const mail = new SMTPServer({
  disabledCommands: ['AUTH', 'STARTTLS'],
  disableReverseLookup: true,
  size: longest,
  onData(stream, _session, done) {
    const parts: Buffer[] = [];
    stream.on('data', (part: Buffer) => parts.push(part));
    stream.on('end', () => {
      keep('e-mail', Buffer.concat(parts).toString('utf8'));
      done();
    });
  },
});
mail.listen(Number(PAWL_HEARD_SMTP_PORT), '127.0.0.1');

for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, () => {
    web.closeAllConnections();
    web.close();
    mail.close(() => process.exit(0));
  });
