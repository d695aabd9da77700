import { basisInWords, type Verdict } from '@iron-cradle/core';
import { Shape } from '../look/Shapes.tsx';
import { useWords, Words } from './Words.tsx';

/** The one way a judgement is shown: shape, reasons with figures and limits, what to do next, and the basis on demand. */
export function VerdictView({
  verdict,
  title,
  compact = false,
}: {
  verdict: Verdict;
  title?: string;
  compact?: boolean;
}) {
  const words = useWords();
  return (
    <div className="flex gap-3">
      <Shape outcome={verdict.outcome} size={compact ? 24 : 28} />
      <div className="min-w-0">
        {title && <p className="narrow text-20">{title}</p>}
        {verdict.reasons.map((reason) => (
          <p key={words(reason.text)} className={title ? 'text-quiet' : ''}>
            <Words of={reason.text} />
            {reason.figure && <span className="reading font-semibold text-ink"> {words(reason.figure)}</span>}
            {reason.limit && <span className="text-quiet"> against {words(reason.limit)}</span>}
          </p>
        ))}
        {!compact && verdict.next[0] && verdict.outcome !== 'good' && (
          <p className="font-semibold">Next: {words(verdict.next[0])}.</p>
        )}
        {!compact && verdict.reasons[0] && (
          <details className="text-quiet">
            <summary className="cursor-pointer py-1 text-16 underline underline-offset-4">why</summary>
            {verdict.reasons.map((reason) => (
              <p key={words(reason.text)}>
                {words(reason.text)}: {basisInWords(reason.basis)}
              </p>
            ))}
          </details>
        )}
      </div>
    </div>
  );
}
