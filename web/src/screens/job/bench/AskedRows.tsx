import {
  evidenceBegun,
  judgeBuilt,
  judgeReach,
  nextRung,
  sparkActs,
  sparkOf,
  streamOf,
  unanswered,
  unitBegun,
  unitOf,
} from '@iron-cradle/core';
import { useJob } from '../../../log/useJob.ts';
import { useNow } from '../../../ui/useNow.ts';
import { useWords } from '../../../ui/Words.tsx';
import { BenchRow } from './BenchRow.tsx';

/** How the ring comes open; gone once it was. */
export function OpeningRow({ onOpening }: { onOpening: () => void }) {
  const { state } = useJob();
  if (state.ring !== null || unitBegun(state)) return null;
  const { kind } = unitOf(state.vehicle);
  const next = nextRung(
    kind,
    state.tried.map(({ rung }) => rung),
  );
  return (
    <BenchRow
      id="opening"
      outcome="unknown"
      title="It comes open"
      text={next ? `next: ${next.name.toLowerCase()}` : 'every rung tried'}
      onOpen={onOpening}
    />
  );
}

/** The unit goes together again. */
export function BuildRow({ onBuild }: { onBuild: () => void }) {
  const { state } = useJob();
  const words = useWords();
  const verdict = judgeBuilt(state);
  if (!verdict && !unitBegun(state)) return null;
  return (
    <BenchRow
      id="build"
      outcome={verdict?.outcome ?? 'unknown'}
      title="Built up from below"
      text={verdict ? words(verdict.reasons[0]?.text ?? '') : 'groove first, ring last; tapped as each sits'}
      onOpen={onBuild}
    />
  );
}

/** Where a pick-up is cut, where the vehicle has one or gets one. */
export function PickupRow({ onPickup }: { onPickup: () => void }) {
  const { state } = useJob();
  const words = useWords();
  const last = state.pickups.at(-1);
  const has =
    unitOf(state.vehicle).parts.some(({ kind }) => kind === 'pickup' || kind === 'footValve') ||
    state.vehicle.connections.some(({ kind }) => kind === 'heater') ||
    ['biggerTank', 'addedPickup', 'screens', 'fades'].includes(state.complaint);
  if (!has && !last && !state.screens) return null;
  return (
    <BenchRow
      id="pickup"
      outcome={last?.verdict.outcome ?? state.screens?.verdict.outcome ?? 'unknown'}
      title="Pick-up and screens"
      text={
        last
          ? words(last.verdict.reasons[0]?.text ?? '')
          : 'where to cut, clear of float and floor; when screens are due'
      }
      onOpen={onPickup}
    />
  );
}

/** What is changed on tank or support: measured before it is made. */
export function ConversionRow({ onConversion }: { onConversion: () => void }) {
  const { state } = useJob();
  const words = useWords();
  const planned = [state.hole, state.carries, state.needle].flatMap((one) => one ?? []);
  if (state.complaint !== 'biggerTank' && state.complaint !== 'addedPickup' && planned.length === 0) return null;
  const first = planned[0];
  return (
    <BenchRow
      id="conversion"
      outcome={first?.verdict.outcome ?? 'unknown'}
      title="Before it is changed"
      text={
        first ? words(first.verdict.reasons[0]?.text ?? '') : 'a hole, what carries it, what the old needle means in it'
      }
      onOpen={onConversion}
    />
  );
}

/** Bad fuel, or dirt that was found: how far it went. */
export function StreamRow({ onStream }: { onStream: () => void }) {
  const { state } = useJob();
  const words = useWords();
  const stream = streamOf(state);
  const dirty = Object.values(stream).some((look) => look.wasDirty !== null);
  const about = ['badFuel', 'fades', 'screens'].includes(state.complaint);
  if (!about && !evidenceBegun(state) && !dirty) return null;
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
export function SparkRow({ onSpark }: { onSpark: () => void }) {
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
export function OwnerRow({ onOwner }: { onOwner: () => void }) {
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
          ? 'what was found, what pays while it is out: one list to say yes to'
          : open > 0
            ? `${open} of ${all} not answered`
            : 'every line answered'
      }
      onOpen={onOwner}
    />
  );
}
