// Where messages may go. Whoever settles a listener names any host; what answers there must not be something that only this machine, or
// the network behind it, is meant to reach. So it is looked at twice: the name when it is settled, and at each sending the very
// addresses that are connected to.

import { lookup as resolve, type LookupAddress } from 'node:dns';
import { BlockList, isIP, type LookupFunction } from 'node:net';

/** Something that is not sent to, in words. */
export class NotSentTo extends Error {
  override readonly name = 'NotSentTo';
}

type Range = readonly [address: string, bits: number];

// IANA special-purpose address registries (RFC 6890): all that is not somebody's public address.
const inward: readonly Range[] = [
  ...([
    ['0.0.0.0', 8],
    ['10.0.0.0', 8],
    ['100.64.0.0', 10],
    ['172.16.0.0', 12],
    ['192.0.0.0', 24],
  ] as const),
  ...([
    ['192.0.2.0', 24],
    ['192.168.0.0', 16],
    ['198.18.0.0', 15],
    ['198.51.100.0', 24],
    ['203.0.113.0', 24],
  ] as const),
  ...([
    ['224.0.0.0', 3],
    ['::', 96],
    ['64:ff9b::', 96],
    ['64:ff9b:1::', 48],
    ['100::', 64],
    ['2001::', 23],
  ] as const),
  ...([
    ['2001:db8::', 32],
    ['2002::', 16],
    ['fc00::', 7],
    ['fec0::', 10],
    ['ff00::', 8],
  ] as const),
];
const ownMachine: readonly Range[] = [
  ['127.0.0.0', 8],
  ['::1', 128],
];
/** Of the wiring below: what hands out a cloud's credentials is there. Nobody allows that. */
const wiring: readonly Range[] = [
  ['169.254.0.0', 16],
  ['fe80::', 10],
  ['fd00:ec2::', 32],
];

function listOf(ranges: readonly Range[]): BlockList {
  const list = new BlockList();
  for (const [address, bits] of ranges) list.addSubnet(address, bits, isIP(address) === 4 ? 'ipv4' : 'ipv6');
  return list;
}

const lists = { inward: listOf(inward), ownMachine: listOf(ownMachine), wiring: listOf(wiring) };

interface Allowed {
  /** Null for any host whose addresses are public. */
  readonly hosts: readonly string[] | null;
  readonly ownMachine: boolean;
}

/** From PAWL_LISTENER_HOSTS (`hooks.harbour.example,.ci.example`) and PAWL_LISTENER_LOOPBACK, which who starts Pawl sets. */
function allowed(): Allowed {
  const { PAWL_LISTENER_HOSTS: hosts = '', PAWL_LISTENER_LOOPBACK: loopback } = process.env;
  const names = hosts
    .split(',')
    .map((name) => name.trim().toLowerCase())
    .filter((name) => name !== '');
  return { hosts: names.length > 0 ? names : null, ownMachine: loopback === '1' };
}

/** Why nothing is sent to a host by its name, in words; null when it may be. `hostname` as URL has it. */
export function hostProblem(hostname: string): string | null {
  const host = hostname
    .toLowerCase()
    .replace(/^\[|\]$/g, '')
    .replace(/\.$/, '');
  const { hosts } = allowed();
  const listed = isListed(host, hosts);
  if (isIP(host) !== 0) return addressesProblem([host], listed);
  if (host === 'localhost' || host.endsWith('.localhost')) return addressesProblem(['127.0.0.1'], listed);
  return hosts && !listed
    ? `Messages go to ${hosts.join(', ')} alone: who starts Pawl names others in PAWL_LISTENER_HOSTS.`
    : null;
}

function isListed(host: string, hosts: readonly string[] | null): boolean {
  return hosts?.some((name) => (name.startsWith('.') ? host.endsWith(name) : host === name)) ?? false;
}

function addressesProblem(addresses: readonly string[], listed: boolean): string | null {
  for (const address of addresses) {
    const { address: plain, family } = unmapped(address);
    const is = (list: BlockList): boolean => list.check(plain, family);
    if (is(lists.wiring)) return 'Nothing is sent to an address of the machine’s own wiring.';
    if (is(lists.ownMachine)) {
      if (!allowed().ownMachine) return 'Nothing is sent to the machine that Pawl runs on.';
    } else if (is(lists.inward) && !listed)
      return 'That leads into a network of one’s own. Who starts Pawl names such hosts in PAWL_LISTENER_HOSTS.';
  }
  return null;
}

/** An IPv4 address that is written as one of IPv6 is that address (RFC 4291, 2.5.5.2). */
function unmapped(address: string): { readonly address: string; readonly family: 'ipv4' | 'ipv6' } {
  const bare = address.replace(/%.*$/, '');
  if (isIP(bare) === 4) return { address: bare, family: 'ipv4' };
  // As URL spells it: the last 32 bits in hexadecimal.
  const spelt = new URL(`http://[${bare}]`).hostname.slice(1, -1);
  const [, high = '', low = ''] = /^::ffff:([0-9a-f]{1,4}):([0-9a-f]{1,4})$/.exec(spelt) ?? [];
  if (high === '') return { address: bare, family: 'ipv6' };
  const [a, b] = [Number.parseInt(high, 16), Number.parseInt(low, 16)];
  return { address: [a >> 8, a & 255, b >> 8, b & 255].join('.'), family: 'ipv4' };
}

/** For a connection: the addresses of a host, of which none may lead where nothing is sent. Fails with NotSentTo. */
export const lookup: LookupFunction = (hostname, options, callback) => {
  resolve(hostname, { ...options, all: true }, (error: NodeJS.ErrnoException | null, found: readonly LookupAddress[]) => {
    if (error) return callback(error, '', 0);
    const listed = isListed(hostname.toLowerCase(), allowed().hosts);
    const problem = addressesProblem(
      found.map(({ address }) => address),
      listed,
    );
    const [first] = found;
    if (problem !== null || !first) return callback(new NotSentTo(problem ?? 'It has no address.'), '', 0);
    if (options.all) return (callback as (error: null, all: readonly LookupAddress[]) => void)(null, found);
    callback(null, first.address, first.family);
  });
};
