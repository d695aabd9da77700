import { hoursInWords, type WayIn } from '@iron-cradle/core';
import { Shape } from '../../../look/Shapes.tsx';
import { HowFar } from '../HowFar.tsx';
import { Words } from '../../../ui/Words.tsx';

/** The ways in beside each other: minutes, people, what comes off and goes back, what remains; and which one is gone. */
export function WaysIn({ ways, why }: { ways: readonly WayIn[]; why: string }) {
  return (
    <>
      <p className="pb-2">{why}.</p>
      <ul className="ruled border-t border-rule" aria-label="ways in">
        {ways.map((way) => (
          <li key={way.id} className="flex gap-3 py-2">
            <Shape outcome={way.cannot ? 'bad' : way.look ? 'unknown' : 'good'} size={20} />
            <div className="min-w-0 leading-tight">
              <p className="narrow text-20">
                {way.name}
                {!way.cannot && (
                  <span className="reading pl-3 font-normal">
                    {hoursInWords(way.minutes)}, {way.people === 1 ? 'one' : 'two'}
                  </span>
                )}
              </p>
              {way.cannot ? (
                <p className="text-quiet">
                  <Words of={way.cannot} />
                </p>
              ) : (
                <p className="text-quiet">
                  off and back: {way.off.slice(0, 4).join(', ')}
                  {way.off.length > 4 ? ` and ${way.off.length - 4} more` : ''}; <Words of={way.remains} />
                  {way.look ? `; look first: ${way.look}` : ''}
                </p>
              )}
            </div>
          </li>
        ))}
      </ul>
      <div className="pt-4">
        <HowFar />
      </div>
    </>
  );
}
