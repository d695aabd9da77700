import { driverSees, driverStands, driverWord, type DriverSees } from '@iron-cradle/core';
import { useState } from 'react';
import { NeedleDial } from '../../../../drawings/needle/NeedleDial.tsx';
import { useJob } from '../../../../log/useJob.ts';
import { Shape } from '../../../../look/Shapes.tsx';
import { Slide } from '../../../../ui/Slide.tsx';
import { useWords } from '../../../../ui/Words.tsx';

/** What the driver saw of the gauge, held against what was found: a sender may be bad and still not be the complaint. */
export function DriverWord() {
  const { state, enter } = useJob();
  const words = useWords();
  const [open, setOpen] = useState(false);
  const [where, setWhere] = useState<number | null>(null);
  const stands = driverStands(state);
  const say = async (saw: DriverSees, at?: number) => {
    if (!(await enter('driverSaw', { saw, ...(at === undefined ? {} : { where: at }) }))) return;
    setOpen(false);
    setWhere(null);
  };
  if (!open)
    return (
      <button
        type="button"
        className="btn justify-start text-left"
        data-action="driver"
        data-outcome={stands?.outcome ?? 'none'}
        onClick={() => setOpen(true)}
      >
        {stands ? (
          <>
            <Shape outcome={stands.outcome} size={24} />
            <span className="py-2 leading-tight">
              {words(stands.reasons[0]!.text)}
              {stands.next[0] && <span className="block font-normal text-quiet">{words(stands.next[0])}</span>}
            </span>
          </>
        ) : (
          'What did the driver see?'
        )}
      </button>
    );
  return (
    <section aria-label="what the driver saw" className="grid gap-3 border-y border-rule py-4">
      <p className="text-quiet">The gauge, as the driver tells it</p>
      {where === null ? (
        driverSees.map((saw) => (
          <button
            key={saw}
            type="button"
            className="btn justify-start text-left"
            data-driver={saw}
            onClick={() => (saw === 'jumps' ? setWhere(0.5) : void say(saw))}
          >
            {driverWord[saw]}
          </button>
        ))
      ) : (
        <>
          <NeedleDial
            marks={[0.25, 0.5, 0.75].map((needle) => ({ needle, text: '' }))}
            lamp={null}
            needle={where}
            label="the gauge of the dash"
          />
          <Slide
            label="where the needle was"
            said={`${where * 8} eighths`}
            min={0}
            max={1}
            step={0.125}
            value={where}
            onSlide={setWhere}
          />
          <button type="button" className="btn" data-action="driver-where" onClick={() => void say('jumps', where)}>
            There it jumps
          </button>
        </>
      )}
      <button type="button" className="btn" onClick={() => (where === null ? setOpen(false) : setWhere(null))}>
        {where === null ? 'Not asked' : 'Something else'}
      </button>
    </section>
  );
}
