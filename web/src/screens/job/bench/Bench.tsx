import { descended, judgePart, placesOf, unitOf, type ConditionPlace, type UnitPart } from '@iron-cradle/core';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useJob } from '../../../log/useJob.ts';
import { FitRow } from '../fit/FitRow.tsx';
import { HoseScreen } from '../hose/HoseScreen.tsx';
import { HosesRow } from '../hose/HosesRow.tsx';
import { HoldRow } from '../hold/HoldRow.tsx';
import { HoldScreen } from '../hold/HoldScreen.tsx';
import { TankLayout } from '../tank/TankLayout.tsx';
import { BuildRow, ConversionRow, OpeningRow, OwnerRow, PickupRow, SparkRow, StreamRow } from './AskedRows.tsx';
import { BuildPanel } from './BuildPanel.tsx';
import { Condition } from './condition/Condition.tsx';
import { OtherFindings } from './condition/OtherFindings.tsx';
import { PlacePanel } from './condition/PlacePanel.tsx';
import { SparkPanel } from './condition/SparkPanel.tsx';
import { StreamPanel } from './evidence/StreamPanel.tsx';
import { ConversionPanel } from './conversion/ConversionPanel.tsx';
import { FuelBackPanel, FuelBackRow } from './FuelBack.tsx';
import { OpeningPanel } from './OpeningPanel.tsx';
import { PartPanel } from './PartPanel.tsx';
import { PickupPanel } from './pickup/PickupPanel.tsx';
import { PutInTank } from './PutInTank.tsx';
import { Ring } from './Ring.tsx';
import { UnitApart } from './UnitApart.tsx';
import { VacuumRow } from './vacuum/VacuumRow.tsx';

/** What is in hand beside the drawings. */
type Hand = { part: UnitPart } | { place: ConditionPlace } | keyof typeof panels | null;

/** What is asked on the bench beside unit and tank. */
const panels = {
  opening: OpeningPanel,
  build: BuildPanel,
  spark: SparkPanel,
  stream: StreamPanel,
  pickup: PickupPanel,
  conversion: ConversionPanel,
  fuelBack: FuelBackPanel,
};

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
  const Panel = typeof hand === 'string' ? panels[hand] : null;
  const unitFirst = unitOf(state.vehicle).parts.some((one) => {
    const { outcome } = judgePart(state, one);
    return outcome === 'bad' || outcome === 'unknown';
  });
  if (search.has('hoses')) return <HoseScreen station="bench" onDone={() => setSearch({})} />;
  if (search.has('hold')) return <HoldScreen where="bench" onDone={() => setSearch({})} />;
  return (
    <TankLayout
      station="bench"
      page
      stage={() => (
        <div className="h-full overflow-y-auto p-4 mid:p-6">
          <h1 className="pb-4 text-32">{state.out ? 'On the bench' : 'Part-way, at its top'}</h1>
          <OpeningRow onOpening={() => setHand('opening')} />
          <UnitApart
            chosen={part?.id ?? null}
            waits={hand !== null && !part}
            onChoose={(one) => setHand({ part: one })}
          />
          <div className="pt-8" />
          <Condition
            chosen={at}
            waits={unitFirst || (hand !== null && !at)}
            onChoose={(id) => setHand({ place: id })}
          />
          <OtherFindings />
          <div className="pt-6" />
          <BuildRow onBuild={() => setHand('build')} />
          <FitRow />
          <VacuumRow />
          <HosesRow onHoses={() => setSearch({ hoses: '' })} />
          {state.out && <HoldRow where="bench" onHold={() => setSearch({ hold: '' })} />}
          <FuelBackRow onFuel={() => setHand('fuelBack')} />
          <PickupRow onPickup={() => setHand('pickup')} />
          <ConversionRow onConversion={() => setHand('conversion')} />
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
        ) : Panel ? (
          <Panel onDone={backTo(`[data-action="${String(hand)}"]`)} />
        ) : descended(state) ? (
          <Ring onUp={() => void navigate(`/jobs/${jobId}/refit`)} />
        ) : (
          <p className="p-4 text-quiet">Gate 3 stands here once the tank is off the vehicle.</p>
        )
      }
    />
  );
}
