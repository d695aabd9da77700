import type { Draft as Changing } from 'immer';
import type { VehicleFile } from '@iron-cradle/core';
import { TextField } from '../../ui/TextField.tsx';
import type { Draft } from './useDraft.ts';

interface FileTextProps {
  draft: Draft;
  /** Its place in the file, as the file’s check names it. */
  at: string;
  label: string;
  value: string;
  put: (file: Changing<VehicleFile>, text: string) => void;
  placeholder?: string;
}

/** A word of the file; what the file’s check has against it stands below. */
export function FileText({ draft, at, put, ...rest }: FileTextProps) {
  return (
    <TextField
      {...rest}
      maxLength={80}
      error={draft.wrongAt(at)}
      onChange={(event) => draft.change((file) => put(file, event.target.value))}
    />
  );
}
