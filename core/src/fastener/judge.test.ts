import { checkBody } from '../job/index.ts';
import { inWords } from '../quantity/index.ts';
import { judgeTorque } from './index.ts';

const file = { lo: 38, typ: 40, hi: 44 };
const pulled = (nm: number, more: object = {}) => ({ asWritten: `${nm} N·m`, lo: nm, hi: nm, ...more });

describe('a torque beside the file', () => {
  test.each([
    [40, 'good'],
    [30, 'bad'],
  ])('%d N·m against 38–44: %s', (nm, outcome) => {
    expect(judgeTorque(pulled(nm), file).outcome).toBe(outcome);
  });
  test('the file means a dry thread: with anti-seize the same pull comes at two thirds', () => {
    // 38–44 by 0.13/0.20: 24.7–28.6.
    expect(judgeTorque(pulled(26, { lubricant: 'antiSeize' }), file).outcome).toBe('good');
    expect(judgeTorque(pulled(40, { lubricant: 'antiSeize' }), file).outcome).toBe('bad');
    expect(judgeTorque(pulled(40, { lubricant: 'dry' }), file).outcome).toBe('good');
  });
  test('what it does to the bolt stands beside it; the file’s figure counts', () => {
    const bolt = { thread: 'M8 × 1.25', grade: '8.8', lubricant: 'dry' };
    const judged = judgeTorque(pulled(40, bolt), file);
    // 40 N·m on M8 8.8: 25 kN at the middle of K, 21.2 proof; at the dry end of K it is still under.
    expect(judged.outcome).toBe('good');
    expect(judged.reasons.map(({ text }) => inWords(text))).toContain(
      'at the slippery end of its spread it may go past proof',
    );
    expect(judgeTorque(pulled(40, { ...bolt, lubricant: 'highLocker' }), file).outcome).toBe('bad');
  });
  test('off its old marks a torque that is right is doubtful; on them, or with none to be seen, it is what it is', () => {
    const off = judgeTorque(pulled(40, { lies: 'off' }), file);
    expect(off.outcome).toBe('doubtful');
    expect(off.next[0]).toMatch(/shift it until dirt lines and old prints meet/);
    expect(judgeTorque(pulled(40, { lies: 'marks' }), file).outcome).toBe('good');
    expect(judgeTorque(pulled(40, { lies: 'none', strap: 'shaped' }), file)).toEqual(judgeTorque(pulled(40), file));
    expect(judgeTorque(pulled(30, { lies: 'marks' }), file).outcome).toBe('bad');
  });
  test('a strap that came straight is said beside its torque', () => {
    expect(judgeTorque(pulled(40, { strap: 'straight' }), file).reasons.map(({ text }) => text)).toContain(
      'a strap that came straight: started by hand, then bent',
    );
  });
  test('no figure: no number, but snug, even, and it stands', () => {
    const seen = ['snug', 'pads', 'threads', 'stands'] as const;
    expect(judgeTorque({ asWritten: 'snug', snug: [...seen] }, null).outcome).toBe('good');
    const judged = judgeTorque({ asWritten: 'snug', snug: ['snug', 'pads'] }, null);
    expect(judged.outcome).toBe('doubtful');
    expect(judged.reasons[0]!.text).toBe('not said: as much thread shows on each, the tank does not shift');
    expect(judgeTorque(pulled(40), null).outcome).toBe('unknown');
    // Where the file has a figure, snug is none.
    expect(judgeTorque({ asWritten: 'snug', snug: [...seen] }, file).outcome).toBe('unknown');
  });
  test.each([
    [{ lubricant: 'butter' }, 'lubricant'],
    [{ thread: 'NPT 1/4-18' }, 'thread'],
    [{ grade: '7.7' }, 'grade'],
    [{ snug: ['tight'] }, 'snug'],
  ])('%j is refused with its field', (more, field) => {
    expect(() => checkBody('torque', { key: 'support:strap-1', asWritten: '40 N·m', ...more })).toThrow(field);
  });
});
