import { fingerprintInWords, isSealedAfter, sealText, standingOf, type KnownKey, type SealSeen } from './index.ts';

const key = (whose: KnownKey['whose'], shop: string | null = null): KnownKey => ({
  fingerprint: 'ab12'.repeat(16),
  whose,
  shop,
});
const seal = (seq: number, of: KnownKey): SealSeen => ({ seq, at: '2026-11-27T10:00:00.000Z', key: of });
const log = { holds: true, length: 20, broughtIn: 0, seals: [] as SealSeen[] };

test('a log made here: not sealed, sealed in part, sealed to its end', () => {
  expect(standingOf(log)).toMatchObject({ is: 'notSealed', upTo: 0, after: 20, verdict: { outcome: 'unknown' } });
  const inPart = standingOf({ ...log, seals: [seal(12, key('own')), seal(5, key('own'))] });
  expect(inPart).toMatchObject({ is: 'verifiedHere', upTo: 12, after: 8, verdict: { outcome: 'good' } });
  expect(inPart.text).toBe('Verified here, sealed by this shop. 8 entries came after the seal, from entry 13 on.');
  expect(standingOf({ ...log, seals: [seal(20, key('own'))] }).text).toContain('The seal covers all of it.');
  expect(standingOf({ ...log, seals: [seal(19, key('own'))] }).text).toContain('One entry came after the seal');
});

test('what does not hold is bad whatever seals stand on it', () => {
  const broken = standingOf({ ...log, holds: false, seals: [seal(20, key('own'))] });
  expect(broken).toMatchObject({ is: 'doesNotHold', upTo: 0, after: 20, verdict: { outcome: 'bad' } });
  expect(broken.text).not.toContain('covers');
});

test('what was brought in is spoken for by the seal it came with, never by ours on top', () => {
  const brought = { ...log, broughtIn: 12 };
  const later = seal(20, key('own'));
  expect(standingOf({ ...brought, seals: [seal(12, key('compared', 'Quay Street')), later] })).toMatchObject({
    is: 'broughtIn',
    text: 'Brought in, sealed by Quay Street. Sealed here up to entry 20. The seal covers all of it.',
  });
  expect(standingOf({ ...brought, seals: [seal(12, key('unknown')), later] })).toMatchObject({
    is: 'unknownKey',
    verdict: { outcome: 'unknown' },
  });
  const bare = standingOf({ ...brought, seals: [later] });
  expect(bare).toMatchObject({ is: 'notSealed', verdict: { outcome: 'unknown' } });
  expect(bare.text).toContain('12 entries came in without a seal, up to entry 12.');
});

test('a job of ours that went out and came back, with entries put behind its seal on the way, says which', () => {
  const standing = standingOf({ ...log, broughtIn: 15, seals: [seal(12, key('own')), seal(20, key('own'))] });
  expect(standing.is).toBe('verifiedHere');
  expect(standing.text).toContain('3 entries came in without a seal, up to entry 15.');
});

test('what is signed names the job and how far; gates and names under it are what is sealed', () => {
  const head = { seq: 4, hash: 'ab', at: '2026-11-27T10:00:00.000Z' };
  expect(JSON.parse(sealText('job-1', head))).toEqual(['iron-cradle seal', 1, 'job-1', 4, 'ab', head.at]);
  expect(['gate', 'signed', 'countersigned', 'reopened', 'note', 'gateItem'].map(isSealedAfter)).toEqual([
    true,
    true,
    true,
    true,
    false,
    false,
  ]);
  expect(fingerprintInWords('0123456789abcdef'.repeat(4))).toBe('0123 4567 89ab cdef 0123 4567 89ab cdef');
});
