import { judgePart, pieceOf, unitOf, type Piece, type UnitPart } from '@iron-cradle/core';
import { Opening, PartShape } from '../../../drawings/unit/PartShape.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Paint, Shape } from '../../../look/Shapes.tsx';
import { Tag } from '../../../look/Tag.tsx';
import { useWords } from '../../../ui/Words.tsx';
import { UnitSwap } from './UnitSwap.tsx';

interface UnitApartProps {
  /** Id of the part in hand; null: none. */
  chosen: string | null;
  /** Does the hand go elsewhere first? */
  waits?: boolean;
  onChoose: (part: UnitPart) => void;
}

/** The unit taken apart on one axis, what closes it on top: every part is touched where it is drawn. */
export function UnitApart({ chosen, waits = false, onChoose }: UnitApartProps) {
  const { state, enter } = useJob();
  const words = useWords();
  const parts = [...unitOf(state.vehicle).parts].reverse();
  const judged = parts.map((part) => ({ part, verdict: judgePart(state, part), piece: pieceOf(state, part.id) }));
  // What came in a whole new unit is asked only where it closes: of the rest nobody says they looked.
  const unsaid = judged
    .filter(({ piece, verdict }) => piece.words.length === 0 && verdict.outcome !== 'good')
    .map(({ part }) => part.id);
  // The hand goes to what is bad first, then to what nobody said a word about.
  const next = (
    judged.find(({ verdict }) => verdict.outcome === 'bad') ??
    judged.find(({ verdict }) => verdict.outcome === 'unknown')
  )?.part.id;
  return (
    <section aria-label="the unit, apart">
      <ol className="relative">
        {judged.map(({ part, verdict, piece }) => {
          const why = verdict.reasons[0];
          return (
            <li key={part.id}>
              <button
                type="button"
                className={`flex w-full items-stretch text-left ${chosen === part.id ? 'bg-ground outline-3 -outline-offset-3 outline-ink' : ''}`}
                aria-pressed={chosen === part.id}
                data-part-of-unit={part.id}
                data-outcome={verdict.outcome}
                onClick={() => onChoose(part)}
              >
                <span className="relative block min-h-20 w-[136px] shrink-0 mid:min-h-24 mid:w-[208px]">
                  <PartShape kind={part.kind} />
                  {part.id === next && !waits && !state.signed && (
                    <Paint className="absolute bottom-1 left-1" width={52} />
                  )}
                </span>
                <span aria-hidden className="my-auto h-px w-4 shrink-0 bg-edge mid:w-8" />
                <span className="flex min-w-0 flex-1 items-center gap-3 py-2 pl-2">
                  <Shape outcome={verdict.outcome} size={24} />
                  <span className="min-w-0 flex-1 leading-tight">
                    <span className="narrow block text-20">
                      {part.name}
                      {piece.called && !inside(part, piece) && (
                        <span className="font-normal text-quiet"> {piece.called}</span>
                      )}
                    </span>
                    <span className="block text-quiet">
                      {why ? words(why.text) : ''}
                      {why?.figure ? `, ${words(why.figure)}` : ''}
                    </span>
                  </span>
                  {piece.tag !== null && !inside(part, piece) && <Tag number={piece.tag} />}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
      <div className="flex items-center">
        <span className="block h-14 w-[136px] shrink-0 mid:w-[208px]">
          <Opening />
        </span>
        <p className="pl-6 text-quiet mid:pl-10">the tank’s opening; groove cleaned before anything goes in</p>
      </div>
      {!state.signed && unsaid.length > 0 && (
        <button
          type="button"
          className="btn mt-4 w-full"
          data-action="all-sound"
          onClick={() => void enter('partSaid', { parts: unsaid, outcome: 'good' })}
        >
          {unsaid.length === parts.length ? 'All looked at, all sound' : `The other ${unsaid.length} looked at, sound`}
        </button>
      )}
      {!state.signed && <UnitSwap />}
    </section>
  );
}

/** Came inside a whole new unit: its name and number stand once, at the flange. */
const inside = ({ kind }: UnitPart, { whole }: Piece): boolean => whole === true && kind !== 'flange';
