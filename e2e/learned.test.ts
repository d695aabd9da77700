import { atWork } from './lib/atWork.ts';
import { phone } from './lib/browser.ts';

/** What jobs before taught a vehicle is there for the next one who opens it: to be looked at, never a limit. */
const work = atWork(phone);

test('minutes of those who were on it stand in the call, the length of a hose beside its drawing', async () => {
  const { ines } = work;
  const kept = await ines.page.evaluate(async () => {
    const all = (await (await fetch('/api/vehicles')).json()) as {
      id: string;
      seen: object;
    }[];
    const van = all.find(({ id }) => id === 'van-4')!;
    van.seen = {
      'worked lift': [145, 160],
      'by lift ines': [100, 160],
      'hose breather': [420],
    };
    const headers = { 'Content-Type': 'application/json' };
    return (await fetch('/api/vehicles/van-4', { method: 'PUT', headers, body: JSON.stringify(van) })).status;
  });
  expect(kept).toBeLessThan(300);
  await ines.go('/next');
  await ines.tapText('Van 4');
  await ines.tapText('Pump');
  await ines.tapText('Gauge lies');
  await ines.tapText('The call');
  await ines.sees('145–160 min on the lift on 2 jobs before');
  await ines.tap('button[aria-label="why: It took before"]');
  await ines.sees('Ines, on the lift: 100–160 min on 2 jobs before');
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
  const job = `/jobs/${ines.jobId()}`;
  await ines.go(`${job}/bench?hoses=line:breather`);
  await ines.sees('On this vehicle: 420 mm long on the job before');
});
