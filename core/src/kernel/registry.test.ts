import type { RawEntry } from './entry.ts';
import { defineKind, type Kind } from './kind.ts';
import { readAs, registryOf, UnknownEntry } from './registry.ts';

/** An invented kind that was written in two versions before: `{ word }`, then `{ words }`, now `{ words, loud }`. */
class ShoutBody {
  words!: string[];
  loud!: boolean;
}
const shout = defineKind<'shout', ShoutBody, object>({
  kind: 'shout',
  version: 3,
  Body: ShoutBody,
  migrate: {
    1: (body) => ({ words: [(body as { word: string }).word] }),
    2: (body) => ({ ...body, loud: false }),
  },
  touches: () => ({ reads: [], writes: [] }),
  words: ({ words }) => words.join(' '),
  arbitrary: (f) => f.constant({ words: ['hey'], loud: true }),
}) as Kind;
const registry = registryOf([shout]);
const entry = (version: number, body: object, kind = 'shout'): RawEntry => ({
  id: 'e1',
  jobId: 'job',
  version,
  kind,
  body,
  by: 'ines',
  device: 'd',
  n: 1,
  at: '2026-01-05T08:00:00.000Z',
  on: null,
});

describe('a body of an earlier version', () => {
  test.each([
    [1, { word: 'stop' }, { words: ['stop'], loud: false }],
    [2, { words: ['stop', 'now'] }, { words: ['stop', 'now'], loud: false }],
    [3, { words: ['stop'], loud: true }, { words: ['stop'], loud: true }],
  ])('version %d is read as the present one', (version, body, now) => {
    const before = JSON.stringify(body);
    const read = readAs(registry, entry(version, body));
    expect(read.entry).toMatchObject({ id: 'e1', version: 3, body: now });
    expect(JSON.stringify(body)).toBe(before);
  });

  test('one of the future, of no migration, or of no kind stops the reading and says which', () => {
    expect(() => readAs(registry, entry(4, {}))).toThrow(UnknownEntry);
    expect(() => readAs(registry, entry(0, {}))).toThrow(/shout 0/);
    expect(() => readAs(registry, entry(1, {}, 'whisper'))).toThrow(/whisper 1.*reload/);
  });

  test('two kinds of one name are no registry', () => {
    expect(() => registryOf([shout, shout])).toThrow(/one name/);
  });
});
