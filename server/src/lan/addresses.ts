import { hostname, networkInterfaces } from 'node:os';

/** Addresses of this machine on the shop's network, IPv4 first: what a phone types or scans. */
export function lanAddresses(): string[] {
  const all = Object.values(networkInterfaces()).flatMap((list) => list ?? []);
  const outside = all.filter((a) => !a.internal && !a.address.startsWith('fe80'));
  return [...outside].sort((a, b) => (a.family < b.family ? -1 : 1)).map((a) => a.address);
}

/** Everything a certificate has to name. */
export const lanHosts = (): string[] => ['localhost', '127.0.0.1', hostname().toLowerCase(), ...lanAddresses()];

/** Names by which a page of this machine is asked for, as they stand in a link. */
export const lanNames = (): string[] => lanHosts().map(inLink);

/** An address as it stands in a link. @example inLink('fd00::2') // '[fd00::2]' */
export const inLink = (address: string): string => (address.includes(':') ? `[${address}]` : address);
