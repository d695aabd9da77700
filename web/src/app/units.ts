import type { UnitSystem } from '@iron-cradle/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { call } from '../net/api.ts';
import { useMe, type Me } from '../net/queries.ts';

/** The units in which the person signed in here reads lengths. */
export const useUnits = (): UnitSystem => useMe().data?.person?.units ?? 'metric';

/** The one unit of these that a short line shows. */
export const useMainUnit = (): UnitSystem => (useUnits() === 'us' ? 'us' : 'metric');

/** Chooses them, for this person on every device. */
export function useChooseUnits() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (units: UnitSystem) => call<{ person: Me }>('PUT', '/session/units', { body: { units } }),
    onSuccess: (me) => client.setQueryData(['me'], me),
  });
}
