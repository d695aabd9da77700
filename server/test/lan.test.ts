import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { createServer, get } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openShop, otherAddress, type Shop } from '../../e2e/lib/server.ts';
import { lanKeys } from '../src/lan/authority.ts';

const folders: string[] = [];
const folder = () => {
  folders.push(mkdtempSync(join(tmpdir(), 'cradle-lan-')));
  return folders.at(-1)!;
};
afterAll(() => folders.forEach((f) => rmSync(f, { recursive: true, force: true })));

describe('the shop’s own authority', () => {
  test('signs a certificate for every address, which stands by the rules of TLS (RFC 5280): checked by the platform', async () => {
    const { ca, cert, key } = await lanKeys(folder(), ['localhost', '192.0.2.7', 'fd00::7', 'bench-pc']);
    const [authority, server] = [new X509Certificate(ca), new X509Certificate(cert)];
    expect(authority.ca).toBe(true);
    expect(server.ca).toBe(false);
    expect(server.checkIssued(authority)).toBe(true);
    expect(server.verify(authority.publicKey)).toBe(true);
    expect(server.checkIP('192.0.2.7')).toBe('192.0.2.7');
    expect(server.checkHost('bench-pc')).toBe('bench-pc');
    expect(server.checkHost('another-pc')).toBeUndefined();
    expect(key).toMatch(/BEGIN PRIVATE KEY/);
    // Devices refuse a server certificate of more than 398 days.
    const days = (Date.parse(server.validTo) - Date.parse(server.validFrom)) / 86_400_000;
    expect(days).toBeLessThanOrEqual(398);
  });

  test('vouches for networks of one’s own and for nothing else: a certificate for a name of the internet is refused by the platform', async () => {
    const where = folder();
    const own = await lanKeys(where, ['localhost', '127.0.0.1', '192.0.2.7', 'bench-pc']);
    // Whoever got hold of its key and made one for a bank too.
    const stolen = await lanKeys(where, ['localhost', '127.0.0.1', 'bank.example']);
    expect(stolen.ca).toBe(own.ca);
    const reached = async ({ cert, key }: { cert: string; key: string }, servername: string): Promise<string> => {
      const server = createServer({ cert, key }, (_request, response) => response.end('in')).listen(0, '127.0.0.1');
      await new Promise((resolve) => server.once('listening', resolve));
      const { port } = server.address() as AddressInfo;
      try {
        return await new Promise((resolve) =>
          get({ host: '127.0.0.1', port, servername, ca: own.ca, agent: false }, () => resolve('in')).on(
            'error',
            (error) => resolve(error.message),
          ),
        );
      } finally {
        server.closeAllConnections();
        server.close();
      }
    };
    expect(await reached(own, 'localhost')).toBe('in');
    expect(await reached(stolen, 'localhost')).toContain('permitted subtree violation');
    expect(await reached(stolen, 'bank.example')).toContain('permitted subtree violation');
  });

  test('stays the same, so that a paired phone stays paired; a new address gets a new certificate of the same authority', async () => {
    const where = folder();
    const first = await lanKeys(where, ['192.0.2.7']);
    const again = await lanKeys(where, ['192.0.2.7']);
    expect(again).toEqual(first);
    const moved = await lanKeys(where, ['192.0.2.7', '192.0.2.8']);
    expect(moved.ca).toBe(first.ca);
    expect(moved.cert).not.toBe(first.cert);
    expect(new X509Certificate(moved.cert).checkIP('192.0.2.8')).toBe('192.0.2.8');
    // A machine that was given another name starts all the same.
    const named = await lanKeys(where, ['192.0.2.7', 'bench-pc']);
    expect(new X509Certificate(named.cert).checkHost('bench-pc')).toBe('bench-pc');
    // Its key is for the person who runs the server alone.
    expect(statSync(join(where, 'authority.key')).mode & 0o077).toBe(0);
    expect(readFileSync(join(where, 'authority.key'), 'utf8')).toMatch(/PRIVATE KEY/);
  });
});

describe('a server on the shop’s network', () => {
  let shop: Shop;
  beforeAll(async () => void (shop = await openShop({ demo: false, lan: true, host: '0.0.0.0' })));
  afterAll(() => shop.stop());
  const secure = (host: string, ca?: string): Promise<{ status: number; body: string }> =>
    new Promise((resolve, reject) => {
      get({ host, port: shop.httpsPort, path: '/api/health', ...(ca ? { ca } : {}) }, (response) => {
        let body = '';
        response.on('data', (chunk: Buffer) => (body += chunk.toString()));
        response.on('end', () => resolve({ status: response.statusCode ?? 0, body }));
      }).on('error', reject);
    });

  test('the pairing page shows a code, the certificate and where to go; no script', async () => {
    const page = await (await fetch(`${shop.base}/pair`)).text();
    expect(page).toContain('<svg');
    expect(page).toContain('/pair/authority.crt');
    expect(page).toContain(`:${shop.httpsPort}/`);
    expect(page).not.toContain('<script');
    // The figures by which one knows the certificate, as a phone shows them.
    const ca = new X509Certificate(await (await fetch(`${shop.base}/pair/authority.crt`)).text());
    expect(page.replaceAll(' ', '')).toContain(ca.fingerprint256.replaceAll(':', '').toLowerCase());
  });

  test('on the network the plain port only pairs; this machine itself, and whoever comes by https, goes on', async () => {
    const plain = `http://${otherAddress() ?? '127.0.0.1'}:${shop.port}`;
    const status = async (path: string, init: RequestInit = {}) =>
      (await fetch(plain + path, { redirect: 'manual', ...init })).status;
    if (otherAddress()) {
      expect(await status('/pair')).toBe(200);
      expect(await status('/')).toBe(302);
      expect(await status('/jobs/any/drop')).toBe(302);
      expect(await status('/api/health')).toBe(403);
      expect(await status('/api/session', { method: 'POST', body: '{}' })).toBe(403);
    }
    expect((await fetch(`${shop.base}/api/health`)).status).toBe(200);
    expect((await fetch(`${shop.base}/`)).status).toBe(200);
  });

  test('https stands for whoever trusts the shop’s authority, and for nobody else', async () => {
    const response = await fetch(`${shop.base}/pair/authority.crt`);
    expect(response.headers.get('content-type')).toContain('application/x-x509-ca-cert');
    const ca = await response.text();
    for (const host of ['127.0.0.1', otherAddress() ?? '127.0.0.1'])
      expect(await secure(host, ca)).toEqual({ status: 200, body: '{"ok":true}' });
    await expect(secure('127.0.0.1')).rejects.toThrow(/certificate|self-signed|verify/);
  });

  test('without --lan there is no pairing page', async () => {
    const alone = await openShop({ demo: false });
    expect((await (await fetch(`${alone.base}/pair`)).text()).includes('authority.crt')).toBe(false);
    expect(alone.httpsPort).toBe(0);
    await alone.stop();
  });
});
