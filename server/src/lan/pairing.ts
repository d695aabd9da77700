import { X509Certificate } from 'node:crypto';
import { Router } from 'express';
import { Problem } from '../http/problem.ts';
import { isThisMachine } from '../people/thisMachine.ts';
import { toString as qrCode } from 'qrcode';
import { inLink, lanAddresses } from './addresses.ts';

/** As people compare it, in groups of four. */
const fingerprintOf = (pem: string): string =>
  (new X509Certificate(pem).fingerprint256.replaceAll(':', '').toLowerCase().match(/.{4}/g) ?? []).join(' ');

interface Pairing {
  /** PEM of the shop's own authority. */
  ca: string;
  httpPort: () => number;
  httpsPort: () => number;
}

/** The page a phone opens first: what to trust, how, and where to go then. Reached over plain http, since nothing is trusted yet. */
export function pairingRoutes({ ca, httpPort, httpsPort }: Pairing): Router {
  const routes = Router();
  const fingerprint = fingerprintOf(ca);
  routes.get('/pair/authority.crt', (_request, response) => {
    response.set('Content-Disposition', 'attachment; filename="iron-cradle-authority.crt"');
    response.type('application/x-x509-ca-cert').send(ca);
  });
  routes.get('/pair', async (request, response) => {
    const [first] = lanAddresses();
    // A phone that is here already goes on under the name it came by.
    const here = request.hostname && !/^(localhost|127\.)/.test(request.hostname) ? request.hostname : first;
    if (!here) return void response.type('html').send(page('This machine has no address on a network yet.', '', null));
    const plain = `http://${inLink(here)}:${httpPort()}/pair`;
    const secure = `https://${inLink(here)}:${httpsPort()}/`;
    const svg = await qrCode(plain, { type: 'svg', margin: 1, errorCorrectionLevel: 'M' });
    response.type('html').send(page(secure, svg, { plain, fingerprint }));
  });
  // On the network nothing is said in plain words but how to come in: not a PIN, not a plate.
  routes.use((request, response, next) => {
    if (request.secure || isThisMachine(request)) return next();
    if (request.method === 'GET' && !request.path.startsWith('/api/')) return response.redirect('/pair');
    throw new Problem(403, 'Only to pair', { detail: 'On the network this shop is reached by https: open /pair.' });
  });
  return routes;
}

function page(secure: string, svg: string, said: { plain: string; fingerprint: string } | null): string {
  const steps = said
    ? `<section class="code"><div role="img" aria-label="code with the address ${said.plain}">${svg}</div>
<p>On the same network, scan this with the phone, or type</p><p class="address">${said.plain}</p></section>
<ol>
<li><h2>Take the shop’s certificate</h2><a class="strap" href="/pair/authority.crt">Take it</a></li>
<li><h2>Trust it</h2><p>Its figures are these, here and on the phone (SHA-256); where they differ, somebody is between:</p>
<p class="address">${said.fingerprint}</p><p>Open the file. Then it depends on the phone:</p>
<p class="either">It offers to install a certificate: find “security” in the settings, install a certificate, of an authority.</p>
<p class="either">It says a profile was loaded: install the profile in the settings, then find “certificate trust settings” and switch it on.</p></li>
<li><h2>Go on under https</h2><a class="strap" href="${secure}">${secure}</a><p>If the browser warns, the certificate is not trusted yet.</p></li>
</ol>
<p class="foot">It was made on this machine for this shop alone, and its key never leaves it. Take it off a phone that leaves the shop.</p>
<p class="foot">It vouches for addresses and names of a network of one’s own, for nothing on the internet. Without it a phone comes no further than this page.</p>`
    : `<p>${secure}</p>`;
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Pair a phone</title>
<style>${STYLE}</style></head>
<body><header><h1>Pair a phone</h1></header><main>${steps}</main></body></html>`;
}

/** The page stands by itself, since nothing of the application may be loaded before it is trusted: its tokens by hand. */
const STYLE = `:root{--ground:#e4e8e5;--sheet:#f8f9f6;--ink:#141c1e;--quiet:#4c575b;--rule:#bcc5c1;--work:#0b4b63;--on:#f8f9f6}
@media(prefers-color-scheme:dark){:root{--ground:#0f1416;--sheet:#182023;--ink:#e8ece8;--quiet:#a3afb1;--rule:#323c40;--work:#6cbad6;--on:#0f1416}}
*{box-sizing:border-box}body{margin:0;background:var(--ground);color:var(--ink);font:18px/1.4 "Archivo Variable",Archivo,"Arial Narrow",sans-serif}
header{border-bottom:1px solid var(--rule);padding:1rem}h1{margin:0;font-size:2rem;line-height:1.1}h2{margin:0 0 .5rem;font-size:1.5rem;line-height:1.2}
main{max-width:40rem;margin:0 auto;padding:1rem}.code{background:var(--sheet);border:1px solid var(--rule);border-radius:2px;padding:1rem;text-align:center}
.code svg{display:block;width:min(16rem,70vw);height:auto;margin:0 auto 1rem;background:#fff}.code p{margin:0}.address{font-family:monospace;font-size:1.05rem;overflow-wrap:anywhere}
ol{list-style:none;padding:0;margin:0;counter-reset:n}li{padding:1.25rem 0;border-bottom:1px solid var(--rule);counter-increment:n}li h2::before{content:counter(n) "  ";font-family:monospace}
p{margin:.5rem 0}.either{border-left:4px solid var(--rule);padding-left:.75rem}.foot{color:var(--quiet)}
.strap{position:relative;display:flex;align-items:center;justify-content:center;min-height:72px;padding:.5rem 2.75rem;background:var(--work);color:var(--on);font-size:1.1rem;font-weight:700;text-decoration:none;overflow-wrap:anywhere;text-align:center}
.strap::before,.strap::after{content:"";position:absolute;top:calc(50% - 8px);width:16px;height:16px;border-radius:50%;background:var(--ground)}.strap::before{left:16px}.strap::after{right:16px}
.strap:focus-visible{outline:3px solid var(--ink);outline-offset:3px}`;
