import { createContext, useContext, useEffect, useId } from 'react';

/** What fields of the file hold that nobody can read: label by field. */
export type Unread = Record<string, string>;
type Tell = (change: (was: Unread) => Unread) => void;

/** Where a field says that what stands in it cannot be read. */
export const UnreadContext = createContext<Tell>(() => undefined);

/** Tells the editor whether this field can be read; what is left behind counts no more. */
export function useUnread(label: string): (unreadable: boolean) => void {
  const id = useId();
  const tell = useContext(UnreadContext);
  const forget = ({ [id]: _, ...rest }: Unread): Unread => rest;
  useEffect(() => () => tell(({ [id]: _, ...rest }) => rest), [id, tell]);
  return (unreadable) => tell((was) => (unreadable ? { ...was, [id]: label } : id in was ? forget(was) : was));
}
