import { lookup } from 'node:dns/promises';
import ipaddr from 'ipaddr.js';
import { InputError } from '@iron-cradle/core';

/** An address that was looked up once and stays so: a name that answers otherwise later leads nowhere else. */
export interface FixedAddress {
  /** As it was typed, for the Host header. */
  host: string;
  /** What it resolved to. */
  ip: string;
  /** Its port. */
  port: number;
  /** Path in front of what is asked, without a slash at its end. */
  base: string;
}

/** Ranges of a shop’s own network, and of this machine itself. */
const OWN = new Set(['private', 'uniqueLocal', 'loopback']);

/**
 * Looks an address up and takes it only where it lies in the shop’s own network.
 *
 * @param address as it was typed, checked by its class
 * @throws InputError for a name nobody knows, or one that lies outside
 * @example await fixAddress('http://192.168.1.20:8090') // { ip: '192.168.1.20', port: 8090, … }
 */
export async function fixAddress(address: string): Promise<FixedAddress> {
  const url = new URL(address);
  const host = url.hostname.replace(/^\[|\]$/g, '');
  const found = await lookup(host, { all: true }).catch(() => []);
  if (found.length === 0) throw new InputError('address', address, 'a name or number that answers on this network');
  // One that leads outside as well may lead there tomorrow.
  const outside = found.find(({ address: ip }) => !OWN.has(ipaddr.process(ip).range()));
  if (outside)
    throw new InputError(
      'address',
      address,
      'an address of the shop’s own network: 10., 172.16.–31., 192.168., fd…, or this machine',
    );
  return {
    host: url.host,
    ip: found[0]!.address,
    port: url.port === '' ? 80 : Number(url.port),
    base: url.pathname.replace(/\/$/, ''),
  };
}
