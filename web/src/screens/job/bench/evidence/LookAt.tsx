import { causes, fuelCauses, pointWord, type FuelCause, type StreamPoint } from '@iron-cradle/core';
import { useJob } from '../../../../log/useJob.ts';
import { Shape } from '../../../../look/Shapes.tsx';
import { PhotoButton, Photos } from '../../Photos.tsx';

/** How to look, where it is not plain; common practice, no source. */
const how: Partial<Record<StreamPoint, string>> = {
  filterIn: 'Drained and cut open outdoors, over a tray: the pleats that the fuel meets first.',
  filterOut: 'The same filter: the pleats behind. Hold both against the light.',
  lines: 'From the engine end, caps off, into a can, until what comes is clean.',
  rail: 'The low-pressure side only. A high-pressure side is never cracked open.',
};

/** One place the fuel comes past: clean, or dirty and of what; one tap. */
export function LookAt({ at, onDone }: { at: StreamPoint; onDone: () => void }) {
  const { enter } = useJob();
  const say = async (is: 'clean' | 'dirty', what?: FuelCause) => {
    if (await enter('streamLooked', { at, is, ...(what ? { what } : {}) })) onDone();
  };
  // Screens are torn, swollen or blocked; that is no dirt of its own elsewhere.
  const dirt = fuelCauses.filter((cause) => (cause === 'screens') === (at === 'screen') || cause !== 'screens');
  return (
    <section aria-label={pointWord[at]} className="my-3 grid gap-3 border-l-4 border-ink pl-3">
      <p>
        <span className="narrow text-20">Looked {pointWord[at]}:</span> {how[at] ?? ''}
      </p>
      <div className="grid grid-cols-2 gap-3">
        <button type="button" className="btn" data-look="clean" onClick={() => void say('clean')}>
          <Shape outcome="good" size={20} /> clean
        </button>
        {dirt.map((cause) => (
          <button key={cause} type="button" className="btn" data-look={cause} onClick={() => void say('dirty', cause)}>
            {causes[cause].name}
          </button>
        ))}
        <button type="button" className="btn" data-look="dirty" onClick={() => void say('dirty')}>
          dirty, of what nobody knows
        </button>
        <PhotoButton about={`stream:${at}`} name={pointWord[at]} words />
      </div>
      <Photos about={`stream:${at}`} />
    </section>
  );
}
