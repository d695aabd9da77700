import 'reflect-metadata';
import { IsArray, IsBoolean, IsString } from 'class-validator';
import { InputError } from '../errors/index.ts';
import type { RawEntry } from './entry.ts';
import { fold } from './fold.ts';
import { defineKind, type Kind } from './kind.ts';
import { checkBodyIn } from './log.ts';
import { readAs, registryOf, UnknownEntry } from './registry.ts';

/** An invented kind that was written in two versions before: `{ word }`, then `{ words }`, now `{ words, loud }`. */
class ShoutBody {
  @IsArray()
  @IsString({ each: true })
  words!: string[];
  @IsBoolean()
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

  test('is checked as it reads now and stays as it was written', () => {
    const check = (version: number, body: unknown) => checkBodyIn({ registry }, { kind: 'shout', version, body });
    const old = { word: 'stop' };
    expect(check(1, old)).toBe(old);
    expect(check(2, { words: ['stop'] })).toEqual({ words: ['stop'] });
    expect(check(3, { words: ['stop'], loud: true })).toEqual({ words: ['stop'], loud: true });
    // As it reads now it is none: no word, one that is no text, no body at all.
    for (const [version, body] of [
      [1, {}],
      [2, { words: [7] }],
      [2, null],
      [1, 'stop'],
      [2, ['stop']],
      [3, { words: ['stop'] }],
    ] as const)
      expect(() => check(version, body)).toThrow(InputError);
    for (const version of [0, 4, 1.5, NaN]) expect(() => check(version, old)).toThrow(/version 1 to 3 of this kind/);
  });

  test('takes effect as it reads now, and it is said in which version it was written', () => {
    const seen: unknown[] = [];
    const opened = { ...shout, kind: 'opened' } as Kind;
    const heard = {
      ...shout,
      apply: (_: object, body: object, { moment }: { moment: { written: number } }) =>
        void seen.push([moment.written, body]),
    } as Kind;
    const later = (version: number, body: object, n: number) => ({ ...entry(version, body), id: `e${n}`, n });
    fold({ registry: registryOf([opened, heard]), slices: [] }, null, [
      entry(3, { words: [], loud: false }, 'opened'),
      later(1, { word: 'stop' }, 2),
      later(3, { words: ['now'], loud: true }, 3),
    ]);
    expect(seen).toEqual([
      [1, { words: ['stop'], loud: false }],
      [3, { words: ['now'], loud: true }],
    ]);
  });

  test('two kinds of one name are no registry', () => {
    expect(() => registryOf([shout, shout])).toThrow(/one name/);
  });
});
