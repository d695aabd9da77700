import { AsnConvert } from '@peculiar/asn1-schema';
import {
  GeneralName,
  GeneralSubtree,
  GeneralSubtrees,
  id_ce_nameConstraints,
  NameConstraints,
} from '@peculiar/asn1-x509';

/** Addresses that are never anybody's on the internet: RFC 1918, 3927, 4193, 4291 and loopback. */
const NETWORKS = [
  '10.0.0.0/8',
  '172.16.0.0/12',
  '192.168.0.0/16',
  '169.254.0.0/16',
  '127.0.0.0/8',
  'fc00::/7',
  'fe80::/10',
  '::1/128',
];
/** Names of a network of one's own: RFC 6762 and 6761. */
const NAMES = ['localhost', 'local', 'test'];

/** Is it an address, not a name? @example isAddress('fd00::7') // true */
export const isAddress = (host: string): boolean => /^[\d.]+$|:/.test(host);

/**
 * What an authority may vouch for and nothing else (name constraints, RFC 5280, 4.2.1.10): networks of one's own, and the names and addresses this machine
 * had when it was made. Whoever gets hold of its key makes no certificate for a bank.
 *
 * @returns the number of the extension and its content
 * @example onlyFor(['bench-pc', '192.168.1.20']).id // '2.5.29.30'
 */
export function onlyFor(hosts: readonly string[]): { id: string; content: ArrayBuffer } {
  const addresses = hosts.filter(isAddress).map((host) => `${host}/${host.includes(':') ? 128 : 32}`);
  const names = hosts.filter((host) => !isAddress(host));
  const permittedSubtrees = new GeneralSubtrees([
    ...[...new Set([...NAMES, ...names])].map((dNSName) => subtree({ dNSName })),
    ...[...new Set([...NETWORKS, ...addresses])].map((iPAddress) => subtree({ iPAddress })),
  ]);
  return { id: id_ce_nameConstraints, content: AsnConvert.serialize(new NameConstraints({ permittedSubtrees })) };
}

const subtree = (name: { dNSName: string } | { iPAddress: string }): GeneralSubtree =>
  new GeneralSubtree({ base: new GeneralName(name) });
