import { FILE_FITS } from '@iron-cradle/core';
import type { ComponentProps } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Band } from '../../../ui/Band.tsx';
import { Words } from '../../../ui/Words.tsx';

/** What was seen or measured of a line and does not fit what is known of it: said until somebody answers. */
export function DoesNotFit({ onLine }: { onLine: (key: string) => void }) {
  const { state, answer } = useJob();
  return (
    <>
      {state.doubts.map(({ id, line, words }) => (
        <Said key={`${id}:${line}`} words={words} data-action="file-fits" onClick={() => void answer(FILE_FITS, 'yes')}>
          It is this vehicle, only that line differs
        </Said>
      ))}
      {state.contradicted.map(({ line, words }) => (
        <Said key={line} words={words} data-measure={`line:${line}`} onClick={() => onLine(`line:${line}`)}>
          Measure it
        </Said>
      ))}
    </>
  );
}

/** A band with the one act that answers it. */
function Said({ words, ...act }: ComponentProps<'button'> & { words: ComponentProps<typeof Words>['of'] }) {
  return (
    <Band>
      <span className="flex flex-wrap items-center justify-between gap-3">
        <Words of={words} />
        <button type="button" className="min-h-11 shrink-0 border border-ground px-3" {...act} />
      </span>
    </Band>
  );
}
