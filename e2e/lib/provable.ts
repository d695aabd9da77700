import { archetypes, exactly, type VehicleFile } from '@iron-cradle/core';
import { Story } from '../../server/src/demo/story.ts';
import type { Person } from './browser.ts';

const rail = archetypes.find(({ mounting }) => mounting === 'rail')!;

/** Along the rail, 80 L to the litre, an older sender: 20 ohms empty, 80 full. */
export const railOf80: VehicleFile = {
  ...rail,
  id: 'van-of-80',
  name: 'Van of 80 L',
  tank: { ...rail.tank, litres: exactly(80), unusable: exactly(3) },
  sender: { emptyOhms: { lo: 19, typ: 20, hi: 21 }, fullOhms: { lo: 78, typ: 80, hi: 82 } },
  fuelSystem: { pump: 'electricHigh', place: 'tank', engine: { bar: exactly(3.5) } },
};

/** A job that came home, its straps at their torque, nothing looked at yet: told entry by entry and handed to the server. */
export async function homeAgain(person: Person, jobId: string): Promise<void> {
  const story = new Story(jobId, new Date(Date.now() - 4 * 3_600_000))
    .log('opened', { name: 'Van 6', complaint: 'hose', vehicle: railOf80, gauge: 0.25 })
    .log('complaintTest', { test: 'smell and look along every hose', result: 'shown' })
    .safe()
    .drainTo([17])
    .down()
    .gate(3, { tests: 'none', seal: 'closed' })
    .up();
  for (const { key } of story.state.items.filter(({ kind }) => kind === 'support'))
    story.log('torque', { key, asWritten: '41 N·m', lo: 41, hi: 41 });
  const problem = await person.page.evaluate(
    async (id, entries: { device: string }[]) => {
      const post = (path: string, body: object) =>
        fetch(`/api${path}`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify(body),
        });
      const { token } = (await (await post('/session/token', { device: entries[0]!.device })).json()) as {
        token: string;
      };
      const response = await post(`/jobs/${id}/entries`, { entries, tokens: entries.map(() => token) });
      const text = await response.text();
      return response.ok && text.includes('"keptBack":[]') ? null : text;
    },
    jobId,
    story.entries as never,
  );
  if (problem) throw new Error(`the job was not taken: ${problem}`);
}
