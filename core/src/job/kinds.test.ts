import fc from 'fast-check';
import type { Kind } from '../kernel/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { kinds } from './kinds.ts';
import { checkBody, entryInWords, foldJob, logWriter } from './index.ts';
import { slices } from './slices.ts';
import { jobAt } from './testing.ts';

const all = kinds as readonly Kind[];
const stamp = { id: 'e0', by: 'ines', at: '2026-01-05T08:00:00.000Z' };
const opened = { name: 'Van', complaint: 'pump', vehicle: archetypes[0]!, gauge: 0.5 } as const;

test('no two slices hold a field of one name, so that none can write another’s', () => {
  const fields = slices.flatMap((slice) => Object.keys(slice.start(opened as never, stamp)));
  expect(fields.filter((field, i) => fields.indexOf(field) !== i)).toEqual([]);
  const kept = Object.keys(foldJob(null, [logWriter('job')('opened', opened)])!);
  expect(kept).toEqual(expect.arrayContaining(fields));
});

test.each(all.map((kind) => [kind.kind, kind] as const))('%s goes through text and back, and has words', (_, kind) => {
  const job = jobAt();
  fc.assert(
    fc.property(kind.arbitrary(fc), (body: object) => {
      if (kind.kind === 'takeBack') return;
      const checked = checkBody(kind.kind, body);
      expect(checkBody(kind.kind, JSON.parse(JSON.stringify(checked)))).toEqual(checked);
      const words = entryInWords(job.state, { ...job.entries[0]!, kind: kind.kind, body: checked } as never);
      expect(words.length).toBeGreaterThan(2);
      const { reads, writes } = kind.touches(checked, 'e9');
      for (const key of [...reads, ...writes]) expect(key).toMatch(/^[\w:/ .@-]+$/);
    }),
    { numRuns: 40 },
  );
});
