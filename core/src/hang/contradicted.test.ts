import { inWords } from '../quantity/index.ts';
import { at, begin, line, vehicle } from '../stops/testing.ts';
import { r } from '../vehicle/testing.ts';

/** Measured to let 40 mm, and crept to 50 without coming taut (common practice, no source: measure it again). */
function past() {
  const job = begin(
    vehicle([line('a', { slack: r(40, 60, 90), reach: r(20) }), line('b', { slack: r(200), reach: r(20) })]),
  );
  job.log('stopDone', at(25));
  job.log('answer', { question: 'slack', of: 'a', value: 40 });
  expect(job.state.contradicted).toEqual([]);
  job.log('crept', at(50));
  return job;
}
const lines = ({ state }: ReturnType<typeof past>) => state.contradicted.map((one) => one.line);

describe('a line that let more than it was measured to', () => {
  test('is said once, however often it is passed', () => {
    const job = past();
    expect(job.state.contradicted.map((one) => inWords(one.words))).toEqual([
      expect.stringMatching(/ let 50 mm without coming taut, and was measured at 40 mm: measure it again$/),
    ]);
    job.log('crept', at(60));
    job.log('crept', at(70));
    expect(lines(job)).toEqual(['a']);
  });
  test('until it is measured, felt, freed or parted; what is done to another line answers nothing', () => {
    const answers: [kind: string, body: object][] = [
      ['answer', { question: 'slack', of: 'a', value: 80 }],
      ['crept', { ...at(60), taut: 'line:a' }],
      ['surprise', { what: 'holds', key: 'line:a', lets: 60 }],
      ['surprise', { what: 'freed', key: 'line:a', more: 30 }],
      ['stopDone', at(50, ['line:a'])],
    ];
    for (const [kind, body] of answers) {
      const job = past();
      job.log('answer', { question: 'slack', of: 'b', value: 150 });
      job.log('stopDone', at(50, ['line:b']));
      expect(lines(job)).toEqual(['a']);
      job.log(kind as 'answer', body as never);
      expect([kind, lines(job)]).toEqual([kind, []]);
    }
  });
});
