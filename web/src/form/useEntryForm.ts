import { kindOf, type Bodies, type EntryKind } from '@iron-cradle/core';
import type { ClassConstructor } from 'class-transformer';
import { useContext } from 'react';
import type { DefaultValues, FieldValues, Path, PathValue } from 'react-hook-form';
import { JobContextOf, type Enter } from '../log/useJob.ts';
import { useBodyForm, type BodyForm } from './useBodyForm.ts';

interface EntryFormProps<K extends EntryKind> {
  kind: K;
  /** What stands in the fields at first, and what the entry says besides them. */
  start: Partial<Bodies[K]>;
  /** Called once it stands in the log. */
  onDone?: () => void;
  /** Where no job is around it. */
  enter?: Enter;
}

/** A form over one entry of the log. */
export interface EntryFormOf<K extends EntryKind> extends BodyForm<Bodies[K] & FieldValues> {
  /** Enters it, with what the key that was tapped says; resolves to whether it stands in the log. */
  say: (more?: Partial<Bodies[K]>) => Promise<boolean>;
}

/**
 * A form over one entry: checked by the class of its kind and by its sense, entered, then begun anew.
 *
 * @example const form = useEntryForm({ kind: 'addendum', start: { text: '' }, onDone })
 */
export function useEntryForm<K extends EntryKind>({ kind, start, onDone, enter }: EntryFormProps<K>): EntryFormOf<K> {
  type Values = Bodies[K] & FieldValues;
  const inJob = useContext(JobContextOf);
  const { Body, check } = kindOf(kind);
  const form = useBodyForm<Values>(
    { Body: Body as ClassConstructor<Values>, check: check as ((body: Values) => void) | undefined },
    start as DefaultValues<Values>,
  );
  const say = async (more: Partial<Bodies[K]> = {}) => {
    const write = enter ?? inJob?.enter;
    if (!write) throw new Error('an entry outside of a job');
    for (const [name, value] of Object.entries(more))
      form.setValue(name as Path<Values>, value as PathValue<Values, Path<Values>>);
    let stands = false;
    await form.handleSubmit(async (body) => {
      stands = await write(kind, said(body) as unknown as Bodies[K]);
    })();
    if (stands) {
      form.anew();
      onDone?.();
    }
    return stands;
  };
  return { ...form, say };
}

/** What was left empty is not said. */
const said = (body: object): object =>
  Object.fromEntries(Object.entries(body).filter(([, value]) => value !== '' && value !== null && value !== undefined));
