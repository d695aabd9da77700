import 'reflect-metadata';
import * as x509 from '@peculiar/x509';
import { webcrypto, createPrivateKey, X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { isAddress, onlyFor } from './names.ts';

x509.cryptoProvider.set(webcrypto as unknown as Crypto);
const algorithm = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const;
const DAY = 24 * 3_600_000;
/** A device trusts the authority once, so it lasts; a server's certificate longer than 398 days is refused by devices. */
const AUTHORITY_DAYS = 3650;
const SERVER_DAYS = 390;
/** Made anew when less is left. */
const RENEW_DAYS = 30;

/** What a server on the shop's network shows of itself. */
export interface LanKeys {
  /** PEM of the shop's own authority, for the devices to trust. */
  ca: string;
  /** Its certificate, PEM. */
  cert: string;
  /** Its private key, PEM. */
  key: string;
}

type Keys = Awaited<ReturnType<typeof makeKeys>>;
const makeKeys = () => webcrypto.subtle.generateKey(algorithm, true, ['sign', 'verify']);
const serial = () => Buffer.from(webcrypto.getRandomValues(new Uint8Array(12))).toString('hex');
const span = (days: number) => ({ notBefore: new Date(Date.now() - DAY), notAfter: new Date(Date.now() + days * DAY) });

const pemOf = async (keys: Keys): Promise<string> => {
  const der = Buffer.from(await webcrypto.subtle.exportKey('pkcs8', keys.privateKey));
  return createPrivateKey({ key: der, format: 'der', type: 'pkcs8' })
    .export({ type: 'pkcs8', format: 'pem' })
    .toString();
};

/**
 * The shop's own certificate authority and a certificate for its addresses, kept in a folder only this person reads. The
 * authority stays, so that a paired device stays paired; the certificate is made anew when an address is not in it or it
 * runs out soon.
 *
 * @param hosts names and addresses under which devices reach this machine
 * @example await lanKeys('.cradle/lan', ['192.0.2.10', 'localhost'])
 */
export async function lanKeys(folder: string, hosts: readonly string[]): Promise<LanKeys> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const path = (name: string) => join(folder, name);
  const write = (name: string, text: string) => writeFileSync(path(name), text, { mode: 0o600 });
  if (!existsSync(path('authority.pem')) || !existsSync(path('authority.key'))) {
    const keys = await makeKeys();
    const limits = onlyFor(hosts);
    const ca = await x509.X509CertificateGenerator.createSelfSigned({
      serialNumber: serial(),
      name: 'CN=Iron Cradle of this shop',
      ...span(AUTHORITY_DAYS),
      signingAlgorithm: algorithm,
      keys: keys as unknown as CryptoKeyPair,
      extensions: [
        new x509.BasicConstraintsExtension(true, 0, true),
        new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
        new x509.Extension(limits.id, true, limits.content),
      ],
    });
    write('authority.pem', ca.toString('pem'));
    write('authority.key', await pemOf(keys));
  }
  const ca = readFileSync(path('authority.pem'), 'utf8');
  if (!stillGood(path('server.pem'), hosts)) {
    const authority = new x509.X509Certificate(ca);
    const signingKey = await webcrypto.subtle.importKey(
      'pkcs8',
      createPrivateKey(readFileSync(path('authority.key'), 'utf8')).export({ type: 'pkcs8', format: 'der' }),
      algorithm,
      false,
      ['sign'],
    );
    const keys = await makeKeys();
    const cert = await x509.X509CertificateGenerator.create({
      serialNumber: serial(),
      subject: 'CN=Iron Cradle',
      issuer: authority.subject,
      ...span(SERVER_DAYS),
      signingAlgorithm: algorithm,
      publicKey: keys.publicKey as unknown as CryptoKey,
      signingKey: signingKey as unknown as CryptoKey,
      extensions: [
        new x509.BasicConstraintsExtension(false, undefined, true),
        new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
        new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
        new x509.SubjectAlternativeNameExtension(
          hosts.map((value) => ({ type: isAddress(value) ? ('ip' as const) : ('dns' as const), value })),
        ),
      ],
    });
    write('server.pem', cert.toString('pem'));
    write('server.key', await pemOf(keys));
  }
  return { ca, cert: readFileSync(path('server.pem'), 'utf8'), key: readFileSync(path('server.key'), 'utf8') };
}

/** Is there a certificate for all these hosts that lasts a while? */
function stillGood(file: string, hosts: readonly string[]): boolean {
  if (!existsSync(file)) return false;
  const cert = new X509Certificate(readFileSync(file));
  if (Date.parse(cert.validTo) < Date.now() + RENEW_DAYS * DAY) return false;
  // A name is no address: asked for one, the platform throws.
  return hosts.every((host) => (isAddress(host) ? cert.checkIP(host) : cert.checkHost(host)) !== undefined);
}
