import { backInWords, lengthIn, lengthText, owed, splitKey, travelWords } from '@iron-cradle/core';
import { format } from 'date-fns';
import { useState } from 'react';
import { useMainUnit } from '../../app/units.ts';
import { useJob } from '../../log/useJob.ts';
import { Tag } from '../../look/Tag.tsx';
import { useNames } from '../../net/queries.ts';
import { Sheet } from '../../ui/Sheet.tsx';
import { PhotoButton, Photos } from './Photos.tsx';
import { DeviationForm } from './DeviationForm.tsx';

const stateWords = {
  open: 'open',
  closed: 'back in its place',
  deferred: 'put off',
  loose: 'loose on purpose',
  deviation: 'left off, with a reason',
  scrapped: 'scrapped',
};

/** One tag: what it is, where it came off, when it goes back, and what can be done about it. */
export function TagSheet({ item: key, onClose }: { item: string | null; onClose: () => void }) {
  const { state, enter } = useJob();
  const name = useNames();
  const units = useMainUnit();
  const [leaving, setLeaving] = useState(false);
  const item = state.items.find((i) => i.key === key);
  const debt = owed(state).find((d) => d.key === key && d.id.startsWith('open:'));
  const close = () => (setLeaving(false), onClose());
  const back = async () => {
    if (!item) return;
    const kind = splitKey(item.key).kind;
    if (kind === 'line') {
      if (!(await enter('made', { key: item.key, ...(item.way ? { way: item.way } : {}) }))) return;
    } else if (kind === 'thing' || kind === 'loose') await enter('takenOut', { key: item.key });
    else {
      if (!(await enter('restored', { key: item.key, ...(item.way ? { way: item.way } : {}) }))) return;
    }
    close();
  };
  const open = item && item.state !== 'closed' && item.state !== 'deviation' && !state.signed;
  return (
    <Sheet open={item !== undefined} onClose={close} title={item?.name ?? ''}>
      {item && (
        <>
          <div className="flex items-center gap-4 pb-4">
            <Tag number={item.tag} open={item.state !== 'closed'} />
            <p>
              {stateWords[item.state]}
              {item.note ? `: ${item.note}` : ''}
              {item.capped ? ', both ends capped' : ''}
            </p>
          </div>
          <p className="pb-4 text-quiet">
            Came off at {lengthText(item.offAt, units)}, {format(new Date(item.offTime), 'H:mm')}, {name(item.offBy)}.
            Goes back: {backInWords(item.back, units)}
            {'drop' in item.back
              ? ` ${lengthIn(0, units).unit}; ${travelWords(state.vehicle).nearer} than that no hand gets there`
              : ''}
            .
          </p>
          <Photos about={item.key} />
          <div className="pb-3">
            <PhotoButton about={item.key} name={item.name} words />
          </div>
          {open && !leaving && (
            <div className="grid gap-3 mid:grid-cols-3">
              <button type="button" className="btn" onClick={() => void back()}>
                {item.kind === 'thing' ? 'It is out' : 'It is back now'}
              </button>
              <button
                type="button"
                className="btn"
                onClick={() => void enter('deferred', { key: item.key, until: 'the tank is home' }).then(close)}
              >
                Put off until home
              </button>
              <button type="button" className="btn" onClick={() => setLeaving(true)}>
                Left off, with a reason
              </button>
            </div>
          )}
          {leaving && debt && <DeviationForm debt={debt} onDone={close} />}
        </>
      )}
    </Sheet>
  );
}
