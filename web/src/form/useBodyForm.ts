import { useMemo, useState } from 'react';
import { useForm, type DefaultValues, type FieldValues, type UseFormReturn } from 'react-hook-form';
import { resolverOf, type Checks } from './resolver.ts';

/** A form over one body. */
export interface BodyForm<T extends FieldValues> extends UseFormReturn<T> {
  /** Goes up when the fields begin anew. */
  turn: number;
  /** Lets go of what was typed: it stands where it belongs now. */
  anew: () => void;
}

/**
 * A form over a body that goes to the server: checked by the server's own class, nothing typed is lost by an error.
 *
 * @example const form = useBodyForm({ Body: PersonBody }, { name: '', pin: '', role: 'technician' })
 */
export function useBodyForm<T extends FieldValues>(
  { Body, check }: Checks<T>,
  defaults: DefaultValues<T>,
): BodyForm<T> {
  const resolver = useMemo(() => resolverOf<T>({ Body, check }), [Body, check]);
  const form = useForm<T>({ resolver, defaultValues: defaults });
  const [turn, setTurn] = useState(0);
  return {
    ...form,
    turn,
    anew: () => {
      form.reset(defaults);
      setTurn((n) => n + 1);
    },
  };
}
