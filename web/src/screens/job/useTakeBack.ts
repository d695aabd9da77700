import { takeBackInWords } from '@iron-cradle/core';
import { useMemo } from 'react';
import { useMainUnit } from '../../app/units.ts';
import { deviceId } from '../../log/device.ts';
import { useJob } from '../../log/useJob.ts';

/** This person’s newest entry that can be taken back, in words; null where there is none. */
export function useTakeBack(): { entry: string; words: string } | null {
  const { state, log, me } = useJob();
  const units = useMainUnit();
  return useMemo(
    () => takeBackInWords(state, log, { maker: { by: me.id, device: deviceId() }, units }),
    [state, log, me.id, units],
  );
}
