import { Router } from 'express';
import { toString as qrCode } from 'qrcode';
import { inLink, lanAddresses } from './addresses.ts';

interface Pairing {
  /** PEM of the shop's own authority. */
  ca: string;
  httpPort: () => number;
  httpsPort: () => number;
}

/** The page a phone opens first: what to trust, how, and where to go then. Reached over plain http, since nothing is trusted yet. */
export function pairingRoutes({ ca, httpPort, httpsPort }: Pairing): Router {
  const routes = Router();
  routes.get('/pair/authority.crt', (_request, response) => {
    response.set('Content-Disposition', 'attachment; filename="iron-cradle-authority.crt"');
    response.type('application/x-x509-ca-cert').send(ca);
  });
  routes.get('/pair', async (request, response) => {
    const [first] = lanAddresses();
    // A phone that is here already goes on under the name it came by.
    const here = request.hostname && !/^(localhost|127\.)/.test(request.hostname) ? request.hostname : first;
    if (!here) return void response.type('html').send(page('This machine has no address on a network yet.', ''));
    const plain = `http://${inLink(here)}:${httpPort()}/pair`;
    const secure = `https://${inLink(here)}:${httpsPort()}/`;
    const svg = await qrCode(plain, { type: 'svg', margin: 1, errorCorrectionLevel: 'M' });
    response.type('html').send(page(secure, svg, plain));
  });
  return routes;
}

function page(secure: string, svg: string, plain = ''): string {
  const steps = plain
    ? `<div class="code" role="img" aria-label="code with the address ${plain}">${svg}</div>
<p class="address">${plain}</p>
<ol>
<li>On the same network, scan the code with the phone, or type the address.</li>
<li><a class="btn" href="/pair/authority.crt">Take the shop’s certificate</a></li>
<li>Trust it: open the file. Phones ask for it under security, “install a certificate, authority”; or as a profile, installed first and then switched on under “certificate trust settings”.</li>
<li><a class="btn" href="${secure}">Go on to ${secure}</a> If the browser warns, the certificate is not trusted yet.</li>
</ol>
<p>It was made on this machine for this shop alone, and its key never leaves it. Take it off a phone that leaves the shop.</p>
<p>Without it everything can be done over plain http too, but: after a reload the page needs the server, the screen may go dark, there is no live camera, and two tabs on one device wait for one another.</p>`
    : `<p>${secure}</p>`;
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Pair a phone</title>
<style>body{font:18px/1.4 sans-serif;max-width:40rem;margin:0 auto;padding:1.5rem;background:#e4e8e5;color:#141c1e}h1{font-size:2rem}.code svg{width:min(18rem,80vw);height:auto;background:#fff}.address{font-family:monospace;font-size:1.2rem;overflow-wrap:anywhere}li{margin:1rem 0}.btn{display:inline-block;padding:1rem 1.25rem;border:2px solid #141c1e;background:#f8f9f6;color:#0b4b63;font-weight:700}</style></head>
<body><h1>Pair a phone</h1>${steps}</body></html>`;
}
