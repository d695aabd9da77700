import { InputError, judgeNut, judgeSocket, type NutJudged, type SocketJudged } from '@iron-cradle/core';
import { useState } from 'react';
import { Choice } from '../../ui/Choice.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { VerdictView } from '../../ui/VerdictView.tsx';

/** Which socket goes on this head, also where it is worn: a socket has a direction. */
export function SocketFinder() {
  const [across, setAcross] = useState<number | null>(null);
  const [head, setHead] = useState<'hex' | 'square'>('hex');
  const [turns, setTurns] = useState<Turns>('no');
  const [other, setOther] = useState<number | null>(null);
  const told = across === null ? null : read(() => judgeSocket({ across, head }));
  const both =
    across === null || turns === 'no' || (turns !== 'none' && other === null)
      ? null
      : read(() => judgeNut({ across, end: turns === 'none' ? { kind: 'none' } : { kind: turns, across: other! } }));
  return (
    <section aria-label="which socket" className="grid gap-8 border-t-2 border-ink pt-6 mid:col-span-2 mid:grid-cols-2">
      <div className="grid content-start gap-4">
        <h2 className="text-24">Which socket goes on?</h2>
        <Choice
          label="The head"
          value={head}
          onChoose={setHead}
          options={[
            { value: 'hex', label: 'Six flats' },
            { value: 'square', label: 'Square' },
          ]}
        />
        <QuantityField
          label="Across its flats"
          dimension="length"
          unit="mm"
          decimals={2}
          hint="7.9 mm or 5/16 in"
          onRead={(value) => setAcross(value ? value.typ * 1000 : null)}
        />
        <Choice
          label="Does the bolt or stud turn along with its nut?"
          value={turns}
          onChoose={setTurns}
          options={[
            { value: 'no', label: 'It stands' },
            { value: 'hex', label: 'Yes, six flats there' },
            { value: 'square', label: 'Yes, square there' },
            { value: 'none', label: 'Yes, nothing to hold' },
          ]}
        />
        {(turns === 'hex' || turns === 'square') && (
          <QuantityField
            label="Across the other end"
            dimension="length"
            unit="mm"
            decimals={2}
            onRead={(value) => setOther(value ? value.typ * 1000 : null)}
          />
        )}
      </div>
      <div
        aria-live="polite"
        className="grid content-start gap-4"
        data-socket={told?.judged?.verdict.outcome ?? 'none'}
      >
        {told?.problem && <p className="font-semibold text-halt">{told.problem}</p>}
        {both?.problem && <p className="font-semibold text-halt">{both.problem}</p>}
        {both?.judged && <BothEnds judged={both.judged} />}
        {told?.judged && (
          <>
            <VerdictView verdict={told.judged.verdict} />
            {told.judged.verdict.outcome === 'good' && <p className="font-semibold">{words(told.judged)}</p>}
            <ul className="ruled">
              {told.judged.fits.map(({ socket, play, sits }) => (
                <li key={socket.name} className="flex items-baseline gap-4 py-2">
                  <span className="reading text-24">{socket.name}</span>
                  <span className="text-quiet">
                    {sits}, {play > 0 ? '+' : ''}
                    {play.toFixed(2)} mm
                  </span>
                </li>
              ))}
            </ul>
          </>
        )}
      </div>
    </section>
  );
}

/** What is at the other end of what the nut sits on. */
type Turns = 'no' | 'hex' | 'square' | 'none';

/** Nut and other end together. */
const BothEnds = ({ judged }: { judged: NutJudged }) => (
  <div data-both-ends={judged.verdict.outcome} className="border-b border-rule pb-4">
    <VerdictView verdict={judged.verdict} />
    {judged.verdict.outcome === 'good' && <p className="font-semibold">{words(judged)}</p>}
  </div>
);

const words = ({ verdict }: Pick<SocketJudged, 'verdict'>): string =>
  verdict.next.map((one) => `${one as string}.`).join(' ');

function read<T>(judge: () => T): { judged: T | null; problem: string | null } {
  try {
    return { judged: judge(), problem: null };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { judged: null, problem: `Expected ${error.expected}.` };
  }
}
