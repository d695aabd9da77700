import { Checkbox } from 'radix-ui';
import {
  answerTo,
  fittedParts,
  type handsOn,
  keptCurve,
  keptFigures,
  keptPlaces,
  lessons,
  lineOf,
  taught,
  WORKED_ON,
  withFitted,
  withKept,
  type Fitted,
  type JobState,
  type Lesson,
  type Range,
  type VehicleFile,
} from '@iron-cradle/core';
import { useQueryClient } from '@tanstack/react-query';
import { useId, useState, type ReactNode } from 'react';
import { HatchDefs } from '../../look/Shapes.tsx';
import { Strap } from '../../look/Strap.tsx';
import { call } from '../../net/api.ts';
import { useVehicles } from '../../net/queries.ts';
import { Sheet } from '../../ui/Sheet.tsx';
import { freshId, idOf } from '../vehicles/fresh.ts';

interface LearnSheetProps {
  state: JobState;
  /** Whose hands were on it, and how long. */
  hands: ReturnType<typeof handsOn>;
  onClose: () => void;
}

/** What the job taught, once the files are here: without them nobody knows whether this vehicle has one, and a second one would be begun. */
export function LearnSheet(props: LearnSheetProps) {
  const { data, error } = useVehicles();
  if (data) return <Taught {...props} vehicles={data} />;
  return (
    <Sheet open onClose={props.onClose} title="What it taught">
      <p role="status" className={error ? 'font-semibold text-halt' : 'text-quiet'}>
        {error
          ? `${error.message} Which file it goes into is known once the vehicle files can be read.`
          : 'Reading the vehicle files…'}
      </p>
    </Sheet>
  );
}

/** Line by line: guessed before, known now. Only what is ticked goes into the vehicle file. */
function Taught({ state, hands, onClose, vehicles }: LearnSheetProps & { vehicles: readonly VehicleFile[] }) {
  const client = useQueryClient();
  const [off, setOff] = useState<string[]>([]);
  const [said, setSaid] = useState<{ good: boolean; text: string } | null>(null);
  const known = vehicles.find((v) => v.id === state.vehicle.id && !v.id.startsWith('archetype-'));
  const file = known ?? newFile(state, vehicles);
  const list = lessons(state, file);
  const taken = list.filter((l) => !off.includes(l.path));
  const fitted = fittedParts(state, file);
  const kept = fitted.filter((one) => !off.includes(pathOf(one)));
  const where = answerTo(state, WORKED_ON);
  const figures = keptFigures(state, file, where ? { hands, where } : null);
  const curve = keptCurve(state, file);
  const seen = figures.filter((one) => !off.includes(one.path));
  const curveKept = curve && !off.includes(CURVE) ? curve : null;
  const places = keptPlaces(state, file);
  const placed = Object.entries(places);
  const all = list.length + fitted.length + figures.length + (curve ? 1 : 0) + (placed.length > 0 ? 1 : 0);
  const ticked =
    taken.length +
    kept.length +
    seen.length +
    (curveKept ? 1 : 0) +
    (placed.length > 0 && !off.includes(PLACES) ? 1 : 0);
  const tick = (path: string) => (on: boolean | 'indeterminate') =>
    setOff(on === true ? off.filter((p) => p !== path) : [...off, path]);
  const most = Math.max(1, ...list.flatMap((l) => [Math.min(l.after.hi, 600), Math.min(l.before?.hi ?? 0, 600)]));
  const keep = async () => {
    try {
      const next = withKept(withFitted(taught(file, taken), kept), seen, {
        curve: curveKept,
        places: off.includes(PLACES) ? {} : places,
      });
      await call('PUT', `/vehicles/${next.id}`, { body: next });
      await client.invalidateQueries({ queryKey: ['vehicles'] });
      setSaid({ good: true, text: `Kept in ${next.name}. The next one begins with it.` });
    } catch (error) {
      setSaid({ good: false, text: (error as Error).message });
    }
  };
  return (
    <Sheet
      open
      onClose={onClose}
      title="What it taught"
      hint={
        known ? `Goes into ${known.name}, if you tick it.` : `Makes a vehicle file “${file.name}”, for the next time.`
      }
    >
      {all === 0 && (
        <p className="py-3">Nothing was felt or measured that the file did not know. Guesses teach nothing.</p>
      )}
      <ul className="ruled">
        {list.map((lesson) => (
          <li key={lesson.path}>
            <Checkbox.Root
              checked={!off.includes(lesson.path)}
              data-lesson={lesson.path}
              className="flex min-h-18 w-full items-center gap-4 py-2 text-left"
              onCheckedChange={tick(lesson.path)}
            >
              <span className="min-w-0 flex-1">
                <span className="narrow block text-20">{lesson.what}</span>
                <span className="text-quiet">
                  seen {Math.round(lesson.seen)} mm;{' '}
                  {lesson.before ? `guessed ${words(lesson.before)}` : 'not in the file'}, now {words(lesson.after)},
                  seen {lesson.after.basis?.count ?? 1}×
                </span>
                <Bars lesson={lesson} most={most} />
              </span>
              <Tick on={!off.includes(lesson.path)} />
            </Checkbox.Root>
          </li>
        ))}
        {fitted.map((one) => (
          <Ticked key={pathOf(one)} path={pathOf(one)} name={`${one.name}, fitted`} off={off} onTick={tick}>
            {fittedWords(one)}
          </Ticked>
        ))}
        {figures.map((one) => (
          <Ticked key={one.path} path={one.path} name={one.what} off={off} onTick={tick}>
            {one.seen} {one.unit}
            {one.before.length > 0 ? `; before: ${one.before.join(', ')}` : ''}, seen {one.before.length + 1}×
          </Ticked>
        ))}
        {placed.length > 0 && (
          <Ticked path={PLACES} name="from where joints are seen" off={off} onTick={tick}>
            {placed.map(([id, place]) => `${lineOf(file, id)?.name ?? id}: ${place}`).join('; ')}
          </Ticked>
        )}
        {curve && (
          <Ticked path={CURVE} name="sender, by height" off={off} onTick={tick}>
            {curve.points.map(({ mm, ohms }) => `${ohms} Ω at ${mm} mm`).join('; ')}
          </Ticked>
        )}
      </ul>
      {said && (
        <p role="status" className={`py-2 font-semibold ${said.good ? 'text-go' : 'text-halt'}`}>
          {said.text}
        </p>
      )}
      {all > 0 && !said?.good && (
        <div className="pt-3">
          <Strap
            data-action="learn"
            onClick={() => void keep()}
            waitsFor={ticked === 0 ? 'tick what it taught' : undefined}
          >
            Keep {ticked} of {all}
          </Strap>
        </div>
      )}
    </Sheet>
  );
}

