import { hoursInWords, litres as inLitres, roundTo, say, type Call, type TravelWords } from '@iron-cradle/core';
import { useWords, Words } from '../../../ui/Words.tsx';
import { CallRow } from './CallRow.tsx';
import { SoakRow } from './SoakRow.tsx';
import { WaysIn } from './WaysIn.tsx';

/** What of the call the searches tell: how much comes out, how long it takes, what could stop it, what soaks. */
export function CallRows({
  call,
  travel,
  onSheet,
}: {
  call: Call;
  travel: TravelWords;
  onSheet: (sheet: 'ahead' | 'needed') => void;
}) {
  const words = useWords();
  const { litres, enough } = call.takeOut;
  const stop = call.couldStop;
  return (
    <>
      <CallRow
        name={
          litres.hi > 0
            ? words(say`Take out about ${inLitres(roundTo(Math.max(litres.typ, 1), litres.typ > 10 ? 5 : 1))}`)
            : 'Nothing to take out'
        }
        text={`${words([inLitres(call.aboard.lo, call.aboard.hi)])} aboard; ${litres.hi > 0 ? `${words([inLitres(litres.lo, litres.hi)])} until one may take it` : 'light enough as it is'}${enough ? '' : '; the drained tank may still be too much for one'}${call.wayOut ? `; ${call.wayOut.way.name.toLowerCase()}, ${hoursInWords(call.wayOut.way.minutes)}, up to ${call.wayOut.cans === 1 ? 'one can' : `${call.wayOut.cans} cans`}` : ''}`}
        why={`${words(call.why.takeOut)}. ${words(call.why.mass)}.`}
      />
      <CallRow
        name={`${travel.job}: ${hoursInWords(call.minutes, call.down.open)}`}
        text={call.breakEven ?? 'no other way in here'}
        why={<WaysIn ways={call.waysIn} why={words(call.why.minutes)} />}
      >
        <button type="button" className="btn min-w-20 shrink-0" data-action="ahead" onClick={() => onSheet('ahead')}>
          Ahead
        </button>
      </CallRow>
      <CallRow
        name="Could stop you"
        text={
          stop.length === 0
            ? 'nothing known'
            : `${stop
                .slice(0, 3)
                .map((c) => c.text)
                .join(', ')}${stop.length > 3 ? ` and ${stop.length - 3} more` : ''}`
        }
        why={
          <ul className="ruled" aria-label="what could stop you">
            {stop.map((c) => (
              <li key={c.text} className="py-1.5">
                {c.text}:{' '}
                <span className="text-quiet">
                  <Words of={c.why} />
                </span>
              </li>
            ))}
          </ul>
        }
      >
        <button type="button" className="btn min-w-20 shrink-0" data-action="needed" onClick={() => onSheet('needed')}>
          Here?
        </button>
      </CallRow>
      {call.soak && <SoakRow soak={call.soak} why={words(call.why.soak)} />}
    </>
  );
}
