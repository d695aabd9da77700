import {
  descended,
  evidenceBegun,
  judgePart,
  judgeReach,
  placesOf,
  sparkActs,
  sparkOf,
  streamOf,
  unanswered,
  unitOf,
  type ConditionPlace,
  type UnitPart,
} from '@iron-cradle/core';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useJob } from '../../../log/useJob.ts';
import { useNow } from '../../../ui/useNow.ts';
import { useWords } from '../../../ui/Words.tsx';
import { FitRow } from '../fit/FitRow.tsx';
import { TankLayout } from '../tank/TankLayout.tsx';
import { BenchRow } from './BenchRow.tsx';
import { Condition } from './condition/Condition.tsx';
import { OtherFindings } from './condition/OtherFindings.tsx';
import { PlacePanel } from './condition/PlacePanel.tsx';
import { SparkPanel } from './condition/SparkPanel.tsx';
import { StreamPanel } from './evidence/StreamPanel.tsx';
import { HoldRow } from './hold/HoldRow.tsx';
import { HoldScreen } from './hold/HoldScreen.tsx';
import { PartPanel } from './PartPanel.tsx';
import { PutInTank } from './PutInTank.tsx';
import { Ring } from './Ring.tsx';
import { UnitApart } from './UnitApart.tsx';
import { VacuumRow } from './vacuum/VacuumRow.tsx';

/** What is in hand beside the drawings. */
type Hand = { part: UnitPart } | { place: ConditionPlace } | 'spark' | 'stream' | null;

/** Bench: the unit apart, the tank opened, what is tried before it goes up; then gate 3 and the ring. */
export default function Bench() {
  const { jobId, state } = useJob();
  const navigate = useNavigate();
  const [hand, setHand] = useState<Hand>(null);
  const [search, setSearch] = useSearchParams();
  const part = hand && typeof hand === 'object' && 'part' in hand ? hand.part : null;
  const at = hand && typeof hand === 'object' && 'place' in hand ? hand.place : null;
  const backTo = (selector: string) => () => {
    // Where the hand left: on a phone the drawing is out of sight by now.
    document.querySelector<HTMLElement>(selector)?.focus();
    setHand(null);
  };
  const place = placesOf(state.vehicle).find(({ id }) => id === at);
  const unitFirst = unitOf(state.vehicle).parts.some((one) => {
    const { outcome } = judgePart(state, one);
    return outcome === 'bad' || outcome === 'unknown';
  });
  if (search.has('hold')) return <HoldScreen onDone={() => setSearch({})} />;
  return (
    <TankLayout
      station="bench"
      page
      stage={() => (
        <div className="h-full overflow-y-auto p-4 mid:p-6">
          <h1 className="pb-4 text-32">{state.out ? 'On the bench' : 'Part-way, at its top'}</h1>
          <UnitApart chosen={part?.id ?? null} onChoose={(one) => setHand({ part: one })} />
          <div className="pt-8" />
          <Condition chosen={at} waits={unitFirst} onChoose={(id) => setHand({ place: id })} />
          <OtherFindings />
          <div className="pt-6" />
          <FitRow />
          <VacuumRow />
          {state.out && <HoldRow onHold={() => setSearch({ hold: '' })} />}
          <StreamRow onStream={() => setHand('stream')} />
          <SparkRow onSpark={() => setHand('spark')} />
          <OwnerRow onOwner={() => void navigate(`/jobs/${jobId}/owner`)} />
          <PutInTank />
        </div>
      )}
      now={
        part ? (
          <PartPanel key={part.id} part={part} onDone={backTo(`[data-part-of-unit="${part.id}"]`)} />
        ) : place ? (
          <PlacePanel key={place.id} place={place} onDone={backTo(`[data-place="${place.id}"]`)} />
        ) : hand === 'stream' ? (
          <StreamPanel onDone={backTo('[data-action="stream"]')} />
        ) : hand === 'spark' ? (
          <SparkPanel onDone={backTo('[data-action="spark"]')} />
        ) : descended(state) ? (
          <Ring onUp={() => void navigate(`/jobs/${jobId}/refit`)} />
        ) : (
          <p className="p-4 text-quiet">Gate 3 stands here once the tank is off the vehicle.</p>
        )
      }
    />
  );
}

/** Bad fuel, or dirt that was found: how far it went. */
function StreamRow({ onStream }: { onStream: () => void }) {
  const { state } = useJob();
  const words = useWords();
  const stream = streamOf(state);
  const dirty = Object.values(stream).some((look) => look.wasDirty !== null);
  if (state.complaint !== 'badFuel' && !evidenceBegun(state) && !dirty) return null;
  const reach = judgeReach(stream);
  return (
    <BenchRow
      id="stream"
      outcome={reach.outcome}
      title="How far the dirt went"
      text={words(reach.reasons[0]?.text ?? '')}
      onOpen={onStream}
    />
  );
}

/** When a spark is allowed; a touch asks. */
function SparkRow({ onSpark }: { onSpark: () => void }) {
  const { state } = useJob();
  const last = sparkOf(state, useNow(15_000));
  return (
    <BenchRow
      id="spark"
      outcome={last?.verdict.outcome ?? 'unknown'}
      title="A spark, heat, a drill"
      text={last ? sparkActs[last.act] : 'asked each time: it follows from what is wet, near and in the air'}
      onOpen={onSpark}
    />
  );
}

/** What the owner is asked; a touch opens the owner’s page. */
function OwnerRow({ onOwner }: { onOwner: () => void }) {
  const { state } = useJob();
  const open = unanswered(state).length;
  const all = state.proposals.filter(({ closed }) => closed?.as !== 'dropped').length;
  return (
    <BenchRow
      id="owner"
      outcome={open > 0 ? 'doubtful' : all > 0 ? 'good' : 'unknown'}
      title="The owner’s page"
      text={
        all === 0
          ? 'what was found, what pays while it is down: one list to say yes to'
          : open > 0
            ? `${open} of ${all} not answered`
            : 'every line answered'
      }
      onOpen={onOwner}
    />
  );
}