/** Path of the sender’s curve. */
const CURVE = 'curve';
/** Path of the places of the head. */
const PLACES = 'places';

interface TickedProps {
  path: string;
  name: string;
  off: readonly string[];
  onTick: (path: string) => (on: boolean | 'indeterminate') => void;
  children: ReactNode;
}

/** One thing it taught, ticked to be kept. */
const Ticked = ({ path, name, off, onTick, children }: TickedProps) => (
  <li>
    <Checkbox.Root
      checked={!off.includes(path)}
      data-lesson={path}
      className="flex min-h-18 w-full items-center gap-4 py-2 text-left"
      onCheckedChange={onTick(path)}
    >
      <span className="min-w-0 flex-1">
        <span className="narrow block text-20">{name}</span>
        <span className="text-quiet">{children}</span>
      </span>
      <Tick on={!off.includes(path)} />
    </Checkbox.Root>
  </li>
);

const pathOf = ({ part }: Fitted): string => `fitted ${part}`;

const fittedWords = ({ called, reads, sender }: Fitted): string =>
  [
    `“${called}”`,
    ...(reads ? [`rated ${reads.flow} L/h at ${reads.bar} bar, ${reads.volts} V`] : []),
    ...(sender ? [`${sender.emptyOhms.typ} Ω empty, ${sender.fullOhms.typ} Ω full`] : []),
  ].join('; ');

const Tick = ({ on }: { on: boolean }) => (
  <span aria-hidden className={`size-8 shrink-0 rounded-[2px] border-2 ${on ? 'border-ink bg-ink' : 'border-edge'}`} />
);

const words = ({ lo, hi }: Range) =>
  Math.round(lo) === Math.round(hi) ? `${Math.round(lo)}` : `${Math.round(lo)} to ${Math.round(hi)}`;

/** Before: hatched, guessed. Now: hatched until it was seen three times, then solid. */
function Bars({ lesson, most }: { lesson: Lesson; most: number }) {
  const hatch = useId();
  const x = (mm: number) => (Math.min(mm, most) / most) * 400;
  const bar = (r: Range, y: number, solid: boolean) => (
    <rect
      x={x(r.lo)}
      y={y}
      width={Math.max(3, x(r.hi) - x(r.lo))}
      height="9"
      fill={solid ? 'var(--work)' : `url(#${hatch})`}
      stroke="var(--work)"
      strokeWidth="1.5"
    />
  );
  return (
    <svg viewBox="-2 0 404 26" className="mt-1 w-full max-w-md" aria-hidden>
      <defs>
        <HatchDefs id={hatch} color="var(--work)" />
      </defs>
      {lesson.before && bar(lesson.before, 2, false)}
      {bar(lesson.after, 15, (lesson.after.basis?.count ?? 0) >= 3)}
    </svg>
  );
}

/** A vehicle nobody had a file of: what was seen at first contact, under the name the job has. */
function newFile(state: JobState, all: readonly VehicleFile[]): VehicleFile {
  const from = state.file;
  const name = state.identity?.plate ? `Vehicle ${state.identity.plate}` : state.name;
  const id = idOf(name);
  const ids = all.map((v) => v.id);
  return { ...from, id: ids.includes(id) || id.startsWith('archetype-') ? freshId(id, ids) : id, name };
}
