import { useEffect, useState } from 'react';

/** The time, in ms since 1970, kept current every so many ms; null lets it rest. @example useNow(10_000) */
export function useNow(every: number | null): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (every === null) return undefined;
    const timer = setInterval(() => setNow(Date.now()), every);
    return () => clearInterval(timer);
  }, [every]);
  return now;
}
