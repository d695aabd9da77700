import {
  basisInWords,
  bindings,
  estimateOf,
  nameOf,
  OPEN_REACH,
  type Range,
  type Way,
  waysOff,
  mm,
  rounded,
} from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../log/useJob.ts';
import { Sheet } from '../../ui/Sheet.tsx';
import { CutSheet } from './CutSheet.tsx';
import { Measured } from './Measured.tsx';
import { PhotoButton, Photos } from './Photos.tsx';
import { Words } from '../../ui/Words.tsx';

/** What is known of a line or of something in the way: room, where it parts, clips, and where each figure comes from. */
export function LineFacts({ about }: { about: string }) {
  const { state } = useJob();
  const { vehicle } = state;
  const line = vehicle.connections.find((c) => `line:${c.id}` === about);
  const thing = vehicle.obstructions.find((o) => `obstruction:${o.id}` === about);
  const clip = vehicle.connections.flatMap((c) => c.clips).find((k) => `clip:${k.id}` === about);
  const support = vehicle.supports.find((s) => `support:${s.id}` === about);
  const limit = line ? state.slack[line.id] : thing?.blocksAt ? estimateOf(vehicle, thing.blocksAt) : undefined;
  const ways = line?.part ?? thing?.clear ?? clip?.ways ?? (support ? waysOff(support) : []);
  return (
    <div className="grid gap-2">
      {limit && (
        <p>
          {line ? 'Pulls tight' : 'In the way'} <Words of={[rounded(mm, limit, 1)]} /> below home:{' '}
          <span className="text-quiet">{basisInWords(limit.basis)}.</span>
        </p>
      )}
      {clip && <p>Off, its line lets {span(clip.slack)} mm.</p>}
      <ul className="ruled" aria-label={line ? 'where it parts' : thing ? 'how it is cleared' : 'how it comes off'}>
        {ways.map((way) => (
          <WayRow key={way.id} way={way} />
        ))}
        {line?.clips.map((clip) => (
          <li key={clip.id} className="py-1.5">
            {clip.name ?? 'a clip'} off: lets {span(clip.slack)} mm
          </li>
        ))}
      </ul>
    </div>
  );
}

function WayRow({ way }: { way: Way }) {
  return (
    <li className="py-1.5">
      From {way.from}, reached from {span(way.reachFrom)}
      {way.reachTo.lo >= OPEN_REACH ? '' : ` to ${span(way.reachTo)}`} mm; {span(way.minutes)} min
      {way.people > 1 ? ', two people' : ''}
      {way.hands > 1 ? ', two hands' : ''}
      {way.tools.length > 0 ? `; ${way.tools.join(', ')}` : ''}
      {way.after.length > 0 ? `; only after ${way.after.join(', ')}` : ''}
    </li>
  );
}

const span = ({ lo, hi }: Range): string => (lo === hi ? String(lo) : `${lo}–${hi}`);

/** The same as a sheet of its own, for a line that was tapped in the drawing. */
export function LineSheet({ about, onClose }: { about: string | null; onClose: () => void }) {
  const { state } = useJob();
  const [cutting, setCutting] = useState(false);
  const name = about === null ? '' : nameOf(state, about);
  const holds = !state.out && !state.signed && bindings(state).some(({ key }) => key === about);
  return (
    <Sheet open={about !== null} onClose={onClose} title={name}>
      {about && (
        <>
          <LineFacts about={about} />
          <Photos about={about} />
          <div className="grid gap-3 pt-3">
            {holds && <Measured key={about} about={about} onKept={onClose} />}
            <PhotoButton about={about} name={name} words />
            {!state.out && (
              <button type="button" className="btn" data-action="must-cut" onClick={() => setCutting(true)}>
                It has to be cut
              </button>
            )}
          </div>
          <CutSheet about={about} open={cutting} onClose={() => setCutting(false)} />
        </>
      )}
    </Sheet>
  );
}
