import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';

/** A gateway as the protocol describes it, on loopback: ohms of a meter, and what a test wants it to do wrong. */
export interface Gateway {
  /** Where it answers. */
  address: string;
  /** What it was asked, in order. */
  asked: string[];
  /** Ends its running streams in the middle. */
  cut: () => void;
  stop: () => Promise<void>;
}

interface Wrong {
  /** Its last reading comes so much later, ms: a gauge that stands still says nothing. */
  silent?: number;
  /** Answers everything with a redirect to here. */
  redirect?: string;
  /** Says this instead of its list. */
  list?: string;
}

/** Opens one. @example const meter = await openGateway() */
export async function openGateway({ redirect, list, silent }: Wrong = {}): Promise<Gateway> {
  const asked: string[] = [];
  const streams = new Set<{ destroy: () => void }>();
  const server: Server = createServer((request, response) => {
    asked.push(request.url ?? '');
    const path = (request.url ?? '').split('?')[0];
    if (redirect) return void response.writeHead(302, { Location: redirect }).end();
    if (path === '/instruments')
      return void response
        .writeHead(200, { 'Content-Type': 'application/jsonl' })
        .end(
          list ??
            '{"kind":"multimeter","channel":"ohms","unit":"Ω"}\n{"kind":"tankGauge","channel":"hold","unit":"kPa"}\n',
        );
    if (path === '/read')
      return void response.writeHead(200).end(JSON.stringify({ value: 62.4, unit: 'Ω', at: 1_700_000_000_000 }));
    if (path === '/stream') {
      response.writeHead(200, { 'Content-Type': 'text/event-stream' });
      streams.add(response);
      [80, 61.5, null].forEach((value, i) =>
        setTimeout(
          () => response.write(`data: ${JSON.stringify({ value, unit: 'Ω', at: 1000 + i })}\n\n`),
          20 * i + (silent && i === 2 ? silent : 0),
        ),
      );
      return;
    }
    response.writeHead(404).end();
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    asked,
    cut: () => streams.forEach((one) => one.destroy()),
    stop: async () => {
      streams.forEach((one) => one.destroy());
      await new Promise((resolve) => server.close(resolve));
    },
  };
}
