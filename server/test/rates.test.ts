import express from 'express';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { problems } from '../src/http/problem.ts';
import { guesses, RATES } from '../src/http/rates.ts';

test('guesses from one address end in a pause; right answers are not counted', async () => {
  const app = express();
  app.post(
    '/session',
    guesses(RATES),
    (request, response) => void response.status(request.query.right ? 201 : 401).end(),
  );
  app.use(problems);
  const server = createServer(app).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}/session`;
  const guess = async (right = '') => (await fetch(`${url}${right}`, { method: 'POST' })).status;
  try {
    for (let i = 0; i < 80; i++) expect(await guess('?right=1')).toBe(201);
    for (let i = 0; i < 60; i++) expect(await guess()).toBe(401);
    const last = await fetch(url, { method: 'POST' });
    expect(last.status).toBe(429);
    expect(last.headers.get('retry-after')).toMatch(/^\d+$/);
    expect(await last.json()).toMatchObject({ status: 429, title: 'Wait a moment' });
  } finally {
    server.close();
  }
});
