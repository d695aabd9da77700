import { begin, line, vehicle } from '../stops/testing.ts';
import { answerOf } from '../questions/index.ts';
import { r } from '../vehicle/testing.ts';
import { tapeAt, tapeAtHome, TAPE } from './index.ts';

describe('heights as a tape reads them from the floor', () => {
  test('read once at any height, known at every other, each end by itself', () => {
    const job = begin(vehicle([line('a', { slack: r(200), reach: r(0) })]));
    expect(tapeAt(job.state, { f: 0, r: 0 })).toEqual({ f: null, r: null });
    job.log('moved', { to: { f: 40, r: 20 } });
    // 612 with the front end 40 down is 652 at home; 600 with the rear end 20 down is 620.
    job.log('answer', answerOf(TAPE, tapeAtHome(job.state, 'f', 612), 'f'));
    job.log('answer', answerOf(TAPE, tapeAtHome(job.state, 'r', 600), 'r'));
    expect(tapeAt(job.state, job.state.pose)).toEqual({ f: 612, r: 600 });
    expect(tapeAt(job.state, { f: 0, r: 0 })).toEqual({ f: 652, r: 620 });
    expect(tapeAt(job.state, { f: 100, r: 75 })).toEqual({ f: 552, r: 545 });
  });

  test('lower than the floor there is nothing to read', () => {
    expect(tapeAt({ answers: { 'tape/f': 250 } }, { f: 300, r: 0 })).toEqual({ f: null, r: null });
  });

  test.each([0, 49, 3001, NaN])('%p is no reading under a car', (reading) => {
    expect(() => tapeAtHome({ pose: { f: 0, r: 0 } }, 'f', reading)).toThrow(/50 to 3000 mm/);
  });
});
